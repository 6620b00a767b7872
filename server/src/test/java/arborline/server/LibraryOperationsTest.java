package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Every operation on a library and its editions, asked by programmers with every right. */
class LibraryOperationsTest extends ServerTest {

  private static final List<String> RIGHTS = List.of("USE", "PROPOSE", "MAINTAIN", "OWNER");

  /** The least right that an operation needs; what is not named needs to see the library. */
  private static final Map<String, String> NEEDED =
      Map.ofEntries(
          Map.entry("patch /libraries/{id}", "OWNER"),
          Map.entry("delete /libraries/{id}", "OWNER"),
          Map.entry("put /libraries/{id}/rights", "OWNER"),
          Map.entry("post /libraries/{id}/tools", "MAINTAIN"),
          Map.entry("post /libraries/{id}/tools/{toolId}/copy", "MAINTAIN"),
          Map.entry("delete /libraries/{id}/tools/{toolId}", "MAINTAIN"),
          Map.entry("post /libraries/{id}/tools/out", "MAINTAIN"),
          Map.entry("post /libraries/{id}/copy", "MAINTAIN"),
          Map.entry("post /libraries/{id}/merge", "MAINTAIN"),
          Map.entry("put /libraries/{id}/versions", "MAINTAIN"),
          Map.entry("post /libraries/{id}/sections", "MAINTAIN"),
          Map.entry("patch /libraries/{id}/sections/{sectionId}", "MAINTAIN"),
          Map.entry("delete /libraries/{id}/sections/{sectionId}", "MAINTAIN"),
          Map.entry("post /libraries/{id}/sections/{sectionId}/tools", "MAINTAIN"),
          Map.entry("post /libraries/{id}/sections/{sectionId}/tools/out", "MAINTAIN"),
          Map.entry("put /libraries/{id}/naming", "MAINTAIN"),
          Map.entry("post /libraries/{id}/naming/rename", "MAINTAIN"),
          Map.entry("post /libraries/{id}/held-tools", "MAINTAIN"),
          Map.entry("post /libraries/{id}/history/back", "MAINTAIN"),
          Map.entry("get /libraries/{id}/history/compare", "MAINTAIN"),
          Map.entry("post /libraries/{id}/editions", "MAINTAIN"),
          Map.entry("post /editions/{id}/back", "MAINTAIN"),
          Map.entry("post /libraries/{id}/includes", "MAINTAIN"),
          Map.entry("delete /libraries/{id}/includes/{include}", "MAINTAIN"),
          Map.entry("post /libraries/{id}/base-update", "MAINTAIN"),
          Map.entry("delete /libraries/{id}/base", "OWNER"));

  /** What a body has to say so that it is read at all. */
  private static final Map<String, Object> BODY =
      Api.body(
          "name",
          "",
          "tools",
          List.of(1),
          "from",
          List.of(999_999_999),
          "sharing",
          "SHOP",
          "words",
          "x".repeat(501),
          "line",
          1);

  private record Operation(String method, String path) {

    String key() {
      return method + " " + path;
    }

    Api.Answer ask(Api api, long library, long edition) {
      String address =
          "/api/v1"
              + path.replace(
                      "{id}", Long.toString(path.startsWith("/editions") ? edition : library))
                  .replaceAll("\\{[a-zA-Z]+\\}", "999999999");
      return method.equals("get")
          ? api.get(address + (path.endsWith("compare") ? "?from=1&to=0&a=" + edition : ""))
          : api.send(method.toUpperCase(), address, BODY);
    }
  }

  private List<Operation> operations() {
    List<Operation> operations = new ArrayList<>();
    JsonNode paths = lead.get("/api/v1/openapi.json").body().get("paths");
    for (Map.Entry<String, JsonNode> path : paths.properties()) {
      String shortPath = path.getKey().replace("/api/v1", "");
      if (shortPath.startsWith("/libraries/{id}") || shortPath.startsWith("/editions")) {
        path.getValue()
            .properties()
            .forEach(method -> operations.add(new Operation(method.getKey(), shortPath)));
      }
    }
    return operations;
  }

