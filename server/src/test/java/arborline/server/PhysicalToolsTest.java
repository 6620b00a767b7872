package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.math.BigDecimal;
import java.net.URI;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Real pieces of tools: put together, measured, carried, worn. */
class PhysicalToolsTest extends ServerTest {

  private static final String PIECES = "/api/v1/physical-tools";

  private Api toolroom;
  private String machine;
  private long tool;
  private String code;
  private String holder;

  @BeforeEach
  void aMachineAndAToolInAHolder() {
    toolroom = as("TOOLROOM");
    String unique = Long.toString(System.nanoTime(), 36).toUpperCase();
    unique = unique.substring(unique.length() - 8);
    machine = "Y" + unique;
    ObjectNode definition = (ObjectNode) lead.get("/api/v1/machines/M1").at("machine").deepCopy();
    definition.put("id", machine).put("name", "Pieces " + machine);
    assertEquals(201, lead.post("/api/v1/machines", Api.body("machine", definition)).status());
    code = "PY-" + unique;
    long library = library("Pieces " + code);
    tool =
        lead.post(
                "/api/v1/libraries/%d/tools".formatted(library),
                Draft.of(code, "Mill", "end-mill-flat", "DC=10 APMX=22 DMM=10 OAL=72 NOF=4"))
            .number("toolId");
    holder = "PYH-" + unique;
    long component =
        lead.post("/api/v1/components", Draft.holder(holder, "Shrink chuck")).number("id");
    Api.Answer kept =
        lead.post("/api/v1/tools/%d/stacks".formatted(tool), Draft.stack(List.of(component), 40));
    assertEquals(201, kept.status(), kept.body().toString());
  }

  private long piece() {
    Api.Answer made = toolroom.post(PIECES, Api.body("toolId", tool, "machine", machine));
    assertEquals(201, made.status(), made.body().toString());
    return made.number("id");
  }

  private JsonNode seen(long piece) {
    return toolroom.get(PIECES + "/" + piece).body();
  }

  private Api.Answer put(long piece, String what, Object... members) {
    int version = seen(piece).get("version").asInt();
    return toolroom.send(
        "PUT", "%s/%d/%s?version=%d".formatted(PIECES, piece, what, version), Api.body(members));
  }

  private long assembled() {
    long piece = piece();
    assertEquals(200, put(piece, "assembly", "assembled", true).status());
    return piece;
  }

  private Api.Answer measure(long piece, String length, String diameter, Object... although) {
    return toolroom.post(
        "%s/%d/measurements".formatted(PIECES, piece),
        Api.body(
            "gauge",
            "PRESETTER",
            "sizes",
            Map.of("length", length, "diameter", diameter),
            "although",
            Api.body(although)));
  }

  private static JsonNode verdict(Api.Answer measured, String field) {
    return measured
        .at("sizes")
        .valueStream()
        .filter(size -> size.get("field").asString().equals(field))
        .findFirst()
        .orElseThrow();
  }

  /** What the stack says: the gauge length, mm. */
  private String nominalLength(long piece) {
    return seen(piece).get("sizes").get(0).get("nominal").asString();
  }

  private Api.Answer plan(int place) {
    return lead.send(
        "PUT",
        "/api/v1/machines/%s/plan/%d".formatted(machine, place),
        Api.body("toolId", tool, "allow", true));
  }

  private Map<String, String> plannedSizes() {
    Map<String, String> sizes = new HashMap<>();
    lead.get("/api/v1/machines/" + machine)
        .at("plan")
        .get(0)
        .get("measures")
        .valueStream()
        .filter(measure -> !measure.get("value").isNull())
        .forEach(
            measure -> sizes.put(measure.get("field").asString(), measure.get("value").asString()));
    return sizes;
  }

  @Test
  void aPieceGoesThroughTheToolroomIntoThePocketThatWaitsForIt() {
    plan(5);
    long piece = piece();
    assertEquals("TO_ASSEMBLE", seen(piece).get("stage").asString());
    assertEquals(code + ".1", seen(piece).get("serial").asString());
    put(piece, "assembly", "assembled", true, "scanned", List.of(holder, code));
    assertEquals("TO_MEASURE", seen(piece).get("stage").asString());
    String length =
        new BigDecimal(nominalLength(piece)).add(new BigDecimal("0.04")).toPlainString();
    assertTrue(measure(piece, length, "9.991").at("saved").asBoolean());
    assertEquals("TO_BRING", seen(piece).get("stage").asString());
    Api.Answer carried =
        put(piece, "whereabouts", "kind", "PLACE", "machine", machine, "place", "5");
    assertEquals(200, carried.status(), carried.body().toString());
    assertTrue(carried.at("questions").isEmpty(), carried.body().toString());
    assertEquals("IN_MACHINE", seen(piece).get("stage").asString());
    assertEquals("9.991", plannedSizes().get("diameter"));
    assertEquals(length, plannedSizes().get("length"));
  }

