package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import org.junit.jupiter.api.Test;

class StackTest extends ServerTest {

  private Map<String, Object> holder(String code) {
    return Draft.holder(code, "Shrink chuck");
  }

  private long add(String code) {
    Api.Answer added = lead.post("/api/v1/components", holder(code));
    assertEquals(201, added.status(), added.body().toString());
    return added.number("id");
  }

  private long tool(String code) {
    long library = library("Stacks " + code);
    Api.Answer made = lead.post("/api/v1/libraries/%d/tools".formatted(library), draft(code, "22"));
    assertEquals(201, made.status(), made.body().toString());
    return made.number("toolId");
  }

  private Map<String, Object> stack(long component, double overhang) {
    Map<String, Object> stack = Draft.stack(List.of(component), overhang);
    stack.put("wall", Api.body("height", 45, "distance", 12));
    return stack;
  }

  @Test
  void aStackIsCheckedKeptChangedAndTakenApart() {
    long component = add("ST-A");
    long tool = tool("ST-T1");
    Api.Answer checked =
        lead.post("/api/v1/tools/%d/stacks/check".formatted(tool), stack(component, 40));
    assertEquals(127, checked.at("shape").get("length").asDouble(), 1e-9);
    assertFalse(checked.at("clearance").get("clear").asBoolean());
    Api.Answer kept = lead.post("/api/v1/tools/%d/stacks".formatted(tool), stack(component, 40));
    assertEquals(201, kept.status());
    long id = kept.number("id");
    Api.Answer longer =
        lead.send("PUT", "/api/v1/stacks/%d?version=1".formatted(id), stack(component, 44));
    assertEquals(131, longer.at("answer").get("shape").get("length").asDouble(), 1e-9);
    String solid =
        new String(lead.bytes("/api/v1/stacks/%d/step".formatted(id)), StandardCharsets.US_ASCII);
    assertTrue(solid.startsWith("ISO-10303-21;") && solid.contains("MANIFOLD_SOLID_BREP('ST-T1'"));
    long apart = lead.send("DELETE", "/api/v1/stacks/" + id, null).number("undo");
    String path = "/api/v1/tools/%d/stacks".formatted(tool);
    assertTrue(lead.get(path).at("items").isEmpty());
    undo(apart);
    assertEquals(44, lead.get(path).at("items").get(0).get("overhang").asDouble());
  }

  @Test
  void aPocketIsAWallHalfTheCutterAwayAndMayHaveCornersThatAreTooSmall() {
    Map<String, Object> draft = stack(add("ST-POCKET"), 40);
    draft.remove("wall");
    draft.put("pocket", Api.body("depth", 41, "corner", 2));
    String path = "/api/v1/tools/%d/stacks/check".formatted(tool("ST-T-POCKET"));
    Api.Answer deep = lead.post(path, draft);
    assertEquals(5, deep.at("wall").get("distance").asDouble());
    assertFalse(deep.at("clearance").get("clear").asBoolean());
    assertEquals("pocket-corner", deep.at("findings").get(0).get("code").asString());
    draft.put("pocket", Api.body("depth", 39));
    Api.Answer flat = lead.post(path, draft);
    assertTrue(flat.at("clearance").get("clear").asBoolean());
    assertTrue(flat.at("findings").isEmpty());
    for (Map<String, Object> wrong :
        List.of(Api.body("depth", 0), Api.body("depth", 30, "corner", -1))) {
      draft.put("pocket", wrong);
      assertEquals(400, lead.post(path, draft).status());
    }
  }

  private void undo(long deed) {
    assertEquals(204, lead.post("/api/v1/trail/%d/undo".formatted(deed), null).status());
  }

