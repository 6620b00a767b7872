package arborline.server;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.stack.StepSolid;
import arborline.core.tool.outline.Point;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Models without data become lines of a delivery: what each may be, with its model. */
class SolidTrayTest extends ServerTest {

  private static byte[] solid(Point... half) throws IOException {
    StringBuilder file = new StringBuilder();
    StepSolid.write(file, "part", List.of(half), Instant.EPOCH);
    return file.toString().getBytes(StandardCharsets.US_ASCII);
  }

  private static byte[] drill() throws IOException {
    return solid(
        new Point(0, 6), new Point(60, 6), new Point(60, 5), new Point(100, 5), new Point(102, 0));
  }

  private static byte[] rod() throws IOException {
    return solid(new Point(0, 8), new Point(90, 8));
  }

  private JsonNode lines(long delivery) {
    return lead.get("/api/v1/deliveries/%d/lines".formatted(delivery)).at("items");
  }

  private static JsonNode line(JsonNode lines, String code) {
    return StreamSupport.stream(lines.spliterator(), false)
        .filter(one -> one.get("code").asString().equals(code))
        .findFirst()
        .orElseThrow();
  }

  private long tray() throws IOException {
    Map<String, byte[]> files = new LinkedHashMap<>();
    files.put("tray/STR-DRILL.step", drill());
    files.put("tray/STR-ROD.stp", rod());
    files.put("tray/STR-BROKEN.step", "ISO-10303-21;\nDATA;\n".getBytes(StandardCharsets.US_ASCII));
    return lead.deliver("tray.zip", Zips.of(files));
  }

  @Test
  void eachModelIsItsOwnResult() throws IOException {
    long delivery = tray();
    JsonNode lines = lines(delivery);
    assertEquals(2, lines.size(), lines.toString());
    JsonNode drill = line(lines, "STR-DRILL");
    assertEquals("drill-twist", drill.get("classId").asString());
    assertEquals("10", drill.at("/cells/DC/text").asString());
    assertEquals("12", drill.at("/cells/DMM/text").asString());
    assertTrue(drill.get("findings").toString().contains("solid-proposed"), drill.toString());
    String note = lead.get("/api/v1/deliveries/" + delivery).text("note");
    assertTrue(note.contains("STR-BROKEN.step: "), note);
  }

  @Test
  void aSolidThatLacksNothingIsInspectedOnceSomebodyHoldsItForRight() throws IOException {
    long delivery = tray();
    JsonNode drill = line(lines(delivery), "STR-DRILL");
    assertEquals("pass", drill.get("disposition").asString(), drill.toString());
    String path = "/api/v1/deliveries/%d/look".formatted(delivery);
    Map<String, Object> order = Api.body("lines", List.of(drill.get("id").asLong()));
    Api.Answer looked = lead.post(path, order);
    assertEquals(1, looked.number("lines"), looked.toString());
    assertTrue(line(lines(delivery), "STR-DRILL").get("lookedAt").asBoolean());
    assertEquals(0, lead.post(path, order).number("lines"));
    new Shelves(lead).undo(looked);
    assertEquals(false, line(lines(delivery), "STR-DRILL").get("lookedAt").asBoolean());
  }

  @Test
  void whatItIsCanBeSaidAndTakenBack() throws IOException {
    long delivery = tray();
    JsonNode rod = line(lines(delivery), "STR-ROD");
    String path = "/api/v1/deliveries/%d/lines/%d".formatted(delivery, rod.get("id").asLong());
    Api.Answer said = say(path, "extension");
    assertEquals("extension", said.text("kind"));
    assertEquals(400, say(path, "stack").status());
    assertEquals(400, say(path, "spoon").status());
    long entry = lead.get("/api/v1/trail?limit=1").at("items").get(0).get("id").asLong();
    lead.post("/api/v1/trail/%d/undo".formatted(entry), Map.of());
    assertEquals("cutter", line(lines(delivery), "STR-ROD").get("kind").asString());
  }

  private Api.Answer say(String path, String kind) {
    return lead.send("PATCH", path, Map.of("cells", Map.of(), "kind", kind));
  }

  @Test
  void aModelThatALineNamesIsNoLineOfItsOwn() throws IOException {
    Map<String, byte[]> files = new LinkedHashMap<>();
    files.put(
        "tools.csv",
        "CODE;CLASS;DC;ATTACHMENT\nSTR-N1;drill-twist;10;models/a.step\n"
            .getBytes(StandardCharsets.UTF_8));
    files.put("models/a.step", drill());
    files.put("models/STR-N1.stp", drill());
    long delivery = lead.deliver("named.zip", Zips.of(files));
    assertEquals(1, lines(delivery).size(), lines(delivery).toString());
  }

  @Test
  void whatWasNamedOnceIsProposedForItsLikes() throws IOException {
    Point[] odd = {
      new Point(0, 8),
      new Point(40, 8),
      new Point(40, 11),
      new Point(55, 11),
      new Point(55, 3),
      new Point(61, 3)
    };
    long first = lead.deliver("STR-ODD.step", new String(solid(odd), StandardCharsets.US_ASCII));
    JsonNode line = line(lines(first), "STR-ODD");
    lead.send(
        "PATCH",
        "/api/v1/deliveries/%d/lines/%d".formatted(first, line.get("id").asLong()),
        Map.of("cells", Map.of("CLASS", "counterbore")));
    Point[] larger = new Point[odd.length];
    for (int i = 0; i < odd.length; i++) {
      larger[i] = new Point(1.5 * odd[i].z(), 1.25 * odd[i].r());
    }
    long second =
        lead.deliver("STR-ODD-2.step", new String(solid(larger), StandardCharsets.US_ASCII));
    JsonNode like = line(lines(second), "STR-ODD-2");
    assertEquals("counterbore", like.get("classId").asString(), like.toString());
    assertTrue(like.get("findings").toString().contains("was said to be"), like.toString());
  }

