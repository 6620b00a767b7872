package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.function.UnaryOperator;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Jobs call tools of libraries, and what they call is not changed under them unseen. */
class JobsTest extends ServerTest {

  private static final String JOBS = "/api/v1/jobs";

  private String unique;
  private String machine;
  private long library;
  private final List<Long> mills = new ArrayList<>();

  @BeforeEach
  void aMachineWithThreeMills() {
    unique = Long.toString(System.nanoTime(), 36).toUpperCase();
    machine = machine("M1", definition -> definition);
    library = library("Jobs " + unique);
    for (int i = 1; i <= 3; i++) {
      mills.add(tool(Draft.mill("JB%d-%d".formatted(i, library), "10")));
      put(Integer.toString(i), mills.getLast());
    }
  }

  private String machine(String like, UnaryOperator<ObjectNode> otherwise) {
    String id = "J" + unique.substring(unique.length() - 6) + like;
    ObjectNode definition =
        otherwise.apply((ObjectNode) lead.get("/api/v1/machines/" + like).at("machine").deepCopy());
    definition.put("id", id).put("name", "Jobs " + id);
    assertEquals(201, lead.post("/api/v1/machines", Api.body("machine", definition)).status());
    return id;
  }

  private long tool(Object draft) {
    return lead.post("/api/v1/libraries/%d/tools".formatted(library), draft).number("toolId");
  }

  private String path(String rest) {
    return "/api/v1/machines/" + machine + rest;
  }

  private void put(String place, long tool) {
    Api.Answer put =
        lead.send("PUT", path("/plan/" + place), Api.body("toolId", tool, "libraryId", library));
    assertEquals(200, put.status(), put.toString());
  }

  private String name() {
    return "Winch drum " + unique;
  }

  private Api.Answer job(String name, Object... tools) {
    return lead.post(
        JOBS, Api.body("job", Api.body("name", name, "machine", machine, "tools", List.of(tools))));
  }

  private Object call(int number, long tool) {
    return Api.body("number", number, "toolId", tool, "libraryId", library);
  }

  /** A job that calls all that is planned, as it is numbered. */
  private long jobOfLoad() {
    Api.Answer made =
        lead.post(
            JOBS, Api.body("job", Api.body("name", name(), "machine", machine), "ofLoad", true));
    assertEquals(201, made.status(), made.toString());
    return made.number("id");
  }

  private List<String> tools(long job) {
    return lead.get(JOBS + "/" + job)
        .at("tools")
        .valueStream()
        .map(tool ->
            "T%d %s: %s"
                .formatted(
                    tool.get("number").asInt(),
                    tool.get("code").asString().replace("-" + library, ""),
                    tool.get("stands").asString()))
        .toList();
  }

  private String lastWords() {
    return lead.get("/api/v1/trail?size=1").at("items").get(0).get("text").asString();
  }

  @Test
  void aJobOfALoadFindsAllItsTools() {
    long job = jobOfLoad();
    assertEquals(
        List.of("T1 JB1: in pocket 1", "T2 JB2: in pocket 2", "T3 JB3: in pocket 3"), tools(job));
    JsonNode head = lead.get(JOBS + "/" + job).at("head");
    assertEquals(3, head.get("tools").asInt());
    assertEquals(0, head.get("missing").asInt());
    assertEquals(name(), lead.get(path("")).at("plan").get(0).at("/jobs/0/name").asString());
  }

  @Test
  void whatTheProgramWouldNotFindIsSaid() {
    long outside = tool(Draft.mill("JBX-" + library, "12"));
    Api.Answer made = job(name(), call(8, mills.getFirst()), call(9, outside));
    assertEquals(201, made.status(), made.toString());
    assertEquals(
        List.of("T8 JB1: in pocket 1, where it is T1", "T9 JBX: not in the load"),
        tools(made.number("id")));
    JsonNode head = lead.get(JOBS + "?machine=" + machine).at("items").get(0);
    assertEquals(2, head.get("missing").asInt());
  }

