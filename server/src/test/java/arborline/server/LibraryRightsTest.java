package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.net.URI;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Who may do what in libraries. */
class LibraryRightsTest extends ServerTest {

  private static final String LIBRARIES = "/api/v1/libraries/";

  private long library;
  private long tool;

  @BeforeEach
  void aLibraryWithATool() {
    library = library("Rights " + System.nanoTime());
    tool = tool(lead, library, "RI-" + library);
  }

  private static long tool(Api api, long library, String code) {
    return api.post(LIBRARIES + library + "/tools", Draft.mill(code, "10")).number("toolId");
  }

  private Api.Answer share(Api api, long id, String sharing, List<?> people, List<?> roles) {
    String stamp = lead.get(LIBRARIES + id + "/rights").text("stamp");
    return api.send(
        "PUT",
        LIBRARIES + id + "/rights",
        Api.body("sharing", sharing, "people", people, "roles", roles, "stamp", stamp));
  }

  private static Map<String, Object> person(Person person, String right) {
    return Api.body("account", person.account(), "right", right);
  }

  private Api.Answer change(Api api, long toolId, String diameter) {
    int version = (int) lead.get("/api/v1/tools/" + toolId).number("version");
    return api.send(
        "PUT",
        "/api/v1/tools/%d?version=%d".formatted(toolId, version),
        Draft.mill(lead.get("/api/v1/tools/" + toolId).text("code"), diameter));
  }

  @Test
  void whoMayOnlyUseChangesNothingAndIsToldWhoMay() {
    Person one = person("PROGRAMMER");
    Person other = person("PROGRAMMER");
    assertEquals(
        200,
        share(lead, library, "SHOP", List.of(person(one, "USE"), person(other, "OWNER")), List.of())
            .status());
    Api.Answer rights = one.api().get(LIBRARIES + library + "/rights");
    assertEquals("USE", rights.text("right"));
    assertTrue(rights.text("maintainers").contains(other.name()), rights.text("maintainers"));
    for (Api.Answer refused :
        List.of(
            change(one.api(), tool, "11"),
            one.api().post(LIBRARIES + library + "/tools", Draft.mill("RIX-" + library, "8")),
            one.api().send("DELETE", LIBRARIES + library + "/tools/" + tool, Api.body()),
            one.api().send("PATCH", LIBRARIES + library, Api.body("purpose", "mine")),
            one.api().send("DELETE", LIBRARIES + library, Api.body()),
            one.api()
                .post(
                    "/api/v1/tools/%d/cutting".formatted(tool),
                    Api.body(
                        "material", "p-alloy-annealed",
                        "speed", 150,
                        "feed", 0.05,
                        "depth", 1,
                        "width", 1)),
            one.api()
                .post(
                    "/api/v1/tools/standing",
                    Api.body("tools", List.of(tool), "standing", "RELEASED")))) {
      assertEquals(403, refused.status(), refused.toString());
      assertTrue(refused.text("detail").contains(other.name()), refused.text("detail"));
    }
    assertTrue(
        one.api().get("/api/v1/tools/" + tool).text("closed").contains("you may not change"));
    assertEquals(200, change(other.api(), tool, "12").status());
    assertTrue(other.api().get("/api/v1/tools/" + tool).at("closed").isNull());
  }

  @Test
  void whoMaintainsChangesWhatIsInItButNotWhatItIs() {
    Person one = person("PROGRAMMER");
    assertEquals(200, change(one.api(), tool, "11").status());
    for (Api.Answer refused :
        List.of(
            one.api().send("PATCH", LIBRARIES + library, Api.body("name", "Mine " + library)),
            one.api().send("DELETE", LIBRARIES + library, Api.body()),
            share(one.api(), library, "PRIVATE", List.of(person(one, "OWNER")), List.of()))) {
      assertEquals(403, refused.status(), refused.toString());
    }
    assertEquals(
        200, share(lead, library, "SHOP", List.of(person(one, "OWNER")), List.of()).status());
    assertEquals(
        200, one.api().send("PATCH", LIBRARIES + library, Api.body("purpose", "winches")).status());
  }