  @Test
  void whatIsMeasuredOfAPlannedPieceIsInThePlanAtOnce() {
    plan(5);
    long piece = assembled();
    put(piece, "whereabouts", "kind", "PLACE", "machine", machine, "place", "5");
    assertTrue(plannedSizes().isEmpty());
    Api.Answer measured = measure(piece, nominalLength(piece), "9.98");
    assertEquals("pocket 5 of Pieces " + machine, measured.text("planned"));
    assertEquals("9.98", plannedSizes().get("diameter"));
  }

  @Test
  void aSuspiciousSizeIsAskedAboutBeforeItGoesAnywhere() {
    long piece = assembled();
    Api.Answer asked = measure(piece, nominalLength(piece), "99.9");
    assertFalse(asked.at("saved").asBoolean());
    JsonNode diameter =
        asked
            .at("sizes")
            .valueStream()
            .filter(size -> size.get("field").asString().equals("diameter"))
            .findFirst()
            .orElseThrow();
    assertEquals("slipped-decimal", diameter.get("suspected").asString());
    assertEquals("9.990", diameter.get("proposal").asString());
    assertTrue(toolroom.get("%s/%d/measurements".formatted(PIECES, piece)).at("items").isEmpty());
    assertFalse(
        measure(piece, nominalLength(piece), "99.9", "diameter", "zero").at("saved").asBoolean());
    assertTrue(
        measure(piece, nominalLength(piece), "99.9", "diameter", "slipped-decimal")
            .at("saved")
            .asBoolean());
  }

  @Test
  void theValueOfThePieceBeforeIsNoticed() {
    long first = assembled();
    long second = assembled();
    measure(first, "61.5", "9.99", "length", "out-of-tolerance");
    JsonNode length =
        measure(second, "61.5", "9.99")
            .at("sizes")
            .valueStream()
            .filter(size -> size.get("field").asString().equals("length"))
            .findFirst()
            .orElseThrow();
    assertEquals("repeated-last-value", length.get("suspected").asString());
  }

  @ParameterizedTest
  @ValueSource(strings = {"9", "4.7244", "1200"})
  void aLengthThatNoHolderGivesIsAskedAboutWhereNoStackIsKept(String length) {
    long library = library("Unheld " + code);
    tool =
        lead.post(
                "/api/v1/libraries/%d/tools".formatted(library),
                Draft.of(code + "-U", "Mill", "end-mill-flat", "DC=10 APMX=22 DMM=10 OAL=72 NOF=4"))
            .number("toolId");
    long piece = assembled();
    Api.Answer asked = measure(piece, length, "9.99");
    assertFalse(asked.at("saved").asBoolean(), asked.body().toString());
    assertEquals("out-of-tolerance", verdict(asked, "length").get("suspected").asString());
    assertTrue(measure(piece, "120.35", "9.99").at("saved").asBoolean());
  }

