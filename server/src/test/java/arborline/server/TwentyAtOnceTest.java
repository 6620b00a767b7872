package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.LongStream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/** As many people at once as would need more connections to the database than there are. */
class TwentyAtOnceTest extends ServerTest {

  private static final int PEOPLE = 20;
  private static final String PATH = "/api/v1/deliveries/";

  /** More than a thousand lines, so that each order says how far it is while it runs. */
  private long balls(String prefix) {
    StringBuilder table =
        new StringBuilder("CODE,NAME,CLASS,DC [mm],RE [mm],APMX [mm],DMM [mm],OAL [mm],NOF\n");
    for (int i = 1; i <= 1200; i++) {
      table.append("%s-%d,Ball,end-mill-ball,10,4,22,10,72,2\n".formatted(prefix, i));
    }
    return lead.deliver(prefix + ".csv", table.toString());
  }

  private Api.Answer repair(long delivery) {
    return lead.post(
        PATH + delivery + "/repair", Api.body("finding", "ball-radius", "repair", "ball-radius"));
  }

  private static List<Api.Answer> atOnce(List<Callable<Api.Answer>> deeds) throws Exception {
    try (ExecutorService people = Executors.newFixedThreadPool(PEOPLE)) {
      return people.invokeAll(deeds).stream().map(Future::resultNow).toList();
    }
  }

  @Test
  void oneOfAllWhoOrderTheSameChangesTheLines() throws Exception {
    long delivery = balls("SAME");
    List<Api.Answer> answers =
        atOnce(
            LongStream.range(0, PEOPLE)
                .mapToObj(person -> (Callable<Api.Answer>) () -> repair(delivery))
                .toList());
    assertTrue(
        answers.stream().allMatch(answer -> List.of(200, 409).contains(answer.status())),
        answers.toString());
    assertEquals(
        List.of(1200L),
        answers.stream()
            .filter(answer -> answer.status() == 200)
            .map(answer -> answer.number("lines"))
            .filter(lines -> lines > 0)
            .toList());
    assertEquals(1200, lead.get(PATH + delivery).number("pass"));
  }

  @Test
  void allWhoPutDeliveriesOfTheirOwnRightAreServed() throws Exception {
    List<Callable<Api.Answer>> orders =
        LongStream.range(0, PEOPLE)
            .mapToObj(person -> balls("OWN" + person))
            .map(delivery -> (Callable<Api.Answer>) () -> repair(delivery))
            .toList();
    for (Api.Answer answer : atOnce(orders)) {
      assertEquals(200, answer.status(), answer.toString());
      assertEquals(1200, answer.number("lines"));
    }
  }

  @Test
  void librariesThatFollowAToolHoldItsNewestWhoeverCopiesWhileItChanges() throws Exception {
    Shelves shelves = new Shelves(lead);
    long home = shelves.library("At once: home");
    long tool = shelves.mills(home, "AT-ONCE-1").getFirst();
    List<Long> others =
        LongStream.range(0, PEOPLE / 2)
            .mapToObj(person -> shelves.library("At once: library " + person))
            .toList();
    List<Callable<Api.Answer>> deeds = new ArrayList<>();
    for (int i = 0; i < others.size(); i++) {
      String into = "/api/v1/libraries/%d/copy".formatted(others.get(i));
      String flutes = Integer.toString(2 + i);
      deeds.add(() -> lead.post(into, Api.body("tools", List.of(tool), "from", home)));
      deeds.add(() ->
          lead.post(
              "/api/v1/tools/bulk",
              Api.body("tools", List.of(tool), "kind", "VALUE", "symbol", "NOF", "text", flutes)));
    }
    for (Api.Answer answer : atOnce(deeds)) {
      assertEquals(200, answer.status(), answer.toString());
    }
    String newest =
        lead.get("/api/v1/tools/" + tool).body().at("/answer/values/NOF/text").asString();
    for (long library : others) {
      assertEquals(newest, shelves.rows(library, "").getFirst().at("/values/NOF/text").asString());
    }
  }