  @Test
  void aToolThatAClosedLibraryFollowsIsNotChangedThroughAnother() {
    Person one = person("PROGRAMMER");
    share(
        lead, library, "SHOP", List.of(), List.of(Api.body("role", "PROGRAMMER", "right", "USE")));
    long own = one.api().post("/api/v1/libraries", Api.body("name", one.name())).number("id");
    assertEquals(
        200,
        one.api()
            .post(
                LIBRARIES + own + "/copy",
                Api.body("tools", List.of(tool), "from", library, "numbering", "next"))
            .status());
    assertEquals(
        403,
        one.api()
            .post(
                LIBRARIES + own + "/copy",
                Api.body("tools", List.of(tool), "from", library, "move", true))
            .status());
    Api.Answer refused = change(one.api(), tool, "11");
    assertEquals(403, refused.status());
    assertTrue(refused.text("detail").contains("RI-" + library), refused.text("detail"));
    assertEquals(
        200,
        lead.send(
                "PUT",
                LIBRARIES + library + "/versions",
                Api.body("tools", List.of(tool), "follow", false))
            .status());
    assertEquals(200, change(one.api(), tool, "11").status(), "the other holds its version");
  }

  @Test
  void aReferenceIsReadOnlyForAllAndStaysAtItsVersions() {
    Person owner = person("PROGRAMMER");
    assertEquals(
        200,
        share(lead, library, "REFERENCE", List.of(person(owner, "OWNER")), List.of()).status());
    for (Api api : List.of(lead, owner.api(), as("PROGRAMMER"))) {
      Api.Answer refused =
          api.post(LIBRARIES + library + "/tools", Draft.mill("RIR-" + library, "8"));
      assertEquals(403, refused.status());
      assertTrue(refused.text("detail").contains("reference"), refused.text("detail"));
      assertEquals(200, api.get(LIBRARIES + library + "/tools").status());
    }
    assertEquals(403, change(lead, tool, "14").status());
    long elsewhere = library("Beside " + library);
    assertEquals(
        200, lead.post(LIBRARIES + elsewhere + "/copy", Api.body("tools", List.of(tool))).status());
    assertEquals(200, change(lead, tool, "14").status());
    JsonNode listed = lead.get(LIBRARIES + library + "/tools").at("items").get(0);
    assertEquals("10", listed.at("/values/DC/text").asString());
    assertEquals(200, share(owner.api(), library, "SHOP", List.of(), List.of()).status());
    assertEquals(
        201,
        owner
            .api()
            .post(LIBRARIES + library + "/tools", Draft.mill("RIR-" + library, "8"))
            .status());
  }

  @Test
  void aPrivateLibraryIsOfWhoeverOpensItAndNobodyElseSeesIt() {
    Person owner = person("PROGRAMMER");
    Person other = person("PROGRAMMER");
    String name = "Own " + owner.name();
    long id =
        owner.api().post("/api/v1/libraries?sharing=PRIVATE", Api.body("name", name)).number("id");
    long hidden = tool(owner.api(), id, "RIP-" + id);
    assertEquals(
        409,
        as("PROGRAMMER")
            .post("/api/v1/libraries?sharing=PRIVATE", Api.body("name", "K" + name))
            .status());
    assertTrue(names(owner.api()).contains(name));
    assertFalse(names(other.api()).contains(name));
    assertTrue(names(lead).contains(name), "the lead is told that it is there");
    assertEquals(403, lead.get(LIBRARIES + id + "/tools").status());
    assertEquals(404, other.api().get(LIBRARIES + id).status());
    for (String spelt : List.of("%6Cibraries/" + id, "%74ools/" + hidden)) {
      assertEquals(404, other.api().get(URI.create("/api/v1/" + spelt)).status(), spelt);
    }
    assertEquals(404, other.api().get("/api/v1/tools/%d/attachments".formatted(hidden)).status());
    assertEquals(404, other.api().get("/api/v1/tools/" + hidden).status());
    assertEquals(0, other.api().get("/api/v1/tools?q=RIP-" + id).at("items").size());
    assertEquals(1, owner.api().get("/api/v1/tools?q=RIP-" + id).at("items").size());
    assertEquals(0, other.api().get("/api/v1/tools/ids?q=RIP-" + id).at("items").size());
    assertEquals(0, other.api().get("/api/v1/tools/facets?q=RIP-" + id).number("total"));
    assertFalse(other.api().get("/api/v1/trail?limit=50").body().toString().contains("RIP-" + id));
    assertTrue(owner.api().get("/api/v1/trail?limit=50").body().toString().contains("RIP-" + id));
    assertEquals(
        200,
        share(
                owner.api(),
                id,
                "PRIVATE",
                List.of(person(owner, "OWNER"), person(other, "USE")),
                List.of(),
                owner.api())
            .status());
    assertEquals(200, other.api().get("/api/v1/tools/" + hidden).status());
  }