  @Test
  void toolsWithoutANumberAreNumberedAsTheyArePlannedElseAsInTheirLibrary() {
    lead.send("PUT", path("/numbers"), Api.body("places", List.of("1"), "first", 30));
    long outside = tool(Draft.mill("JBX-" + library, "12"));
    Api.Answer made =
        job(
            name(),
            Api.body("toolId", mills.getFirst(), "libraryId", library),
            Api.body("toolId", outside, "libraryId", library),
            call(2, mills.get(1)),
            Api.body("toolId", mills.get(1), "libraryId", library));
    assertEquals(201, made.status(), made.toString());
    assertEquals(
        List.of(
            "T2 JB2: in pocket 2",
            "T4 JBX: not in the load",
            "T5 JB2: in pocket 2, where it is T2",
            "T30 JB1: in pocket 1"),
        tools(made.number("id")));
  }

  @Test
  void whereNumberAndPlaceAreOneAJobCallsPlacesThatAreThere() {
    machine = machine("M2", definition -> definition);
    put("1", mills.getFirst());
    for (int more = 0; more < 30; more++) {
      mills.add(tool(Draft.mill("JC%d-%d".formatted(more, library), "10")));
    }
    Api.Answer made =
        job(
            name(),
            Api.body("toolId", mills.getFirst(), "libraryId", library),
            Api.body("toolId", mills.getLast(), "libraryId", library),
            call(99, mills.get(1)));
    assertEquals(
        List.of("T1 JB1: in pocket 1", "T2 JC29: not in the load", "T99 JB2: no pocket 99"),
        tools(made.number("id")));
  }

  @Test
  void aToolThatAJobCallsStaysUnlessTheLeadHasItGo() {
    jobOfLoad();
    String place = path("/plan/2");
    Api.Answer toolroom = as("TOOLROOM").send("DELETE", place, null);
    assertEquals(409, toolroom.status());
    String calls =
        "%s calls JB2-%d as T2, and it would not be in the load".formatted(name(), library);
    assertEquals(
        calls + ": finish or change the job first, or ask the lead, who may change it all the same",
        toolroom.text("detail"));
    assertEquals(403, as("TOOLROOM").send("DELETE", place + "?changeJobs=true", null).status());
    Api.Answer asked = lead.send("DELETE", place, null);
    assertEquals(409, asked.status());
    assertEquals(name(), asked.body().at("/details/jobs/0/name").asString(), asked.toString());
    assertEquals(3, lead.get(path("")).at("plan").size(), "nothing half done");
    Api.Answer done = lead.send("DELETE", place + "?changeJobs=true", null);
    assertEquals(200, done.status(), done.toString());
    assertTrue(lastWords().endsWith(", although " + calls), lastWords());
  }

  @Test
  void anotherNumberOrAnotherToolInThePlaceWouldChangeTheJob() {
    jobOfLoad();
    Api.Answer renumbered =
        lead.send("PUT", path("/numbers"), Api.body("places", List.of("3"), "first", 30));
    assertEquals(409, renumbered.status());
    assertTrue(renumbered.text("detail").contains("as T3, and it would be T30"));
    assertEquals(
        200,
        lead.send(
                "PUT",
                path("/numbers?changeJobs=true"),
                Api.body("places", List.of("3"), "first", 30))
            .status());
    long other = tool(Draft.mill("JBY-" + library, "12"));
    assertEquals(409, lead.send("PUT", path("/plan/1"), Api.body("toolId", other)).status());
    assertEquals(
        200,
        lead.send("PUT", path("/plan/20"), Api.body("toolId", mills.getFirst())).status(),
        "another place is found by the same number");
  }

  @Test
  void aLoadWithoutItsToolsIsNotTaken() {
    jobOfLoad();
    Api.Answer planned =
        lead.post(
            path("/load/plan"),
            Api.body(
                "wanted",
                List.of(Api.body("toolId", mills.getFirst(), "libraryId", library)),
                "keep",
                List.of()));
    List<JsonNode> one =
        planned
            .at("placement")
            .valueStream()
            .filter(place -> place.get("toolId").asLong() == mills.getFirst())
            .toList();
    var load = Api.body("placement", one, "stamp", planned.text("stamp"));
    Api.Answer refused = lead.send("PUT", path("/load"), load);
    assertEquals(409, refused.status());
    assertTrue(refused.text("detail").contains("would not be in the load"), refused.toString());
    assertEquals(3, lead.get(path("")).at("plan").size());
    assertEquals(200, lead.send("PUT", path("/load?changeJobs=true"), load).status());
  }