  @Test
  void aToolIsChangedWhileOthersTakeItOutOfTheirLibraries() throws Exception {
    Shelves shelves = new Shelves(lead);
    long home = shelves.library("At once: taken out");
    long tool = shelves.mills(home, "AT-ONCE-3").getFirst();
    List<Callable<Api.Answer>> deeds = new ArrayList<>();
    for (int i = 0; i < PEOPLE / 2; i++) {
      long other = shelves.library("At once: taken out of " + i);
      String library = "/api/v1/libraries/" + other;
      lead.post(library + "/copy", Api.body("tools", List.of(tool), "from", home));
      String reach = Integer.toString(20 + i);
      deeds.add(() -> lead.post(library + "/tools/out", Api.body("tools", List.of(tool))));
      deeds.add(() ->
          lead.post(
              "/api/v1/tools/bulk",
              Api.body("tools", List.of(tool), "kind", "VALUE", "symbol", "LU", "text", reach)));
    }
    for (Api.Answer answer : atOnce(deeds)) {
      assertEquals(200, answer.status(), answer.toString());
    }
    assertEquals(1 + PEOPLE / 2, lead.get("/api/v1/tools/" + tool).number("version"));
  }

  @Test
  void whatBelongsToAToolStandsBesideItWhoeverCopiesItMeanwhile() throws Exception {
    Shelves shelves = new Shelves(lead);
    long home = shelves.library("At once: belongings");
    long tool = shelves.mills(home, "AT-ONCE-2").getFirst();
    List<String> materials = List.of("p-alloy-annealed", "m-austenitic", "k-grey", "h-50");
    List<Long> others =
        LongStream.range(0, PEOPLE / 2)
            .mapToObj(person -> shelves.library("At once: belongings " + person))
            .toList();
    List<Callable<Api.Answer>> deeds = new ArrayList<>();
    for (int i = 0; i < others.size(); i++) {
      String into = "/api/v1/libraries/%d/copy".formatted(others.get(i));
      String material = materials.get(i % materials.size());
      deeds.add(() -> lead.post(into, Api.body("tools", List.of(tool), "from", home)));
      deeds.add(() ->
          lead.post(
              "/api/v1/tools/%d/cutting".formatted(tool), Draft.cutting(material, "CATALOGUE")));
    }
    for (Api.Answer answer : atOnce(deeds)) {
      assertTrue(List.of(200, 201).contains(answer.status()), answer.toString());
    }
    for (long library : others) {
      assertEquals(
          "h-50, k-grey, m-austenitic, p-alloy-annealed",
          shelves.rows(library, "&group=material").getFirst().get("group").asString());
    }
  }

  @Test
  void sectionsThatManyMakeAtOnceAreEachThereOnce() throws Exception {
    long library = library("At once: sections");
    String path = "/api/v1/libraries/%d/sections".formatted(library);
    List<Api.Answer> answers = atOnce(all(() -> lead.post(path, Api.body("name", "Roughing"))));
    assertEquals(1, answers.stream().filter(answer -> answer.status() == 201).count());
    assertEquals(PEOPLE - 1L, answers.stream().filter(answer -> answer.status() == 409).count());
    assertEquals(1, lead.get(path).at("items").size());
  }

  private static List<Callable<Api.Answer>> all(Callable<Api.Answer> deed) {
    return Collections.nCopies(PEOPLE, deed);
  }