  @Test
  void aStackIsTakenBackToWhatItWasUnlessItWasChangedSince() {
    long component = add("ST-U");
    long tool = tool("ST-T5");
    String path = "/api/v1/tools/%d/stacks".formatted(tool);
    Api.Answer kept = lead.post(path, stack(component, 40));
    String one = "/api/v1/stacks/" + kept.number("id");
    long longer = lead.send("PUT", one + "?version=1", stack(component, 42)).number("undo");
    long longest = lead.send("PUT", one + "?version=2", stack(component, 44)).number("undo");
    assertEquals(409, lead.post("/api/v1/trail/%d/undo".formatted(longer), null).status());
    undo(longest);
    undo(longer);
    assertEquals(40, lead.get(path).at("items").get(0).get("overhang").asDouble());
    undo(kept.number("undo"));
    assertTrue(lead.get(path).at("items").isEmpty());
  }

  @Test
  void aStackCanStayWithWhatAHolderWas() {
    long component = add("ST-S");
    long follower = tool("ST-T6");
    long stayer = tool("ST-T7");
    lead.post("/api/v1/tools/%d/stacks".formatted(follower), stack(component, 40));
    long stays =
        lead.post("/api/v1/tools/%d/stacks".formatted(stayer), stack(component, 40)).number("id");
    Map<String, Object> longer = holder("ST-S");
    longer.put("bodies", List.of(Api.body("length", 100, "from", 63, "to", 30)));
    Api.Answer changed =
        lead.send(
            "PUT", "/api/v1/components/%d?version=1&stays=%d".formatted(component, stays), longer);
    assertEquals(2, changed.number("version"));
    assertEquals(140, gauge(follower), 1e-9);
    assertEquals(127, gauge(stayer), 1e-9);
    undo(changed.number("undo"));
    assertEquals(127, gauge(follower), 1e-9);
    lead.send("PUT", "/api/v1/components/%d?version=3".formatted(component), longer);
    assertEquals(140, gauge(stayer), 1e-9);
  }

  private double gauge(long tool) {
    return lead.get("/api/v1/tools/%d/stacks".formatted(tool))
        .at("items")
        .get(0)
        .get("answer")
        .get("shape")
        .get("length")
        .asDouble();
  }

  private Map<String, Object> draft(String code, String depth) {
    return Draft.of(
        code, "Mill", "end-mill-flat", "DC=10 APMX=%s DMM=10 OAL=72 NOF=4".formatted(depth));
  }

  @Test
  void spindlesAreThoseThatTheShopHasSomethingFor() {
    add("ST-Z");
    var seats = lead.get("/api/v1/components/seats").at("items");
    assertTrue(
        seats.valueStream().anyMatch(seat -> seat.get("code").asString().equals("ST-JD-40:f")));
    assertTrue(seats.valueStream().allMatch(seat -> seat.get("code").asString().endsWith(":f")));
    assertTrue(seats.valueStream().noneMatch(seat -> seat.get("code").asString().startsWith("CY")));
  }

  @Test
  void aNewToolIsMadeInItsHolderOrNotAtAll() {
    long component = add("ST-H");
    String path = "/api/v1/libraries/%d/held-tools".formatted(library("Held"));
    Api.Answer offers = lead.post("/api/v1/stacks/offers", draft("", "22"));
    assertTrue(
        offers.at("items").valueStream().anyMatch(offer -> offer.get("id").asLong() == component));
    Map<String, Object> held = Api.body("components", List.of(component), "seat", "ST-JD-40:f");
    Api.Answer made = lead.post(path, Api.body("tool", draft("ST-H1", "22"), "stack", held));
    assertEquals(201, made.status(), made.body().toString());
    assertEquals(112, gauge(made.number("toolId")), 1e-9);
    held.put("overhang", 60);
    Api.Answer refused = lead.post(path, Api.body("tool", draft("ST-H2", "22"), "stack", held));
    assertEquals(409, refused.status());
    held.put("overhang", 40);
    Api.Answer again = lead.post(path, Api.body("tool", draft("ST-H2", "22"), "stack", held));
    assertEquals(201, again.status(), "nothing was left of the first try");
  }

