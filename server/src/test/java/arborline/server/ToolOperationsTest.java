package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Function;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** What changes a tool, asked with whole bodies by every role with every right. */
class ToolOperationsTest extends ServerTest {

  private String name;
  private long library;
  private String code;
  private long tool;
  private long part;
  private long stack;
  private long line;

  @BeforeEach
  void aToolWithAllThatBelongs() {
    name = "Tool operations " + System.nanoTime();
    library = library(name);
    code = "TO-" + library;
    tool =
        lead.post("/api/v1/libraries/%d/tools".formatted(library), Draft.mill(code, "10"))
            .number("toolId");
    Map<String, Object> chuck = Draft.holder("TOH-" + library, "Chuck");
    chuck.put("workSide", "CY-SF-12:f");
    part = lead.post("/api/v1/components", chuck).number("id");
    stack = lead.post("/api/v1/tools/%d/stacks".formatted(tool), stack("first")).number("id");
    line =
        lead.post(
                "/api/v1/tools/%d/cutting".formatted(tool),
                Draft.cutting("p-alloy-annealed", "calculated"))
            .number("id");
  }

  private Map<String, Object> stack(String name) {
    return Api.body("name", name, "components", List.of(part));
  }

  private Map<String, Function<Api, Api.Answer>> operations() {
    Map<String, Function<Api, Api.Answer>> all = new LinkedHashMap<>();
    String own = "/api/v1/tools/" + tool;
    all.put("change", api -> api.send("PUT", own + "?version=1", Draft.mill(code, "11")));
    all.put("back", api -> api.post(own + "/back?version=1", null));
    all.put(
        "standing",
        api ->
            api.post(
                "/api/v1/tools/standing", Api.body("tools", List.of(tool), "standing", "CHECKED")));
    all.put("keep a cut", api -> api.post(own + "/cutting", Draft.cutting("k-grey", "calculated")));
    all.put("take a cut out", api -> api.send("DELETE", "/api/v1/cutting/" + line, null));
    all.put("keep a stack", api -> api.post(own + "/stacks", stack("second")));
    all.put(
        "change a stack",
        api -> api.send("PUT", "/api/v1/stacks/%d?version=1".formatted(stack), stack("other")));
    all.put("take a stack apart", api -> api.send("DELETE", "/api/v1/stacks/" + stack, null));
    all.put(
        "take it out",
        api -> api.send("DELETE", "/api/v1/libraries/%d/tools/%d".formatted(library, tool), null));
    return all;
  }

  private void share(String sharing, List<Object> people, List<Object> roles) {
    String rights = "/api/v1/libraries/%d/rights".formatted(library);
    Api.Answer shared =
        lead.send(
            "PUT",
            rights,
            Api.body(
                "sharing", sharing,
                "people", people,
                "roles", roles,
                "stamp", lead.get(rights).text("stamp")));
    assertEquals(200, shared.status(), shared.toString());
  }

  private Map<String, Integer> answers(Api api, int wanted) {
    Map<String, Integer> others = new TreeMap<>();
    operations()
        .forEach((name, operation) -> {
          int status = operation.apply(api).status();
          if (status != wanted) {
            others.put(name, status);
          }
        });
    return others;
  }

  @Test
  void areRefusedWithoutTheRightToChangeWhatIsInALibrary() {
    for (String right : List.of("USE", "PROPOSE")) {
      share("SHOP", List.of(), List.of(Api.body("role", "PROGRAMMER", "right", right)));
      assertEquals(Map.of(), answers(as("PROGRAMMER"), 403), right);
    }
    for (String role : List.of("TOOLROOM", "OPERATOR", "VISITOR")) {
      assertEquals(Map.of(), answers(as(role), 403), role);
    }
  }

  @Test
  void areRefusedToAllWhereOnlyAReferenceHoldsTheTool() {
    share("REFERENCE", List.of(), List.of());
    for (String role : List.of("LEAD", "PROGRAMMER", "TOOLROOM", "OPERATOR", "VISITOR")) {
      assertEquals(Map.of(), answers(as(role), 403), role);
    }
    assertEquals(
        "%s stands in library '%s', a reference: nobody changes it there. %s"
            .formatted(code, name, "the lead may share that library otherwise"),
        lead.post("/api/v1/tools/%d/stacks".formatted(tool), stack("second")).text("detail"));
  }

  @Test
  void areDoneWhereALibraryOfOnesOwnHoldsTheToolToo() {
    long own = library("Own tools " + System.nanoTime());
    assertEquals(
        200,
        lead.post("/api/v1/libraries/%d/copy".formatted(own), Api.body("tools", List.of(tool)))
            .status());
    share("REFERENCE", List.of(), List.of());
    Map<String, Integer> others = answers(lead, 200);
    others.values().removeIf(status -> status / 100 == 2);
    assertEquals(Map.of("take it out", 403), others);
  }

  @Test
  void areNotThereForThoseWhoDoNotSeeTheLibrary() {
    Person owner = person("PROGRAMMER");
    share("PRIVATE", List.of(Api.body("account", owner.account(), "right", "OWNER")), List.of());
    for (String role : List.of("PROGRAMMER", "LEAD")) {
      Map<String, Integer> others = answers(as(role), 404);
      others.values().removeIf(status -> status == 403 && role.equals("LEAD"));
      assertEquals(Map.of(), others, role);
    }
  }

  @Test
  void areDoneWithIt() {
    for (String right : List.of("MAINTAIN", "OWNER")) {
      aToolWithAllThatBelongs();
      share("SHOP", List.of(), List.of(Api.body("role", "PROGRAMMER", "right", right)));
      Map<String, Integer> others = answers(as("PROGRAMMER"), 200);
      others.values().removeIf(status -> status / 100 == 2);
      assertEquals(Map.of(), others, right);
    }
  }
}
