package arborline.server;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.IntStream;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

/** Pictures, models and documents that belong to tools go with them wherever they go. */
class AttachmentsTest extends ServerTest {

  private static final byte[] PICTURE = bytes("\u0089PNG\r\n\u001a\n and more");

  private static byte[] bytes(String text) {
    return text.getBytes(StandardCharsets.ISO_8859_1);
  }

  private static String mill(String code) {
    return "CODE,NAME,CLASS,DC [mm],APMX [mm],DMM [mm],OAL [mm],NOF,ATTACHMENT\n"
        + "%s,Mill,end-mill-flat,7,15,10,72,4,photos/front.png | missing.pdf\n".formatted(code);
  }

  private long take(long delivery, long library) {
    Api.Answer taken =
        lead.post("/api/v1/deliveries/%d/accept".formatted(delivery), Api.body("library", library));
    assertEquals(1, taken.number("accepted"), taken.toString());
    return taken.number("undo");
  }

  private long tool(long library) {
    return lead.get("/api/v1/libraries/%d/tools".formatted(library))
        .at("items")
        .get(0)
        .get("toolId")
        .asLong();
  }

  /** A tool in a library of its own, with one picture that came with it. */
  private long pictured(String code, long library) {
    Map<String, byte[]> files = new LinkedHashMap<>();
    files.put("set/list.csv", bytes(mill(code)));
    files.put("set/photos/front.png", PICTURE);
    files.put("set/other/front.png", bytes("\u0089PNG\r\n another"));
    long delivery = lead.deliver("set.zip", Zips.of(files));
    JsonNode line = lead.get("/api/v1/deliveries/%d/lines".formatted(delivery)).at("items").get(0);
    assertEquals("pass", line.get("disposition").asString(), line.toString());
    assertEquals(
        "no line names set/other/front.png",
        lead.get("/api/v1/deliveries/%d".formatted(delivery)).text("note"));
    assertTrue(
        StreamSupport.stream(line.get("findings").spliterator(), false)
            .anyMatch(found -> found.get("message").asString().contains("missing.pdf")),
        line.toString());
    take(delivery, library);
    return tool(library);
  }

  private List<String> names(long tool) {
    return names("tools", tool);
  }

  private List<String> names(String owners, long id) {
    return StreamSupport.stream(
            lead.get("/api/v1/%s/%d/attachments".formatted(owners, id)).at("items").spliterator(),
            false)
        .map(one -> one.get("name").asString())
        .toList();
  }

  private Api.Answer attach(long tool, String name, byte[] content) {
    Api.Uploaded answer =
        lead.upload("/api/v1/tools/%d/attachments".formatted(tool), Api.named(name, content));
    return new Api.Answer(answer.status(), Api.JSON.readTree(answer.bytes()));
  }

  @Test
  void aPictureArrivesWithItsTool() {
    long library = library("Pictured");
    long tool = pictured("ATA-1", library);
    assertEquals(List.of("front.png"), names(tool));
    JsonNode picture = lead.get("/api/v1/tools/%d/attachments".formatted(tool)).at("items").get(0);
    assertTrue(picture.get("picture").asBoolean());
    assertArrayEquals(
        PICTURE,
        lead.bytes(
            "/api/v1/tools/%d/attachments/%d/content".formatted(tool, picture.get("id").asLong())));
  }

  @Test
  void takingBackTakesThePictureBackToo() {
    long library = library("Pictured and taken back");
    Map<String, byte[]> files = new LinkedHashMap<>();
    files.put("list.csv", bytes(mill("ATF-1")));
    files.put("photos/front.png", PICTURE);
    long delivery = lead.deliver("set.zip", Zips.of(files));
    long undo = take(delivery, library);
    assertEquals(1, pictures("ATF-1"));
    assertEquals(204, lead.post("/api/v1/trail/%d/undo".formatted(undo), null).status());
    assertEquals(0, pictures("ATF-1"));
    take(delivery, library);
    assertEquals(List.of("front.png"), names(tool(library)));
  }

  private long pictures(String code) {
    return jdbc.sql(
            """
            select count(*) from attachment a join tool t on a.owner = 'TOOL' and t.id = a.owner_id
            where t.code = ? and a.removed = 0\
            """)
        .param(code)
        .query(Long.class)
        .single();
  }