  @ParameterizedTest
  @CsvSource({"0, zero", "-9.99, out-of-tolerance"})
  void whatCannotBeIsKeptByNobody(String diameter, String suspected) {
    long piece = assembled();
    Api.Answer refused = measure(piece, nominalLength(piece), diameter, "diameter", suspected);
    assertEquals(200, refused.status(), refused.body().toString());
    assertFalse(refused.at("saved").asBoolean());
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "{\"gauge\": \"CALIPER\"} | nothing was measured",
        "{\"sizes\": {\"length\": \"100\"}} | say with what",
        "{\"gauge\": \"CALIPER\", \"sizes\": {\"width\": \"3\"}} | is not measured of",
        "{\"gauge\": \"CALIPER\", \"sizes\": {\"length\": \"long\"}} | is no length",
        "{\"gauge\": \"CALIPER\", \"sizes\": {\"length\": \"\"}} | 1 to 40 characters",
        "{\"gauge\": \"CALIPER\", \"sizes\": {\"length\": \"99999\"}} | less than 10 m",
        "{\"gauge\": \"CALIPER\", \"sizes\": {\"length\": \"1.00000000001\"}} | at most 9",
      })
  void whatIsNoMeasurementIsRefusedInWords(String body, String reason) {
    Api.Answer refused =
        toolroom.raw("POST", URI.create("%s/%d/measurements".formatted(PIECES, assembled())), body);
    assertEquals(400, refused.status());
    assertTrue(refused.text("detail").contains(reason), refused.body().toString());
  }

  @Test
  void aPartThatTheStackDoesNotHaveIsRefused() {
    long piece = piece();
    Api.Answer other = put(piece, "assembly", "assembled", true, "scanned", List.of("X-1", code));
    assertEquals(409, other.status());
    assertTrue(other.text("detail").contains("is %s, not X-1".formatted(holder)));
    Api.Answer less = put(piece, "assembly", "assembled", true, "scanned", List.of(holder));
    assertTrue(less.text("detail").contains(code + " is missing"), less.text("detail"));
    assertEquals("TO_ASSEMBLE", seen(piece).get("stage").asString());
  }

  @Test
  void onePlaceHoldsOnePieceAndOnePieceIsInOnePlace() {
    long first = assembled();
    long second = assembled();
    put(first, "whereabouts", "kind", "PLACE", "machine", machine, "place", "7");
    Api.Answer refused =
        put(second, "whereabouts", "kind", "PLACE", "machine", machine, "place", "7");
    assertEquals(409, refused.status());
    assertTrue(refused.text("detail").contains(code + ".1 stands in pocket 7"));
    put(first, "whereabouts", "kind", "SPINDLE", "machine", machine);
    assertEquals(
        200,
        put(second, "whereabouts", "kind", "PLACE", "machine", machine, "place", "7").status());
  }

  @Test
  void whatAMachineHasIsNeitherDeletedNorTakenApart() {
    long piece = assembled();
    put(piece, "whereabouts", "kind", "SPINDLE", "machine", machine);
    int version = seen(piece).get("version").asInt();
    Api.Answer deleted =
        toolroom.send("DELETE", "%s/%d?version=%d".formatted(PIECES, piece, version), null);
    assertEquals(409, deleted.status());
    assertTrue(deleted.text("detail").contains("the spindle of"), deleted.text("detail"));
    assertEquals(409, put(piece, "assembly", "assembled", false).status());
    assertEquals(409, put(piece, "state", "state", "REGROUND").status());
  }

  @Test
  void whatBrokeDoesNotGoIntoAMachine() {
    long piece = assembled();
    assertEquals(200, put(piece, "state", "state", "BROKEN").status());
    assertEquals("OUT_OF_USE", seen(piece).get("stage").asString());
    Api.Answer refused = put(piece, "whereabouts", "kind", "SPINDLE", "machine", machine);
    assertEquals(409, refused.status());
    assertTrue(refused.text("detail").contains("is broken"), refused.text("detail"));
    assertEquals(409, put(piece, "state", "state", "IN_USE").status());
  }

  @Test
  void aGroundEdgeIsMeasuredAnewAndMayBeShorter() {
    long piece = assembled();
    String length = nominalLength(piece);
    measure(piece, length, "9.99");
    assertEquals(409, put(piece, "state", "state", "REGROUND").status());
    put(piece, "state", "state", "IN_USE");
    put(piece, "state", "state", "REGROUND");
    assertEquals("TO_MEASURE", seen(piece).get("stage").asString());
    JsonNode size = seen(piece).get("sizes").get(0);
    assertTrue(size.get("value").isNull());
    assertEquals(length, size.get("last").asString());
    String shorter = new BigDecimal(length).subtract(new BigDecimal("3")).toPlainString();
    assertTrue(measure(piece, shorter, "9.7").at("saved").asBoolean());
  }

  @Test
  void whatHasCutIsNotNewAndItsFamilyIsKept() {
    long piece = assembled();
    String cuts = "%s/%d/cuts".formatted(PIECES, piece);
    Api.Answer noted = toolroom.post(cuts, Api.body("material", "n-bronze"));
    assertEquals(200, noted.status(), noted.body().toString());
    assertEquals("IN_USE", seen(piece).get("state").asString());
    assertEquals("METAL", seen(piece).get("cut").get(0).get("family").asString());
    assertEquals(409, toolroom.post(cuts, Api.body("material", "n-bronze")).status());
    assertEquals(400, toolroom.post(cuts, Api.body("material", "cheese")).status());
    assertEquals(
        204, toolroom.post("/api/v1/trail/%d/undo".formatted(noted.number("undo")), null).status());
    assertEquals("NEW", seen(piece).get("state").asString());
    assertTrue(seen(piece).get("cut").isEmpty());
  }

  @Test
  void carryingIsTakenBackAndThePlanIsAsItWas() {
    plan(5);
    lead.send(
        "PUT",
        "/api/v1/machines/%s/plan/5".formatted(machine),
        Api.body("toolId", tool, "diameter", "9.95"));
    long piece = assembled();
    Api.Answer carried =
        put(piece, "whereabouts", "kind", "PLACE", "machine", machine, "place", "5");
    assertTrue(plannedSizes().isEmpty());
    toolroom.post("/api/v1/trail/%d/undo".formatted(carried.number("undo")), null);
    assertEquals("the crib", seen(piece).get("where").asString());
    assertEquals(Map.of("diameter", "9.95"), plannedSizes());
  }

  @Test
  void aLabelIsFoundInAnyLetterCaseAndGivenOnce() {
    long piece = piece();
    String serial = seen(piece).get("serial").asString();
    assertEquals(
        piece, toolroom.get(PIECES + "/labelled/" + serial.toLowerCase(Locale.ROOT)).number("id"));
    assertEquals(404, toolroom.get(PIECES + "/labelled/NOBODY.9").status());
    assertEquals(404, toolroom.get(PIECES + "/labelled/Größe").status());
    Api.Answer twice = toolroom.post(PIECES, Api.body("toolId", tool, "serial", serial));
    assertEquals(409, twice.status());
    int version = seen(piece).get("version").asInt();
    toolroom.send("DELETE", "%s/%d?version=%d".formatted(PIECES, piece, version), null);
    assertEquals(409, toolroom.post(PIECES, Api.body("toolId", tool, "serial", serial)).status());
    assertNotEquals(serial, seen(piece()).get("serial").asString());
  }

  @Test
  void twentyAtOnceGetTwentySerialsAndOnePlace() {
    List<CompletableFuture<Long>> made =
        IntStream.range(0, 20)
            .mapToObj(i -> CompletableFuture.supplyAsync(this::assembled))
            .toList();
    List<Long> pieces = made.stream().map(CompletableFuture::join).toList();
    assertEquals(
        20, pieces.stream().map(id -> seen(id).get("serial").asString()).distinct().count());
    List<Integer> statuses =
        pieces.stream()
            .map(id ->
                CompletableFuture.supplyAsync(() ->
                    put(id, "whereabouts", "kind", "PLACE", "machine", machine, "place", "9")
                        .status()))
            .toList()
            .stream()
            .map(CompletableFuture::join)
            .toList();
    assertEquals(1, statuses.stream().filter(status -> status == 200).count());
    assertEquals(19, statuses.stream().filter(status -> status == 409).count());
  }

  @Test
  void twoWhoChangeOnePieceAreTold() {
    long piece = piece();
    int version = seen(piece).get("version").asInt();
    put(piece, "state", "state", "LOST");
    Api.Answer late =
        toolroom.send(
            "PUT",
            "%s/%d/state?version=%d".formatted(PIECES, piece, version),
            Api.body("state", "WORN"));
    assertEquals(409, late.status());
    assertTrue(late.text("detail").contains("meanwhile"), late.text("detail"));
  }

  @Test
  void anOperatorHandlesPiecesAndAVisitorLooks() {
    long piece = assembled();
    int version = seen(piece).get("version").asInt();
    String state = "%s/%d/state?version=%d".formatted(PIECES, piece, version);
    assertEquals(403, as("VISITOR").send("PUT", state, Api.body("state", "BROKEN")).status());
    assertEquals(200, as("VISITOR").get(PIECES + "/" + piece).status());
    assertEquals(200, as("OPERATOR").send("PUT", state, Api.body("state", "BROKEN")).status());
  }

  @Test
  void piecesAreFoundByWhatTheyAre() {
    long piece = piece();
    String query = PIECES + "?machine=" + machine;
    assertEquals(1, toolroom.get(query).at("items").size());
    assertEquals(0, toolroom.get(query + "&state=BROKEN").at("items").size());
    assertEquals(
        piece,
        toolroom
            .get(query + "&q=" + code.toLowerCase(Locale.ROOT))
            .at("items")
            .get(0)
            .get("id")
            .asLong());
    assertEquals(0, toolroom.get(query + "&q=%25").at("items").size());
    assertEquals(400, toolroom.get(PIECES + "?state=SHINY").status());
  }
}