  @Test
  void aFileCarriesStacksAndTheirParts() {
    long component = add("ST-X");
    long library = library("Stacks in files");
    long tool =
        lead.post("/api/v1/libraries/%d/tools".formatted(library), draft("ST-X1", "22"))
            .number("toolId");
    lead.post("/api/v1/tools/%d/stacks".formatted(tool), stack(component, 40));
    assertEquals(
        0, lead.get("/api/v1/libraries/%d/losses?format=json".formatted(library)).number("count"));
    String file =
        new String(
            lead.bytes("/api/v1/libraries/%d/export?format=csv".formatted(library)),
            java.nio.charset.StandardCharsets.UTF_8);
    assertTrue(file.lines().anyMatch(line -> line.startsWith("holder,ST-X,")), file);
    assertTrue(file.lines().anyMatch(line -> line.startsWith("stack,ST-X1,")), file);
  }

  @Test
  void aCopiedToolIsHeldAsTheOneItWasCopiedFrom() {
    long component = add("ST-Y");
    long tool = tool("ST-T8");
    lead.post("/api/v1/tools/%d/stacks".formatted(tool), stack(component, 40));
    long library = library("Copies of stacks");
    long copy =
        lead.post("/api/v1/libraries/%d/tools/%d/copy".formatted(library, tool), null)
            .number("toolId");
    assertEquals(127, gauge(copy), 1e-9);
  }

  @Test
  void whatCannotBeHeldIsNotKept() {
    long component = add("ST-B");
    long tool = tool("ST-T2");
    Api.Answer refused = lead.post("/api/v1/tools/%d/stacks".formatted(tool), stack(component, 60));
    assertEquals(409, refused.status());
    assertTrue(refused.text("detail").contains("an overhang of 44.0 mm at most is possible"));
    Map<String, Object> twice = stack(component, 40);
    twice.put("components", List.of(component, component));
    assertEquals(409, lead.post("/api/v1/tools/%d/stacks".formatted(tool), twice).status());
    Map<String, Object> unknown = stack(999_999, 40);
    assertEquals(400, lead.post("/api/v1/tools/%d/stacks".formatted(tool), unknown).status());
  }

  @Test
  void aChangedHolderIsFollowedByItsStacksAndARetiredOneIsSaid() {
    long component = add("ST-C");
    long tool = tool("ST-T3");
    lead.post("/api/v1/tools/%d/stacks".formatted(tool), stack(component, 40));
    Map<String, Object> longer = holder("ST-C");
    longer.put("bodies", List.of(Api.body("length", 100, "from", 63, "to", 30)));
    assertEquals(
        200,
        lead.send("PUT", "/api/v1/components/%d?version=1".formatted(component), longer).status());
    Api.Answer using = lead.get("/api/v1/components/%d/stacks".formatted(component));
    var stack = using.at("items").get(0);
    assertEquals(140, stack.get("answer").get("shape").get("length").asDouble(), 1e-9);
    lead.send("PUT", "/api/v1/components/%d/retired?retired=true".formatted(component), null);
    assertEquals(
        "part-retired",
        lead.get("/api/v1/tools/%d/stacks".formatted(tool))
            .at("items")
            .get(0)
            .get("answer")
            .get("findings")
            .get(0)
            .get("code")
            .asString());
  }

  @Test
  void theSameCodeAskedForByTwoAtOnceIsGivenOnce() {
    var one = CompletableFuture.supplyAsync(() -> lead.post("/api/v1/components", holder("ST-D")));
    var other =
        CompletableFuture.supplyAsync(() -> lead.post("/api/v1/components", holder("st-d")));
    List<Integer> both =
        java.util.stream.Stream.of(one.join().status(), other.join().status()).sorted().toList();
    assertEquals(List.of(201, 409), both);
  }

