package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Accounts: invited, shut out, with keys of their own. */
class AccountsTest extends ServerTest {

  private static final String ACCOUNTS = "/api/v1/accounts";
  private static final String PASSWORD = "nine lively herrings";

  private Api.Answer invited(String name, String role) {
    return lead.post(ACCOUNTS, Api.body("name", name, "role", role));
  }

  private Api.Answer accept(String token, String password) {
    return lead.post("/api/v1/invitations/accept", Api.body("token", token, "password", password));
  }

  private JsonNode account(long id) {
    return lead.get(ACCOUNTS)
        .at("items")
        .valueStream()
        .filter(one -> one.get("id").asLong() == id)
        .findFirst()
        .orElseThrow();
  }

  private static String name() {
    return "Brine " + System.nanoTime();
  }

  @Test
  void whoeverIsInvitedChoosesAPasswordOnce() {
    String name = name();
    Api.Answer invited = invited(name, "PROGRAMMER");
    assertEquals(201, invited.status());
    assertEquals("INVITED", invited.at("account").get("state").asString());
    String token = invited.text("token");
    assertEquals(
        name, lead.post("/api/v1/invitations/look", Api.body("token", token)).text("name"));
    assertEquals(400, accept(token, "short").status());
    assertEquals(200, accept(token, PASSWORD).status());
    assertEquals(
        "ACTIVE", account(invited.at("account").get("id").asLong()).get("state").asString());
    Api.Answer again = accept(token, PASSWORD);
    assertEquals(404, again.status());
    assertTrue(again.text("detail").contains("ask the lead for another one"));
  }

  @Test
  void whoeverIsNotSignedInReadsTheDocumentOfTheApiAndNothingElse() throws Exception {
    try (HttpClient http = HttpClient.newHttpClient()) {
      for (Map.Entry<String, Integer> expected :
          Map.of("openapi.json", 200, "session", 200, "libraries", 401, "tools/1", 401)
              .entrySet()) {
        URI address =
            URI.create("http://127.0.0.1:%d/api/v1/%s".formatted(port, expected.getKey()));
        assertEquals(
            expected.getValue(),
            http.send(HttpRequest.newBuilder(address).build(), HttpResponse.BodyHandlers.ofString())
                .statusCode(),
            expected.getKey());
      }
    }
  }

  @Test
  void anotherLinkEndsTheOneBefore() {
    Api.Answer invited = invited(name(), "TOOLROOM");
    long id = invited.at("account").get("id").asLong();
    String second = lead.post(ACCOUNTS + "/" + id + "/invitation", Api.body()).text("token");
    assertEquals(404, accept(invited.text("token"), PASSWORD).status());
    assertEquals(200, accept(second, PASSWORD).status());
  }

  @Test
  void namesAreGivenOnceWhateverTheirLetterCase() {
    String name = name();
    assertEquals(201, invited(name, "VISITOR").status());
    assertEquals(409, invited(name.toUpperCase(), "VISITOR").status());
    assertEquals(400, invited(" ", "VISITOR").status());
    assertEquals(400, invited("key 1 (lead)", "VISITOR").status());
    assertEquals(400, invited(name(), null).status());
  }

  @Test
  void onlyTheLeadSeesAndChangesAccounts() {
    long id = person("OPERATOR").account();
    for (String role : new String[] {"PROGRAMMER", "TOOLROOM", "OPERATOR", "VISITOR"}) {
      Api api = as(role);
      assertEquals(403, api.get(ACCOUNTS).status(), role);
      assertEquals(
          403, api.post(ACCOUNTS, Api.body("name", name(), "role", "LEAD")).status(), role);
      assertEquals(
          403, api.send("PATCH", ACCOUNTS + "/" + id, Api.body("role", "LEAD")).status(), role);
      assertEquals(403, api.post(ACCOUNTS + "/" + id + "/invitation", Api.body()).status(), role);
      assertEquals(
          403, api.send("DELETE", ACCOUNTS + "/" + id + "/sessions", Api.body()).status(), role);
      assertEquals(403, api.get(ACCOUNTS + "/" + id + "/keys").status(), role);
    }
  }