  private Api.Answer share(
      Api api, long id, String sharing, List<?> people, List<?> roles, Api seen) {
    return api.send(
        "PUT",
        LIBRARIES + id + "/rights",
        Api.body(
            "sharing", sharing,
            "people", people,
            "roles", roles,
            "stamp", seen.get(LIBRARIES + id + "/rights").text("stamp")));
  }

  private static List<String> names(Api api) {
    List<String> names = new ArrayList<>();
    api.get("/api/v1/libraries").at("items").forEach(one -> names.add(one.get("name").asString()));
    return names;
  }

  @Test
  void everyAddressOfAPrivateLibraryAndItsToolsIsNotThereForOthers() {
    Person owner = person("PROGRAMMER");
    Person other = person("PROGRAMMER");
    long id =
        owner
            .api()
            .post("/api/v1/libraries?sharing=PRIVATE", Api.body("name", "Deep " + owner.name()))
            .number("id");
    long hidden = tool(owner.api(), id, "RID-" + id);
    JsonNode paths = lead.get("/api/v1/openapi.json").body().get("paths");
    int asked = 0;
    for (Map.Entry<String, JsonNode> path : paths.properties()) {
      boolean ofLibrary = path.getKey().startsWith("/api/v1/libraries/{id}");
      boolean ofTool = path.getKey().startsWith("/api/v1/tools/{id}");
      if (!ofLibrary && !ofTool) {
        continue;
      }
      String address =
          path.getKey()
              .replace("{id}", Long.toString(ofLibrary ? id : hidden))
              .replace("{toolId}", Long.toString(hidden))
              .replaceAll("\\{[a-zA-Z]+\\}", "1");
      for (Map.Entry<String, JsonNode> method : path.getValue().properties()) {
        Api.Answer answer =
            method.getKey().equals("get")
                ? other.api().get(address)
                : other.api().send(method.getKey().toUpperCase(), address, Api.body());
        assertEquals(404, answer.status(), method.getKey() + " " + address);
        asked++;
      }
    }
    assertTrue(asked > 30, asked + " addresses");
  }

  @Test
  void aPrivateLibraryThatWasDeletedIsBroughtBackByItsOwnerOnly() {
    Person owner = person("PROGRAMMER");
    Person other = person("PROGRAMMER");
    String name = "Gone " + owner.name();
    long id =
        owner.api().post("/api/v1/libraries?sharing=PRIVATE", Api.body("name", name)).number("id");
    tool(owner.api(), id, "RIG-" + id);
    long undo = owner.api().send("DELETE", LIBRARIES + id, null).number("undo");
    String path = "/api/v1/trail/%d/undo".formatted(undo);
    for (Api api : List.of(other.api(), lead)) {
      assertFalse(api.get("/api/v1/trail?limit=50").body().toString().contains(name));
      assertEquals(404, api.post(path, null).status());
    }
    assertEquals(204, owner.api().post(path, null).status());
    assertTrue(names(owner.api()).contains(name));
    assertFalse(names(other.api()).contains(name));
  }

  @Test
  void aToolThatIsNotSeenIsNeitherPlannedNorKeptApart() {
    Person owner = person("PROGRAMMER");
    long id =
        owner
            .api()
            .post("/api/v1/libraries?sharing=PRIVATE", Api.body("name", "Plan " + owner.name()))
            .number("id");
    long hidden = tool(owner.api(), id, "RIH-" + id);
    assertEquals(
        404,
        as("TOOLROOM")
            .send("PUT", "/api/v1/machines/M1/plan/39", Api.body("toolId", hidden))
            .status());
    assertEquals(
        404,
        as("PROGRAMMER")
            .post("/api/v1/duplicates/apart", Api.body("tools", List.of(hidden, tool)))
            .status());
    assertEquals(
        404,
        as("PROGRAMMER")
            .post(LIBRARIES + library + "/copy", Api.body("tools", List.of(hidden)))
            .status());
  }