  @Test
  void aPictureThatIsCalledByTheCodeOfItsToolComesWithIt() {
    Map<String, byte[]> files = new LinkedHashMap<>();
    files.put(
        "list.csv",
        bytes(
            "CODE,NAME,CLASS,DC [mm],APMX [mm],DMM [mm],OAL [mm],NOF\n"
                + "ATX-1,Mill,end-mill-flat,7,15,10,72,4\nATX-2,Mill,end-mill-flat,8,15,10,72,4\n"));
    files.put("photos/atx-1.png", PICTURE);
    files.put("sheets/ATX-1.pdf", bytes("%PDF-1.7"));
    files.put("photos/ATX.png", PICTURE);
    long delivery = lead.deliver("set.zip", Zips.of(files));
    JsonNode line = lead.get("/api/v1/deliveries/%d/lines".formatted(delivery)).at("items").get(0);
    assertEquals("pass", line.get("disposition").asString(), line.toString());
    assertTrue(
        line.toString().contains("photos/atx-1.png, sheets/ATX-1.pdf comes with it"),
        line.toString());
    assertEquals(
        "no line names photos/ATX.png",
        lead.get("/api/v1/deliveries/%d".formatted(delivery)).text("note"));
    long library = library("Called by code");
    lead.post("/api/v1/deliveries/%d/accept".formatted(delivery), Api.body("library", library));
    assertEquals(List.of("ATX-1.pdf", "atx-1.png"), names(tool(library)));
  }

  private static final String HELD =
      """
      KIND,CODE,NAME,CLASS,DC [mm],APMX [mm],DMM [mm],OAL [mm],NOF,CCMS,CCWS,BODIES,LSC,SEAT,PARTS,ATTACHMENT
      holder,%1$s-H,Chuck,,,,,,,ST-JD-40:m,CY-SF-10:f,27 x 63; 53 x 32-24,31,,,models/chuck.png
      cutter,%1$s,Mill,end-mill-flat,9,22,10,72,4,,,,,,,
      stack,%1$s,held,,,,,,,,,,,ST-JD-40:f,%1$s-H,
      """;

  private long holder(String code) {
    return StreamSupport.stream(lead.get("/api/v1/components").at("items").spliterator(), false)
        .filter(one -> one.get("component").get("code").asString().equals(code))
        .mapToLong(one -> one.get("id").asLong())
        .findFirst()
        .orElse(0);
  }

  @Test
  void aPictureOfAHolderArrivesLeavesAndIsTakenBack() {
    Map<String, byte[]> files = new LinkedHashMap<>();
    files.put("list.csv", bytes(HELD.formatted("ATH-1")));
    files.put("models/chuck.png", PICTURE);
    long delivery = lead.deliver("set.zip", Zips.of(files));
    long library = library("With a holder");
    Api.Answer taken =
        lead.post("/api/v1/deliveries/%d/accept".formatted(delivery), Api.body("library", library));
    assertEquals(2, taken.number("accepted"), taken.toString());
    assertEquals(List.of("chuck.png"), names("components", holder("ATH-1-H")));
    byte[] zip = lead.bytes("/api/v1/libraries/%d/export?format=json".formatted(library));
    assertEquals(2, Zips.files(zip).size());
    long back = lead.deliver("back.zip", zip);
    lead.get("/api/v1/deliveries/%d/lines".formatted(back))
        .at("items")
        .forEach(
            line -> assertEquals("skipped", line.get("disposition").asString(), line.toString()));
    assertEquals(
        204, lead.post("/api/v1/trail/%d/undo".formatted(taken.number("undo")), null).status());
    assertEquals(0, holder("ATH-1-H"));
  }

  @Test
  void aHolderGetsAFileByHand() {
    long holder = lead.get("/api/v1/components").at("items").get(0).get("id").asLong();
    String path = "/api/v1/components/%d/attachments".formatted(holder);
    Api.Uploaded answer = lead.upload(path, Api.named("drawing.pdf", bytes("%PDF-1.7 drawing")));
    assertEquals(201, answer.status());
    assertEquals(List.of("drawing.pdf"), names("components", holder));
    assertEquals(404, lead.get("/api/v1/components/999999999/attachments").status());
    assertEquals(404, lead.get("/api/v1/libraries/1/attachments").status());
  }