  @Test
  void whoeverIsShutOutGetsInNeitherByKeyNorByLink() {
    Person programmer = person("PROGRAMMER");
    String path = ACCOUNTS + "/" + programmer.account();
    assertEquals(200, programmer.api().get("/api/v1/libraries").status());
    assertEquals(200, lead.send("PATCH", path, Api.body("disabled", true)).status());
    assertEquals(401, programmer.api().get("/api/v1/libraries").status());
    assertEquals(409, lead.post(path + "/invitation", Api.body()).status());
    assertEquals(200, lead.send("PATCH", path, Api.body("disabled", false)).status());
    assertEquals(200, programmer.api().get("/api/v1/libraries").status());
  }

  @Test
  void anotherRoleCountsAtOnce() {
    Person one = person("VISITOR");
    assertEquals(403, one.api().post("/api/v1/libraries", Api.body("name", name())).status());
    lead.send("PATCH", ACCOUNTS + "/" + one.account(), Api.body("role", "PROGRAMMER"));
    assertEquals(201, one.api().post("/api/v1/libraries", Api.body("name", name())).status());
    assertEquals("programmer", one.api().get("/api/v1/session").text("role"));
  }

  @Test
  void theOnlyLeadWhoCanSignInStays() {
    long id = jdbc.sql("select id from account where name_key = 'lead'").query(Long.class).single();
    for (Object change : new Object[] {Api.body("role", "VISITOR"), Api.body("disabled", true)}) {
      Api.Answer refused = lead.send("PATCH", ACCOUNTS + "/" + id, change);
      assertEquals(409, refused.status());
      assertTrue(refused.text("detail").contains("make somebody else a lead first"));
    }
    assertEquals(400, lead.send("PATCH", ACCOUNTS + "/" + id, Api.body()).status());
  }

  @Test
  void aKeyDoesNoMoreThanItsScopes() {
    Person programmer = person("PROGRAMMER");
    Api.Answer made =
        programmer
            .api()
            .post("/api/v1/session/keys", Api.body("name", "nightly", "scopes", new String[] {}));
    assertEquals(201, made.status());
    Api reader = new Api(port, made.text("secret"));
    assertEquals(200, reader.get("/api/v1/libraries").status());
    assertEquals(403, reader.post("/api/v1/libraries", Api.body("name", name())).status());
    assertEquals(
        400,
        reader
            .post("/api/v1/session/keys", Api.body("name", "more", "scopes", new String[] {"EDIT"}))
            .status());
    assertEquals(
        400,
        programmer
            .api()
            .post("/api/v1/session/keys", Api.body("name", "x", "scopes", new String[] {"LOAD"}))
            .status());
    JsonNode key =
        programmer
            .api()
            .get("/api/v1/session/keys")
            .at("items")
            .valueStream()
            .filter(one -> one.get("name").asString().equals("nightly"))
            .findFirst()
            .orElseThrow();
    assertFalse(key.has("secret"));
    String path = "/api/v1/session/keys/" + key.get("id").asLong();
    assertEquals(404, person("PROGRAMMER").api().send("DELETE", path, Api.body()).status());
    assertEquals(204, programmer.api().send("DELETE", path, Api.body()).status());
    assertEquals(401, reader.get("/api/v1/libraries").status());
  }

  @Test
  void whatIsDoneToAccountsStandsOnTheTrail() {
    Person one = person("VISITOR");
    lead.send("PATCH", ACCOUNTS + "/" + one.account(), Api.body("role", "OPERATOR"));
    JsonNode lines = lead.get("/api/v1/trail?kind=account&subject=" + one.account()).at("items");
    assertEquals(
        "made %s operator, who was visitor".formatted(one.name()),
        lines.get(0).get("text").asString());
    assertEquals(
        "invited %s as visitor".formatted(one.name()), lines.get(1).get("text").asString());
  }
}