  @Test
  void aChainThatGetsShorterAndTakingBackAskAfterJobsToo() {
    jobOfLoad();
    JsonNode base = lead.get(path("")).at("machine");
    ObjectNode shorter = (ObjectNode) base.deepCopy();
    ((ObjectNode) shorter.at("/storages/0")).put("places", 2);
    var order = Api.body("base", base, "wanted", shorter, "letFall", true);
    Api.Answer look = lead.send("PUT", path("/definition?preview=true"), order);
    assertEquals(name(), look.at("jobs").get(0).get("name").asString(), look.toString());
    assertEquals(base, lead.get(path("")).at("machine"), "a look changes nothing");
    assertEquals(3, lead.get(path("")).at("plan").size(), "nor the load");
    assertEquals(409, lead.send("PUT", path("/definition"), order).status());
    assertEquals(200, lead.send("PUT", path("/definition?changeJobs=true"), order).status());
    Api.Answer put = lead.send("PUT", path("/plan/2"), Api.body("toolId", mills.get(2)));
    assertEquals(409, put.status(), "the second tool would leave");
    long undo =
        lead.send("PUT", path("/plan/1"), Api.body("toolId", mills.getFirst(), "length", "100"))
            .number("undo");
    assertEquals(204, lead.post("/api/v1/trail/%d/undo".formatted(undo), null).status());
  }

  @Test
  void whatPutAToolInIsNotTakenBackUnderAJob() {
    long fourth = tool(Draft.mill("JBZ-" + library, "12"));
    long undo = lead.send("PUT", path("/plan/4"), Api.body("toolId", fourth)).number("undo");
    jobOfLoad();
    Api.Answer back = lead.post("/api/v1/trail/%d/undo".formatted(undo), null);
    assertEquals(409, back.status());
    assertEquals(
        "%s calls JBZ-%d as T4, and it would not be in the load: finish or change the job first"
            .formatted(name(), library),
        back.text("detail"));
    assertEquals(4, lead.get(path("")).at("plan").size());
  }

  @Test
  void aFinishedJobLetsItsToolsGoAndAnOpenedOneDoesNot() {
    long job = jobOfLoad();
    String finished = "%s/%d/finished".formatted(JOBS, job);
    assertEquals(200, lead.send("PUT", finished, Api.body("finished", true)).status());
    assertEquals(409, lead.send("PUT", finished, Api.body("finished", true)).status());
    assertEquals(200, lead.send("DELETE", path("/plan/2"), null).status());
    assertEquals(200, lead.send("PUT", finished, Api.body("finished", false)).status());
    assertEquals(409, lead.send("DELETE", path("/plan/1"), null).status());
    Api.Answer deleted = lead.send("DELETE", JOBS + "/" + job, null);
    assertEquals(404, lead.get(JOBS + "/" + job).status());
    assertEquals(
        204, lead.post("/api/v1/trail/%d/undo".formatted(deleted.number("undo")), null).status());
    assertEquals(3, tools(job).size());
  }

  @Test
  void aDrillThatIsTurnedRoundIsAnotherToolToItsProgram() {
    machine = machine("L1", definition -> definition);
    long drill =
        tool(
            Draft.of(
                "JBD-" + library,
                "Drill",
                "drill-twist",
                "DC=10 DMM=10 LCF=61 OAL=103 LU=50 SIG=140 NOF=2"));
    put("2", drill);
    jobOfLoad();
    Api.Answer along = lead.send("PUT", path("/plan/2/use"), Api.body("angle", 0));
    assertEquals(409, along.status(), along.toString());
    assertTrue(along.text("detail").contains("driven across"), along.text("detail"));
    assertTrue(along.text("detail").contains("it would be driven along"), along.text("detail"));
    assertEquals(
        200, lead.send("PUT", path("/plan/2/use?changeJobs=true"), Api.body("angle", 0)).status());
  }

  private List<String> links(String query) {
    return lead.get("/api/v1/links" + query)
        .at("items")
        .valueStream()
        .filter(link -> link.at("/from/name").asString().equals(name()))
        .map(link ->
            "%s %s: %s"
                .formatted(
                    link.get("relation").asString(),
                    link.at("/to/id").asString(),
                    link.get("stray").asString("sound")))
        .toList();
  }