  @Test
  void whoSavesOneRecipeWithOthersMakesAVersionOrIsToldToSaveAgain() throws Exception {
    long delivery = lead.deliver("TWR.csv", "Ding;Dm\nTWR-1;8\n");
    Map<String, Object> choice =
        Api.body("columns", Map.of("0", Map.of("symbol", "CODE"), "1", Map.of("symbol", "DC")));
    lead.send("PUT", PATH + delivery + "/reading", choice);
    lead.untilRead(delivery);
    String save = PATH + delivery + "/recipe";
    List<Api.Answer> answers =
        atOnce(all(() -> lead.post(save, Api.body("name", "Twenty together"))));
    assertTrue(
        answers.stream().allMatch(answer -> List.of(201, 409).contains(answer.status())),
        answers.toString());
    List<Long> versions =
        answers.stream()
            .filter(answer -> answer.status() == 201)
            .map(answer -> answer.number("number"))
            .sorted()
            .toList();
    assertEquals(LongStream.rangeClosed(1, versions.size()).boxed().toList(), versions);
    assertTrue(!versions.isEmpty(), answers.toString());
  }

  @Test
  void oneOfAllWhoAddAFolderOfOneNameGetsIt() throws Exception {
    List<Api.Answer> answers =
        atOnce(all(() -> lead.post("/api/v1/folders", Api.body("name", "Twenty together"))));
    assertEquals(
        List.of(1L, PEOPLE - 1L),
        List.of(
            answers.stream().filter(answer -> answer.status() == 201).count(),
            answers.stream().filter(answer -> answer.status() == 409).count()),
        answers.toString());
  }

  @Test
  void ofAllWhoMergeOneToolOneDoesAndWhatRefersToItIsThereOnce() throws Exception {
    Shelves shelves = new Shelves(lead);
    List<Long> libraries =
        LongStream.range(0, 4).mapToObj(i -> shelves.library("Twenty merge " + i)).toList();
    List<Long> tools = shelves.mills(libraries.getFirst(), "TWM-A", "TWM-B");
    for (long library : libraries.subList(1, 4)) {
      lead.post(
          "/api/v1/libraries/%d/copy".formatted(library),
          Api.body("tools", tools, "from", libraries.getFirst()));
    }
    List<Api.Answer> answers =
        atOnce(
            all(() ->
                lead.post(
                    "/api/v1/duplicates/merge",
                    Api.body("keep", tools.get(0), "others", List.of(tools.get(1))))));
    assertEquals(
        List.of(1L, PEOPLE - 1L),
        List.of(
            answers.stream().filter(answer -> answer.status() == 200).count(),
            answers.stream().filter(answer -> answer.status() == 409).count()),
        answers.toString());
    for (long library : libraries) {
      assertEquals(Map.of("TWM-A", 1), shelves.numbers(library));
    }
  }

  @Test
  void toolsThatAreMergedWhileOthersCopyThemAreNeverHeldTwice() throws Exception {
    Shelves shelves = new Shelves(lead);
    long from = shelves.library("Twenty merge and copy");
    List<Long> tools = shelves.mills(from, "TWC-A", "TWC-B");
    List<Callable<Api.Answer>> deeds =
        LongStream.range(0, PEOPLE)
            .mapToObj(person ->
                person % 4 == 0
                    ? (Callable<Api.Answer>)
                        () ->
                            lead.post(
                                "/api/v1/duplicates/merge",
                                Api.body("keep", tools.get(0), "others", List.of(tools.get(1))))
                    : (Callable<Api.Answer>)
                        () ->
                            lead.post(
                                "/api/v1/libraries/%d/copy"
                                    .formatted(shelves.library("Twenty copies " + person)),
                                Api.body("tools", tools, "from", from)))
            .toList();
    List<Api.Answer> answers = atOnce(deeds);
    assertTrue(
        answers.stream().allMatch(answer -> List.of(200, 404, 409).contains(answer.status())),
        answers.toString());
    assertEquals(Map.of("TWC-A", 1), shelves.numbers(from));
    assertEquals(
        List.of(),
        jdbc.sql("select library_id from entry where tool_id = ?")
            .param(tools.get(1))
            .query(Long.class)
            .list());
  }

  @AfterEach
  void whatBelongsToToolsStandsBesideThem() {
    entriesSayWhatBelongsToTheirTools();
  }
}