  private static byte[] pin(double scale) throws IOException {
    return solid(
        new Point(0, 8 * scale),
        new Point(40 * scale, 8 * scale),
        new Point(40 * scale, 5 * scale),
        new Point(97 * scale, 5 * scale));
  }

  private Api.Answer turn(String path, Object turned) {
    return lead.send("PUT", path + "/end", Map.of("turned", turned));
  }

  @Test
  void theEndOfASolidIsTurnedAndItsLikesWithIt() throws IOException {
    String first = new String(pin(1), StandardCharsets.US_ASCII);
    long delivery = lead.deliver("STR-PIN.step", first);
    JsonNode pin = line(lines(delivery), "STR-PIN");
    String path = "/api/v1/deliveries/%d/lines/%d".formatted(delivery, pin.get("id").asLong());
    String shank = pin.at("/cells/DMM/text").asString();
    lead.send("PATCH", path, Map.of("cells", Map.of("NOF", "3", "CODE", "STR-PIN-B")));

    JsonNode turned = turn(path, true).body();

    assertEquals("10", shank, pin.toString());
    assertEquals("16", turned.at("/cells/DMM/text").asString(), turned.toString());
    assertEquals("3", turned.at("/cells/NOF/text").asString());
    assertEquals("STR-PIN-B", turned.get("code").asString());
    assertTrue(turned.get("findings").toString().contains("as somebody said"));
    assertEquals("16", turn(path, true).body().at("/cells/DMM/text").asString());

    long second = lead.deliver("STR-PIN-2.step", new String(pin(1.5), StandardCharsets.US_ASCII));
    assertEquals("24", line(lines(second), "STR-PIN-2").at("/cells/DMM/text").asString());
    assertEquals("10", turn(path, false).body().at("/cells/DMM/text").asString());
    long third = lead.deliver("STR-PIN-3.step", new String(pin(2), StandardCharsets.US_ASCII));
    assertEquals("20", line(lines(third), "STR-PIN-3").at("/cells/DMM/text").asString());
  }

  @Test
  void turningIsTakenBack() throws IOException {
    long delivery = tray();
    JsonNode drill = line(lines(delivery), "STR-DRILL");
    String path = "/api/v1/deliveries/%d/lines/%d".formatted(delivery, drill.get("id").asLong());
    assertEquals(200, turn(path, true).status());
    long entry = lead.get("/api/v1/trail?limit=1").at("items").get(0).get("id").asLong();
    lead.post("/api/v1/trail/%d/undo".formatted(entry), Map.of());
    JsonNode again = line(lines(delivery), "STR-DRILL");
    assertEquals(drill.get("cells"), again.get("cells"));
    turn(path, false);
  }

  @Test
  void onlyASolidThatIsTurnedHasAnotherEnd() throws IOException {
    long delivery = lead.deliver("turned.csv", "CODE;CLASS;DC\nSTR-T1;drill-twist;10\n");
    String path =
        "/api/v1/deliveries/%d/lines/%d"
            .formatted(delivery, line(lines(delivery), "STR-T1").get("id").asLong());
    assertEquals(409, turn(path, true).status());
    assertEquals(400, turn(path, "perhaps").status());
    assertEquals(400, lead.send("PUT", path + "/end", Map.of()).status());
    assertEquals(
        404, turn("/api/v1/deliveries/%d/lines/999999".formatted(delivery), true).status());
  }

  @Test
  void sizesThatTheModelContradictsAreAsked() throws IOException {
    Map<String, byte[]> files = new LinkedHashMap<>();
    files.put(
        "tools.csv",
        ("CODE;CLASS;DC;DMM;LCF;OAL;NOF;SIG;ATTACHMENT\n"
                + "STR-C1;drill-twist;10;12;40;110;2;136;models/a.step\n"
                + "STR-C2;drill-twist;10;12;40;102;2;136;models/a.step\n")
            .getBytes(StandardCharsets.UTF_8));
    files.put("models/a.step", drill());
    JsonNode lines = lines(lead.deliver("compared.zip", Zips.of(files)));
    assertTrue(
        line(lines, "STR-C1")
            .get("findings")
            .toString()
            .contains("OAL is 110 mm, but its model is 102 mm long"),
        lines.toString());
    assertEquals("query", line(lines, "STR-C1").get("disposition").asString());
    assertTrue(!line(lines, "STR-C2").get("findings").toString().contains("model-"));
  }

  @Test
  void aModelByItselfIsALineAndComesWithItsTool() throws IOException {
    long delivery = lead.deliver("STR-ALONE.step", new String(drill(), StandardCharsets.US_ASCII));
    JsonNode line = line(lines(delivery), "STR-ALONE");
    assertEquals("STR-ALONE.step", line.at("/cells/ATTACHMENT/text").asString());
    assertArrayEquals(
        drill(), lead.bytes("/api/v1/deliveries/%d/files/0/content".formatted(delivery)));
    assertEquals(
        404, lead.get("/api/v1/deliveries/%d/files/7/content".formatted(delivery)).status());
  }
}