  @Test
  void whatHangsInAMachineIsSeenByAllButNotWhereItWasPickedFrom() {
    Person owner = person("LEAD");
    String name = "Trials " + owner.name();
    long id =
        owner.api().post("/api/v1/libraries?sharing=PRIVATE", Api.body("name", name)).number("id");
    long hidden = tool(owner.api(), id, "RIP-" + id);
    String place = "/api/v1/machines/M1/plan/39";
    Api.Answer put = owner.api().send("PUT", place, Api.body("toolId", hidden, "libraryId", id));
    assertEquals(200, put.status(), put.toString());
    try {
      JsonNode his = planned(owner.api(), hidden);
      assertEquals(name, his.get("library").asString());
      assertTrue(his.get("seen").asBoolean());
      for (Api other : List.of(lead, as("OPERATOR"))) {
        JsonNode row = planned(other, hidden);
        assertEquals("RIP-" + id, row.get("code").asString());
        assertFalse(row.get("seen").asBoolean());
        assertEquals(404, other.get("/api/v1/tools/" + hidden).status());
        assertFalse(other.get("/api/v1/machines/M1").toString().contains(name));
      }
    } finally {
      lead.send("DELETE", place, null);
    }
  }

  private static JsonNode planned(Api api, long tool) {
    return api.get("/api/v1/machines/M1")
        .at("plan")
        .valueStream()
        .filter(row -> row.get("toolId").asLong() == tool)
        .findFirst()
        .orElseThrow();
  }

  @Test
  void theLastOwnerOfAPrivateLibraryStays() {
    Person owner = person("PROGRAMMER");
    Person other = person("PROGRAMMER");
    long id =
        owner
            .api()
            .post("/api/v1/libraries?sharing=PRIVATE", Api.body("name", "Last " + owner.name()))
            .number("id");
    assertEquals(
        409,
        share(
                owner.api(),
                id,
                "PRIVATE",
                List.of(person(owner, "MAINTAIN")),
                List.of(),
                owner.api())
            .status());
    Api.Answer refused =
        lead.send("PATCH", "/api/v1/accounts/" + owner.account(), Api.body("disabled", true));
    assertEquals(409, refused.status());
    assertTrue(refused.text("detail").contains("Last " + owner.name()));
    assertEquals(
        409,
        lead.send("PATCH", "/api/v1/accounts/" + owner.account(), Api.body("role", "VISITOR"))
            .status(),
        "a visitor cannot own a library");
    assertEquals(
        200,
        share(lead, id, "PRIVATE", List.of(person(other, "OWNER")), List.of(), lead).status(),
        "the lead hands it on");
    assertEquals(404, owner.api().get(LIBRARIES + id).status());
    assertEquals(
        200,
        lead.send("PATCH", "/api/v1/accounts/" + owner.account(), Api.body("disabled", true))
            .status());
  }

  @Test
  void rightsThatARoleCannotHaveAreRefused() {
    Person visitor = person("VISITOR");
    Api.Answer refused =
        share(lead, library, "SHOP", List.of(person(visitor, "MAINTAIN")), List.of());
    assertEquals(400, refused.status());
    assertTrue(refused.text("detail").contains("at most"), refused.text("detail"));
    assertEquals(
        400,
        share(
                lead,
                library,
                "SHOP",
                List.of(),
                List.of(Api.body("role", "OPERATOR", "right", "OWNER")))
            .status());
    assertEquals(400, share(lead, library, null, List.of(), List.of()).status());
    assertEquals(
        409,
        lead.send(
                "PUT",
                LIBRARIES + library + "/rights",
                Api.body("sharing", "REFERENCE", "stamp", "seen long ago"))
            .status());
  }

  @Test
  void aChangeOfRightsIsTakenBack() {
    Person one = person("PROGRAMMER");
    long undo =
        share(lead, library, "REFERENCE", List.of(person(one, "OWNER")), List.of()).number("undo");
    assertEquals(
        403, as("PROGRAMMER").post("/api/v1/trail/%d/undo".formatted(undo), null).status());
    assertEquals(204, lead.post("/api/v1/trail/%d/undo".formatted(undo), null).status());
    Api.Answer rights = lead.get(LIBRARIES + library + "/rights");
    assertEquals("SHOP", rights.text("sharing"));
    assertEquals(0, rights.at("people").size());
  }

  @Test
  void somebodyHasALibraryThatIsProposedFirst() {
    Person one = person("PROGRAMMER");
    assertEquals(
        204,
        one.api().send("PUT", "/api/v1/session/library", Api.body("library", library)).status());
    assertEquals(library, one.api().get("/api/v1/session").number("defaultLibrary"));
    assertEquals(
        404,
        one.api().send("PUT", "/api/v1/session/library", Api.body("library", 999_999)).status());
  }
}