  @Test
  void aJobIsLinkedAndTouched() {
    long job = jobOfLoad();
    assertEquals(
        List.of(
            "runs on %s: sound".formatted(machine),
            "takes tools from %d: sound".formatted(library)),
        links("?from=JOB"));
    for (String asked :
        List.of(
            "kind=TOOL&id=" + mills.getFirst(),
            "kind=LIBRARY&id=" + library,
            "kind=MACHINE&id=" + machine)) {
      assertTrue(
          lead.get("/api/v1/touches?" + asked)
              .body()
              .toString()
              .contains("\"/jobs/%d\"".formatted(job)),
          asked);
    }
    String other = machine("M3", definition -> definition);
    assertEquals(409, lead.send("DELETE", path(""), null).status(), "a job runs on it");
    assertEquals(200, lead.send("DELETE", path("?changeJobs=true"), null).status());
    assertEquals(
        List.of("runs on %s: the machine was retired".formatted(machine)), links("?strays=true"));
    var link =
        Api.body("fromKind", "JOB", "from", Long.toString(job), "toKind", "MACHINE", "to", machine);
    assertEquals(
        200,
        lead.post(
                "/api/v1/links/anew",
                Api.body("links", List.of(link), "kind", "MACHINE", "id", other))
            .status());
    assertEquals(List.of(), links("?strays=true"));
  }

  @Test
  void aJobTakesItsToolsFromAnotherLibraryThatHasThemAll() {
    long job = jobOfLoad();
    long other = library("Jobs elsewhere " + unique);
    var link =
        Api.body(
            "fromKind",
            "JOB",
            "from",
            Long.toString(job),
            "toKind",
            "LIBRARY",
            "to",
            Long.toString(library));
    Api.Answer refused =
        lead.post(
            "/api/v1/links/anew",
            Api.body("links", List.of(link), "kind", "LIBRARY", "id", Long.toString(other)));
    assertEquals(409, refused.status());
    assertTrue(refused.text("detail").contains("does not have JB1"), refused.toString());
  }

  @Test
  void aJobIsCopiedToAnotherMachine() {
    long job = jobOfLoad();
    String first = machine;
    machine = machine("M3", definition -> definition);
    Api.Answer copy =
        lead.post(
            JOBS,
            Api.body("job", Api.body("name", name() + " copy", "machine", machine), "copyOf", job));
    assertEquals(201, copy.status(), copy.toString());
    assertEquals(
        List.of("T1 JB1: not in the load", "T2 JB2: not in the load", "T3 JB3: not in the load"),
        tools(copy.number("id")));
    assertFalse(first.equals(machine));
  }

  @Test
  void wrongJobsAreRefusedInWords() {
    long tool = mills.getFirst();
    assertEquals(400, job(" ", call(1, tool)).status());
    Api.Answer twice = job(name(), call(1, tool), call(1, mills.get(1)));
    assertEquals(400, twice.status());
    assertEquals(
        "tools, lines 1 and 2: T1 calls one tool; give one of them another number",
        twice.text("detail"));
    assertEquals(400, job(name(), call(0, tool)).status());
    assertEquals(404, job(name(), call(1, 999_999_999L)).status());
    assertEquals(400, job(name(), Api.body("number", 1)).status());
    assertEquals(400, job(name(), call(2_000_000_000, tool)).status());
    assertEquals(400, lead.post(JOBS, Api.body()).status());
    assertEquals(
        404,
        lead.post(JOBS, Api.body("job", Api.body("name", name(), "machine", "NONE"))).status());
    long elsewhere = library("Jobs other " + unique);
    assertEquals(
        409, job(name(), Api.body("number", 1, "toolId", tool, "libraryId", elsewhere)).status());
    long job = jobOfLoad();
    assertEquals(409, job(name()).status(), "the name is taken");
    var order = Api.body("name", name(), "machine", machine, "tools", List.of());
    assertEquals(409, lead.send("PUT", "%s/%d?version=9".formatted(JOBS, job), order).status());
    assertEquals(200, lead.send("PUT", "%s/%d?version=1".formatted(JOBS, job), order).status());
    assertEquals(403, as("OPERATOR").send("DELETE", JOBS + "/" + job, null).status());
  }

  @Test
  void ofTwentyJobsOfOneNameOneIsMade() {
    List<Integer> answers =
        IntStream.range(0, 20)
            .mapToObj(one -> CompletableFuture.supplyAsync(() -> job(name()).status()))
            .toList()
            .stream()
            .map(CompletableFuture::join)
            .sorted()
            .toList();
    assertEquals(201, answers.getFirst());
    assertEquals(List.of(409), answers.subList(1, 20).stream().distinct().toList());
  }
}