  @Test
  void aCodeInOtherLettersIsTheSameCode() {
    add("ST-Case");
    Api.Answer again = lead.post("/api/v1/components", holder("st-CASE"));
    assertEquals(409, again.status());
    assertTrue(again.text("detail").contains("taken already"));
    long other = add("ST-Other");
    assertEquals(
        409,
        lead.send("PUT", "/api/v1/components/%d?version=1".formatted(other), holder("st-case"))
            .status());
    assertEquals(
        200,
        lead.send("PUT", "/api/v1/components/%d?version=1".formatted(other), holder("ST-OTHER"))
            .status());
  }

  @Test
  void aRetiredPartIsNotOfferedUntilItIsTakenBack() {
    long component = add("ST-R");
    String path = "/api/v1/components/%d/retired?retired=".formatted(component);
    assertTrue(offered(component));
    lead.send("PUT", path + true, null);
    assertFalse(offered(component));
    lead.send("PUT", path + false, null);
    assertTrue(offered(component));
  }

  @Test
  void aToolWhoseHolderWasRetiredIsNotPutIntoAMachine() {
    long component = add("ST-RM");
    long tool = tool("ST-TM");
    lead.post("/api/v1/tools/%d/stacks".formatted(tool), stack(component, 40));
    String path = "/api/v1/components/%d/retired?retired=".formatted(component);
    String place = "/api/v1/machines/M1/plan/33";
    lead.send("PUT", path + true, null);
    Api.Answer refused = lead.send("PUT", place, Api.body("toolId", tool));
    assertEquals(409, refused.status());
    assertTrue(
        refused.text("detail").contains("ST-RM in its stack was retired: choose another"),
        refused.toString());
    lead.send("PUT", path + false, null);
    assertEquals(200, lead.send("PUT", place, Api.body("toolId", tool)).status());
    lead.send("PUT", path + true, null);
    String questions =
        lead.get("/api/v1/machines/M1")
            .at("plan")
            .valueStream()
            .filter(planned -> planned.get("toolId").asLong() == tool)
            .map(planned -> planned.get("questions").toString())
            .findFirst()
            .orElseThrow();
    assertTrue(questions.contains("ST-RM in its stack was retired"), questions);
    Api.Answer measured = lead.send("PUT", place, Api.body("toolId", tool, "length", "127.02"));
    assertEquals(200, measured.status(), "it hangs there, and is measured: " + measured);
    String next = "/api/v1/machines/M1/plan/34";
    assertEquals(200, lead.send("PUT", next, Api.body("toolId", tool)).status(), "and moved");
    lead.send("DELETE", next, null);
  }

  private boolean offered(long component) {
    return lead.post("/api/v1/stacks/offers", draft("", "22"))
        .at("items")
        .valueStream()
        .anyMatch(offer -> offer.get("id").asLong() == component);
  }

  @Test
  void aChangeOnTopOfAnotherIsTakenBackFirst() {
    long component = add("ST-V");
    Map<String, Object> longer = holder("ST-V");
    longer.put("bodies", List.of(Api.body("length", 100, "from", 63, "to", 30)));
    String path = "/api/v1/components/" + component;
    long first = lead.send("PUT", path + "?version=1", longer).number("undo");
    long second = lead.send("PUT", path + "?version=2", holder("ST-V")).number("undo");
    Api.Answer refused = lead.post("/api/v1/trail/%d/undo".formatted(first), null);
    assertEquals(409, refused.status());
    assertTrue(refused.text("detail").contains("take the later change back first"));
    undo(second);
    assertEquals(100, lead.get(path).at("component").get("bodies").get(0).get("length").asDouble());
  }

  @Test
  void numbersOfAPartAreKeptAsTheyWereGiven() {
    Map<String, Object> exact = holder("ST-N");
    exact.put(
        "bodies",
        List.of(
            Api.body(
                "length",
                new java.math.BigDecimal("12.70"),
                "from",
                new java.math.BigDecimal("0.1"),
                "to",
                new java.math.BigDecimal("44.45"))));
    long component = lead.post("/api/v1/components", exact).number("id");
    var body = lead.get("/api/v1/components/" + component).at("component").get("bodies").get(0);
    assertEquals(0, new java.math.BigDecimal("12.7").compareTo(body.get("length").decimalValue()));
    assertEquals("0.1", body.get("from").asString());
  }