  private void share(long library, String sharing, Object... roles) {
    Api.Answer shared =
        lead.send(
            "PUT",
            "/api/v1/libraries/%d/rights".formatted(library),
            Api.body(
                "sharing", sharing,
                "roles", List.of(roles),
                "stamp", lead.get("/api/v1/libraries/%d/rights".formatted(library)).text("stamp")));
    assertEquals(200, shared.status(), shared.toString());
  }

  @Test
  void otherRolesLookWhereTheyMayUseALibraryAndChangeNothingInIt() {
    long library = library("Other roles " + System.nanoTime());
    lead.post("/api/v1/libraries/%d/tools".formatted(library), Draft.mill("LR-" + library, "10"));
    long edition =
        lead.post("/api/v1/libraries/%d/editions".formatted(library), Api.body()).number("id");
    Map<String, String> wrong = new TreeMap<>();
    Map<String, List<String>> rights =
        Map.of(
            "TOOLROOM", List.of("USE", "PROPOSE"),
            "OPERATOR", List.of("USE"),
            "VISITOR", List.of("USE"));
    rights.forEach((role, some) -> {
      for (String right : some) {
        share(library, "SHOP", Api.body("role", role, "right", right));
        for (Operation operation : operations()) {
          Api.Answer answer = operation.ask(as(role), library, edition);
          boolean refused = answer.status() == 403;
          boolean changes = NEEDED.containsKey(operation.key());
          boolean looks = operation.method().equals("get") && !changes;
          if (changes && !refused || looks && refused || answer.status() >= 500) {
            wrong.put(operation.key() + " as " + role + " with " + right, answer.toString());
          }
        }
      }
    });
    assertEquals(Map.of(), wrong);
  }

  @Test
  void aPrivateLibraryIsNotThereForAnyRoleAndOnlySaidToTheLead() {
    Person owner = person("PROGRAMMER");
    long library =
        owner
            .api()
            .post(
                "/api/v1/libraries?sharing=PRIVATE",
                Api.body("name", "Hidden operations " + System.nanoTime()))
            .number("id");
    owner
        .api()
        .post("/api/v1/libraries/%d/tools".formatted(library), Draft.mill("LP-" + library, "10"));
    long edition =
        owner
            .api()
            .post("/api/v1/libraries/%d/editions".formatted(library), Api.body())
            .number("id");
    Map<String, String> wrong = new TreeMap<>();
    for (String role : List.of("LEAD", "PROGRAMMER", "TOOLROOM", "OPERATOR", "VISITOR")) {
      for (Operation operation : operations()) {
        boolean rights = operation.path().equals("/libraries/{id}/rights");
        Api.Answer answer = operation.ask(as(role), library, edition);
        boolean hidden = answer.status() == 404 || answer.status() == 403;
        if (!hidden && !(rights && role.equals("LEAD"))) {
          wrong.put(operation.key() + " as " + role, answer.toString());
        }
      }
    }
    assertEquals(Map.of(), wrong);
  }

  @Test
  void needsTheRightInTheLibrary() {
    long library = library("Operations " + System.nanoTime());
    lead.post("/api/v1/libraries/%d/tools".formatted(library), Draft.mill("LO-" + library, "10"));
    long edition =
        lead.post("/api/v1/libraries/%d/editions".formatted(library), Api.body()).number("id");
    Map<String, String> wrong = new TreeMap<>();
    int asked = 0;
    for (String right : RIGHTS) {
      lead.send(
          "PUT",
          "/api/v1/libraries/%d/rights".formatted(library),
          Api.body(
              "sharing", "SHOP",
              "roles", List.of(Api.body("role", "PROGRAMMER", "right", right)),
              "stamp", lead.get("/api/v1/libraries/%d/rights".formatted(library)).text("stamp")));
      for (Operation operation : operations()) {
        String needed = NEEDED.getOrDefault(operation.key(), "USE");
        boolean may = RIGHTS.indexOf(right) >= RIGHTS.indexOf(needed);
        if (may
            && operation.method().equals("delete")
            && operation.path().equals("/libraries/{id}")) {
          continue;
        }
        Api.Answer answer = operation.ask(as("PROGRAMMER"), library, edition);
        boolean refused = answer.status() == 403;
        if (refused == may || answer.status() >= 500) {
          wrong.put(operation.key() + " with " + right, answer.toString());
        }
        asked++;
      }
    }
    assertEquals(Map.of(), wrong);
    assertTrue(asked > 100, asked + " were asked");
  }
}
