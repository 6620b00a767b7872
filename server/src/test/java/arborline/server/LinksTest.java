package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Links of the shop: where each leads, and what a change touches. */
class LinksTest extends ServerTest {

  private String name;
  private String machine;
  private long library;
  private long tool;

  @BeforeEach
  void aMachineWithItsLibraryAndPost() {
    name = "Links " + System.nanoTime();
    String unique = Long.toString(System.nanoTime(), 36).toUpperCase();
    machine = "K" + unique.substring(unique.length() - 8);
    ObjectNode definition = (ObjectNode) lead.get("/api/v1/machines/M1").at("machine").deepCopy();
    definition.put("id", machine).put("name", name + " machine");
    assertEquals(201, lead.post("/api/v1/machines", Api.body("machine", definition)).status());
    library = library(name);
    tool =
        lead.post(
                "/api/v1/libraries/%d/tools".formatted(library), Draft.mill("LK-" + library, "10"))
            .number("toolId");
    assertEquals(
        200,
        lead.send(
                "PUT",
                "/api/v1/machines/%s/library".formatted(machine),
                Api.body("library", library))
            .status());
    assertEquals(
        201,
        lead.post(
                "/api/v1/posts",
                Api.body(
                    "post",
                    Api.body(
                        "name",
                        name + " post",
                        "numbers",
                        Api.body("from", 1, "to", 99),
                        "offsetForm",
                        "SAME_AS_NUMBER",
                        "commentLength",
                        0,
                        "commentCharacters",
                        "",
                        "orientation",
                        false),
                    "machine",
                    machine,
                    "library",
                    library))
            .status());
    assertEquals(
        200,
        lead.send(
                "PUT",
                "/api/v1/machines/%s/plan/3".formatted(machine),
                Api.body("toolId", tool, "libraryId", library))
            .status());
  }

  private List<String> links(String query) {
    return lead.get("/api/v1/links" + query)
        .at("items")
        .valueStream()
        .filter(link -> link.toString().contains(name))
        .map(link ->
            "%s %s %s%s"
                .formatted(
                    link.at("/from/name").asString().replace(name, "-"),
                    link.get("relation").asString(),
                    link.at("/to/name").asString().replace(name, "-"),
                    link.get("stray").isNull() ? "" : ": " + link.get("stray").asString()))
        .sorted()
        .toList();
  }

  @Test
  void whatBelongsTogetherIsLinked() {
    assertEquals(
        List.of("- machine picks its tools from -", "- post brings -", "- post serves - machine"),
        links(""));
    assertEquals(List.of("- post serves - machine"), links("?from=POST&to=MACHINE"));
    assertEquals(List.of(), links("?strays=true"));
    assertEquals(400, lead.get("/api/v1/links?from=SHOE").status());
  }

  @Test
  void aRetiredMachineLeavesAStray() {
    assertEquals(200, lead.send("DELETE", "/api/v1/machines/" + machine, null).status());
    assertTrue(
        links("?strays=true")
            .contains("- post serves %s: the machine was retired".formatted(machine)),
        links("?strays=true").toString());
  }

  private Api.Answer anew(List<Object> links, String kind, Object id) {
    return lead.post(
        "/api/v1/links/anew", Api.body("links", links, "kind", kind, "id", id.toString()));
  }

  private static Map<String, Object> link(String fromKind, Object from, String toKind, Object to) {
    return Api.body(
        "fromKind", fromKind, "from", from.toString(), "toKind", toKind, "to", to.toString());
  }

  private long postId() {
    return lead.get("/api/v1/links?from=POST&to=LIBRARY")
        .at("items")
        .valueStream()
        .filter(one -> one.at("/from/name").asString().equals(name + " post"))
        .map(one -> one.at("/from/id").asLong())
        .findFirst()
        .orElseThrow();
  }

  @Test
  void linksAreSetAnewAllOrNone() {
    long other = library(name + " other");
    long post = postId();
    List<Object> both =
        List.of(
            link("MACHINE", machine, "LIBRARY", library), link("POST", post, "LIBRARY", library));
    assertEquals(404, anew(both, "LIBRARY", 999_999_999).status());
    Api.Answer half =
        anew(
            List.of(both.getFirst(), link("POST", 999_999_999, "LIBRARY", library)),
            "LIBRARY",
            other);
    assertEquals(404, half.status());
    assertTrue(links("").contains("- machine picks its tools from -"), "nothing half done");
    Api.Answer done = anew(both, "LIBRARY", other);
    assertEquals(200, done.status(), done.toString());
    assertEquals(2, done.number("set"));
    assertTrue(links("").contains("- machine picks its tools from - other"), links("").toString());
    assertTrue(links("").contains("- post brings - other"));
    assertEquals(400, anew(both, "MACHINE", machine).status());
    assertEquals(400, anew(List.of(), "LIBRARY", other).status());
    assertEquals(400, anew(List.of(Api.body("from", "x")), "LIBRARY", other).status());
    assertEquals(
        400, anew(List.of(link("POST", "x", "LIBRARY", library)), "LIBRARY", other).status());
    assertEquals(403, as("OPERATOR").post("/api/v1/links/anew", Api.body()).status());
  }