  @ParameterizedTest
  @ValueSource(strings = {"json", "csv", "xlsx", "text", "p21", "mtconnect"})
  void itLeavesWithItsToolInEveryFormatAndComesBack(String format) {
    long library = library("Leaving as " + format);
    pictured("ATB-" + format, library);
    byte[] zip = lead.bytes("/api/v1/libraries/%d/export?format=%s".formatted(library, format));
    Map<String, byte[]> files = Zips.files(zip);
    assertEquals(2, files.size(), files.keySet().toString());
    String path = files.keySet().stream().skip(1).findFirst().orElseThrow();
    assertTrue(path.matches("attachments/[0-9a-f]{12}/front\\.png"), path);
    assertArrayEquals(PICTURE, files.get(path));

    long back = lead.deliver("back.zip", zip);
    JsonNode line = lead.get("/api/v1/deliveries/%d/lines".formatted(back)).at("items").get(0);
    assertEquals("skipped", line.get("disposition").asString(), line.toString());
  }

  @Test
  void aFileIsAttachedOnceUnderItsNameAndItsRemovalIsUndone() {
    long tool = pictured("ATC-1", library("By hand"));
    Api.Answer added = attach(tool, "..\\sheets/data|sheet.pdf", bytes("%PDF-1.7 sheet"));
    assertEquals(201, added.status(), added.toString());
    assertEquals("data_sheet.pdf", added.text("name"));
    assertEquals(409, attach(tool, "DATA_SHEET.pdf", bytes("%PDF-1.7 other")).status());
    assertEquals(400, attach(tool, "empty.pdf", new byte[0]).status());
    String one = "/api/v1/tools/%d/attachments/%d".formatted(tool, added.number("id"));
    Api.Answer removed = lead.send("DELETE", one, null);
    assertEquals(200, removed.status());
    assertEquals(404, lead.get(one + "/content").status());
    assertEquals(List.of("front.png"), names(tool));
    String undo = "/api/v1/trail/%d/undo".formatted(removed.number("undo"));
    assertEquals(204, lead.post(undo, null).status());
    assertEquals(List.of("data_sheet.pdf", "front.png"), names(tool));
    assertEquals(404, lead.get("/api/v1/tools/999999/attachments").status());
  }

  @Test
  void aLongNameInAnyScriptIsKeptAsFarAsThereIsRoom() {
    long tool = pictured("ATG-1", library("Long names"));
    Api.Answer added = attach(tool, "\u5200".repeat(300) + ".pdf", bytes("%PDF long"));
    assertEquals(201, added.status(), added.toString());
    assertEquals("\u5200".repeat(146) + ".pdf", added.text("name"));
  }

  @Test
  void ofTwentyWhoAttachOneNameAtOnceOneSucceeds() throws Exception {
    long tool = pictured("ATD-1", library("Attached at once"));
    List<Callable<Integer>> all =
        IntStream.range(0, 20)
            .mapToObj(person ->
                (Callable<Integer>) () -> attach(tool, "same.pdf", bytes("%PDF same")).status())
            .toList();
    try (ExecutorService people = Executors.newFixedThreadPool(20)) {
      List<Integer> statuses = people.invokeAll(all).stream().map(Future::resultNow).toList();
      assertEquals(1, statuses.stream().filter(status -> status == 201).count(), "" + statuses);
      assertEquals(19, statuses.stream().filter(status -> status == 409).count(), "" + statuses);
    }
    assertEquals(List.of("front.png", "same.pdf"), names(tool));
  }

  @Test
  void aPictureByItselfIsNoTable() {
    long delivery = lead.deliver("photo.dat", PICTURE);
    Api.Answer read = lead.get("/api/v1/deliveries/%d".formatted(delivery));
    assertEquals("failed", read.text("state"));
    assertTrue(read.text("note").contains("holds no table"), read.text("note"));
  }

  @Test
  void aConversionOfAZipBringsThePicturesAlong() {
    Map<String, byte[]> files = new LinkedHashMap<>();
    files.put("list.csv", bytes(mill("ATE-1")));
    files.put("../photos/front.png", PICTURE);
    Map<String, byte[]> converted =
        Zips.files(
            lead.upload("/api/v1/conversions?to=json", Api.named("set.zip", Zips.of(files)))
                .bytes());
    assertEquals(
        List.of("list.json", "photos/front.png", "report.json"), List.copyOf(converted.keySet()));
    assertArrayEquals(PICTURE, converted.get("photos/front.png"));
  }
}