  @Test
  void absurdNumbersAreRefusedInWords() {
    Map<String, Object> absurd = holder("ST-Q");
    absurd.put("bodies", List.of(Api.body("length", 1e9, "from", 63, "to", 63)));
    Api.Answer refused = lead.post("/api/v1/components", absurd);
    assertEquals(409, refused.status());
    assertTrue(refused.text("detail").contains("below 1000 mm"));
    long component = add("ST-Q");
    long tool = tool("ST-T9");
    assertEquals(
        400, lead.post("/api/v1/tools/%d/stacks".formatted(tool), stack(component, 1e9)).status());
    assertEquals(
        400, lead.post("/api/v1/tools/%d/stacks".formatted(tool), stack(component, -1)).status());
  }

  @Test
  void wrongComponentsAreRefusedInWords() {
    Map<String, Object> wrong = holder("ST-E");
    wrong.put("workSide", "CY-SL-0:f");
    Api.Answer refused = lead.post("/api/v1/components", wrong);
    assertEquals(409, refused.status());
    assertTrue(refused.text("detail").contains("diameter 0 must be > 0"));
  }

  @Test
  void partsThatMateAreOfferedFirstAndOthersWithTheReason() {
    long component = add("ST-F");
    long tool = tool("ST-T4");
    Api.Answer offers =
        lead.get("/api/v1/tools/%d/stacks/offers?socket=ST-JD-40:f".formatted(tool));
    assertTrue(offers.at("items").get(0).get("fits").asBoolean());
    Api.Answer other = lead.get("/api/v1/tools/%d/stacks/offers?socket=HT-A-63:f".formatted(tool));
    for (var offer : other.at("items")) {
      if (offer.get("id").asLong() == component) {
        assertFalse(offer.get("fits").asBoolean());
        assertTrue(offer.get("why").asString().contains("hollow taper"));
      }
    }
  }

  @Test
  void whatTwoChangeOfOneStackIsJoinedUnlessItIsTheSame() {
    long component = add("ST-JOIN");
    long tool = tool("ST-T-JOIN");
    String path = "/api/v1/tools/%d/stacks".formatted(tool);
    long id = lead.post(path, stack(component, 40)).number("id");
    String one = "/api/v1/stacks/%d?version=1".formatted(id);
    Map<String, Object> renamed = stack(component, 40);
    renamed.put("name", "Finishing");
    assertEquals(200, lead.send("PUT", one, renamed).status());
    Api.Answer longer = lead.send("PUT", one, stack(component, 44));
    assertEquals(200, longer.status());
    assertEquals("Finishing", longer.text("name"));
    assertEquals(44, longer.at("overhang").asDouble());
    assertEquals(3, longer.number("version"));
    Api.Answer clash = lead.send("PUT", one, stack(component, 42));
    assertEquals(409, clash.status());
    assertEquals("overhang", clash.at("details").get(0).get("symbol").asString());
  }

  @Test
  void whatTwoChangeOfOneHolderIsJoinedUnlessItIsTheSame() {
    long component = add("ST-BOTH");
    String path = "/api/v1/components/%d?version=1".formatted(component);
    Map<String, Object> named = holder("ST-BOTH");
    named.put("name", "Renamed chuck");
    assertEquals(200, lead.send("PUT", path, named).status());
    Map<String, Object> clamped = holder("ST-BOTH");
    clamped.put("clamping", 31);
    Api.Answer joined = lead.send("PUT", path, clamped);
    assertEquals("Renamed chuck", joined.at("component").get("name").asString());
    assertEquals(31, joined.at("component").get("clamping").asInt());
    Map<String, Object> other = holder("ST-BOTH");
    other.put("name", "Another chuck");
    Api.Answer clash = lead.send("PUT", path, other);
    assertEquals(409, clash.status());
    assertEquals("Renamed chuck", clash.at("details").get(0).get("theirs").asString());
  }
}