  @Test
  void aReplacedEditionSaysWhichIsThereAndIsTaken() {
    long first =
        lead.post("/api/v1/libraries/%d/editions".formatted(library), Api.body()).number("id");
    anew(List.of(link("MACHINE", machine, "LIBRARY", library)), "EDITION", first);
    lead.post("/api/v1/libraries/%d/tools".formatted(library), Draft.mill("LE-" + library, "12"));
    lead.post("/api/v1/libraries/%d/editions".formatted(library), Api.body());
    JsonNode stray =
        lead.get("/api/v1/links?from=MACHINE&strays=true")
            .at("items")
            .valueStream()
            .filter(one -> one.at("/from/id").asString().equals(machine))
            .findFirst()
            .orElseThrow();
    assertEquals("edition 2 is there", stray.get("stray").asString());
    assertEquals(name + ", edition 2", stray.at("/anew/name").asString());
    assertEquals(
        200,
        anew(
                List.of(link("MACHINE", machine, "EDITION", first)),
                "EDITION",
                stray.at("/anew/id").asString())
            .status());
    assertEquals(List.of(), links("?strays=true"));
  }

  @Test
  void stacksOfARetiredHolderAreBuiltOfAnother() {
    long old = holder("LH-" + library);
    long fresh = holder("LI-" + library);
    long held =
        lead.post(
                "/api/v1/libraries/%d/tools".formatted(library),
                Draft.of(
                    "LM-" + library, "Mill", "end-mill-flat", "DC=10 APMX=22 DMM=10 OAL=72 NOF=4"))
            .number("toolId");
    Api.Answer kept =
        lead.post("/api/v1/tools/%d/stacks".formatted(held), Draft.stack(List.of(old), 40));
    assertEquals(201, kept.status(), kept.toString());
    lead.send("PUT", "/api/v1/components/%d/retired?retired=true".formatted(old), null);
    JsonNode stray =
        lead.get("/api/v1/links?from=STACK&strays=true")
            .at("items")
            .valueStream()
            .filter(one -> one.at("/to/id").asLong() == old)
            .findFirst()
            .orElseThrow();
    assertEquals("LH-%d was retired".formatted(library), stray.get("stray").asString());
    assertEquals(
        List.of("HOLDER"), stray.get("aims").valueStream().map(JsonNode::asString).toList());
    long stack = stray.at("/from/id").asLong();
    assertEquals(200, anew(List.of(link("STACK", stack, "HOLDER", old)), "HOLDER", fresh).status());
    assertEquals(409, anew(List.of(link("STACK", stack, "HOLDER", old)), "HOLDER", fresh).status());
    assertEquals(
        fresh,
        lead.get("/api/v1/tools/%d/stacks".formatted(held))
            .at("items")
            .get(0)
            .at("/parts/0/id")
            .asLong());
  }

  private long holder(String code) {
    return lead.post("/api/v1/components", Draft.holder(code, "Shrink chuck")).number("id");
  }

  @Test
  void anOutletWritesAnotherLibrary() {
    long other = library(name + " fed");
    long outlet =
        lead.post(
                "/api/v1/outlets", Api.body("library", library, "format", "csv", "kind", "ADDRESS"))
            .at("outlet")
            .get("id")
            .asLong();
    assertEquals(
        200, anew(List.of(link("OUTLET", outlet, "LIBRARY", library)), "LIBRARY", other).status());
    assertEquals(other, lead.get("/api/v1/outlets/" + outlet).body().get("libraryId").asLong());
    lead.send("DELETE", "/api/v1/outlets/" + outlet, null);
  }

  private List<String> touched(Api api, String kind, Object id) {
    return api.get("/api/v1/touches?kind=%s&id=%s".formatted(kind, id))
        .at("items")
        .valueStream()
        .map(group ->
            "%d %s %s"
                .formatted(
                    group.get("count").asInt(),
                    group.get("kind").asString(),
                    group.at("/items/0/name").asString().replace(name, "-")))
        .toList();
  }

  @Test
  void aChangeOfAToolTouchesItsLibrariesMachinesStacksAndPosts() {
    assertEquals(
        List.of("1 LIBRARY -", "1 MACHINE - machine, place 3", "1 POST - post"),
        touched(lead, "TOOL", tool));
    assertEquals(
        List.of(
            "1 MACHINE - machine", "1 TOOL LK-%d, - machine".formatted(library), "1 POST - post"),
        touched(lead, "LIBRARY", library));
    assertEquals(
        List.of("1 POST - post", "1 TOOL LK-%d, place 3".formatted(library), "1 LIBRARY -"),
        touched(lead, "MACHINE", machine));
  }

  @Test
  void aHolderTouchesTheStacksToolsAndMachinesItHolds() {
    var draft = Draft.holder("LKH-" + library, "Chuck");
    draft.put("workSide", "CY-SF-12:f");
    long part = lead.post("/api/v1/components", draft).number("id");
    assertEquals(List.of(), touched(lead, "HOLDER", part));
    assertEquals(
        201,
        lead.post(
                "/api/v1/tools/%d/stacks".formatted(tool),
                Api.body("name", "first", "components", List.of(part)))
            .status());
    List<String> touched = touched(lead, "HOLDER", part);
    assertEquals(
        List.of(
            "1 STACK first of LK-" + library,
            "1 TOOL LK-" + library,
            "1 MACHINE - machine",
            "1 LIBRARY -"),
        touched);
  }

  @Test
  void ofManyToolsInAHolderThoseOfALibraryThatSomebodyDoesNotSeeDoNotCount() {
    var draft = Draft.holder("LKM-" + library, "Chuck");
    draft.put("workSide", "CY-SF-12:f");
    long part = lead.post("/api/v1/components", draft).number("id");
    for (int i = 0; i < 102; i++) {
      held(lead, "LM%d-%d".formatted(i, library), library, part);
    }
    Api owner = person("LEAD").api();
    long hidden =
        owner
            .post("/api/v1/libraries?sharing=PRIVATE", Api.body("name", name + " own"))
            .number("id");
    held(owner, "LMH-" + library, hidden, part);
    assertEquals(
        List.of("103 STACK of many", "103 TOOL"), counted(owner, part), "the owner sees them all");
    assertEquals(List.of("102 STACK of many", "102 TOOL"), counted(as("PROGRAMMER"), part));
  }

  private void held(Api api, String code, long in, long part) {
    long made =
        api.post("/api/v1/libraries/%d/tools".formatted(in), Draft.mill(code, "10"))
            .number("toolId");
    api.post(
        "/api/v1/tools/%d/stacks".formatted(made),
        Api.body("name", "many", "components", List.of(part)));
  }

  /** Stacks and tools that a holder touches, without the name of any. */
  private List<String> counted(Api api, long part) {
    return touched(api, "HOLDER", part).stream()
        .limit(2)
        .map(group -> group.replaceAll(" many of .*", " of many").replaceAll(" L[^ ]*$", ""))
        .toList();
  }

  @Test
  void whatSomebodyDoesNotSeeIsNotNamed() {
    var draft = Draft.holder("LKP-" + library, "Chuck");
    draft.put("workSide", "CY-SF-12:f");
    long part = lead.post("/api/v1/components", draft).number("id");
    lead.post(
        "/api/v1/tools/%d/stacks".formatted(tool),
        Api.body("name", "first", "components", List.of(part)));
    assertEquals(4, touched(lead, "HOLDER", part).size());
    Person owner = person("PROGRAMMER");
    String rights = "/api/v1/libraries/%d/rights".formatted(library);
    assertEquals(
        200,
        lead.send(
                "PUT",
                rights,
                Api.body(
                    "sharing", "PRIVATE",
                    "people", List.of(Api.body("account", owner.account(), "right", "OWNER")),
                    "roles", List.of(),
                    "stamp", lead.get(rights).text("stamp")))
            .status());
    Api other = as("PROGRAMMER");
    JsonNode links = other.get("/api/v1/links").at("items");
    assertTrue(
        links.valueStream().map(link -> link.at("/to/name").asString()).noneMatch(name::equals));
    assertEquals(List.of(), touched(other, "HOLDER", part));
    assertEquals(List.of("1 POST - post"), touched(other, "MACHINE", machine));
    assertEquals(404, other.get("/api/v1/touches?kind=TOOL&id=" + tool).status());
    assertEquals(404, other.get("/api/v1/touches?kind=LIBRARY&id=" + library).status());
    assertEquals(404, lead.get("/api/v1/touches?kind=MACHINE&id=M99").status());
    assertEquals(400, lead.get("/api/v1/touches?kind=TOOL&id=x").status());
    assertEquals(400, lead.get("/api/v1/touches?kind=OUTLET&id=1").status());
  }
}
