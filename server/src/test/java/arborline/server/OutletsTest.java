package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Editions that are written for programs which only read files. */
class OutletsTest extends ServerTest {

  private long library;
  private String code;

  @BeforeEach
  void aLibraryWithATool() {
    library = library("Outlet " + System.nanoTime());
    code = "OU-" + library;
    add(code);
  }

  private void add(String toolCode) {
    long tool =
        lead.post("/api/v1/libraries/%d/tools".formatted(library), Draft.mill(toolCode, "10"))
            .number("toolId");
    lead.post(
        "/api/v1/tools/%d/cutting".formatted(tool),
        Draft.cutting("p-alloy-annealed", "calculated"));
  }

  private void publish() {
    assertEquals(
        201,
        lead.post("/api/v1/libraries/%d/editions".formatted(library), Api.body("words", ""))
            .status());
  }

  private Api.Answer open(Object... order) {
    Map<String, Object> body = Api.body("library", library, "format", "csv");
    body.putAll(Api.body(order));
    return lead.post("/api/v1/outlets", body);
  }

  private Api.Answer openFolder(String folder) {
    Api.Answer opened = open("kind", "FOLDER", "folder", folder, "name", "tools.csv");
    assertEquals(201, opened.status(), opened.body().toString());
    return opened;
  }

  private long id(Api.Answer opened) {
    return opened.at("outlet").get("id").asLong();
  }

  private Api.Answer outlet(long id) {
    return lead.get("/api/v1/outlets/" + id);
  }

  private void untilFed(long id, int edition) {
    Api.until(() -> {
      Api.Answer now = outlet(id);
      return now.text("state").equals("FED") && now.at("file").get("edition").asInt() == edition;
    });
  }

  private String folder() {
    return "Room " + library;
  }

  private HttpResponse<String> read(String address, Optional<String> etag)
      throws IOException, InterruptedException {
    HttpRequest.Builder request =
        HttpRequest.newBuilder(URI.create("http://127.0.0.1:%d%s".formatted(port, address)));
    etag.ifPresent(tag -> request.header("If-None-Match", tag));
    try (HttpClient client = HttpClient.newHttpClient()) {
      return client.send(request.build(), HttpResponse.BodyHandlers.ofString());
    }
  }

  @Test
  void everyNewEditionIsWrittenIntoTheFolderReadBackAndSaid() throws IOException {
    long id = id(openFolder(folder()));
    assertEquals("NO_EDITION", outlet(id).text("state"));
    publish();
    untilFed(id, 1);
    Path file = Path.of(outlet(id).text("path"));
    assertTrue(Files.readString(file).contains(code));
    add(code + "-B");
    publish();
    untilFed(id, 2);
    assertTrue(Files.readString(file).contains(code + "-B"));
    JsonNode written = outlet(id).at("file");
    assertTrue(written.get("equal").asBoolean());
    assertEquals(2, written.get("tools").asInt());
    assertEquals(Files.size(file), written.get("size").asLong());
    Path plain = Files.writeString(file.resolveSibling("plain.txt"), "");
    assertEquals(Files.getPosixFilePermissions(plain), Files.getPosixFilePermissions(file));
    Files.delete(plain);
    try (var there = Files.list(file.getParent())) {
      assertEquals(1, there.count());
    }
  }

  @Test
  void oneThatCitesAnEditionStaysAtIt() throws IOException {
    publish();
    long first =
        lead.get("/api/v1/libraries/%d/editions".formatted(library))
            .at("items")
            .get(0)
            .get("id")
            .asLong();
    Api.Answer opened = open("kind", "FOLDER", "folder", folder(), "edition", first, "unit", "in");
    untilFed(id(opened), 1);
    add(code + "-B");
    publish();
    Api.Answer now = outlet(id(opened));
    assertEquals("FED", now.text("state"));
    assertEquals(1, now.number("edition"));
    assertFalse(Files.readString(Path.of(now.text("path"))).contains(code + "-B"));
  }

  @Test
  void anAddressAnswersWhatStandsAndThatNothingChanged() throws Exception {
    publish();
    Api.Answer opened = open("kind", "ADDRESS");
    String address = opened.text("address");
    untilFed(id(opened), 1);
    HttpResponse<String> first = read(address, Optional.empty());
    assertEquals(200, first.statusCode());
    assertTrue(first.body().contains(code));
    Optional<String> etag = first.headers().firstValue("etag");
    assertEquals(304, read(address, etag).statusCode());
    add(code + "-B");
    publish();
    untilFed(id(opened), 2);
    HttpResponse<String> second = read(address, etag);
    assertEquals(200, second.statusCode());
    assertTrue(second.body().contains(code + "-B"));
    assertEquals(404, read(address.replace("/feeds/", "/feeds/x"), etag).statusCode());
    Api.Answer renewed = lead.post("/api/v1/outlets/%d/address".formatted(id(opened)), null);
    assertEquals(404, read(address, Optional.empty()).statusCode());
    assertEquals(200, read(renewed.text("address"), Optional.empty()).statusCode());
  }

  @Test
  void aFolderThatIsGoneIsSaidAndWrittenOnceItIsThereAgain() throws IOException {
    publish();
    long id = id(openFolder(folder()));
    untilFed(id, 1);
    Path file = Path.of(outlet(id).text("path"));
    Files.delete(file);
    Files.delete(file.getParent());
    assertEquals("STALE", outlet(id).text("state"));
    Api.until(() -> outlet(id).text("state").equals("FAILED"));
    assertTrue(outlet(id).text("note").contains("not there any more"), outlet(id).text("note"));
    Files.createDirectories(file.getParent());
    assertEquals(202, lead.post("/api/v1/outlets/%d/write".formatted(id), null).status());
    untilFed(id, 1);
    assertTrue(Files.exists(file));
  }

  @Test
  void whatSomebodyChangedInTheFolderIsStale() throws IOException {
    publish();
    long id = id(openFolder(folder()));
    untilFed(id, 1);
    Files.writeString(Path.of(outlet(id).text("path")), "something else");
    assertEquals("STALE", outlet(id).text("state"));
    assertTrue(outlet(id).text("note").startsWith("somebody changed"));
    lead.post("/api/v1/outlets/%d/write".formatted(id), null);
    untilFed(id, 1);
  }

  @Test
  void twoDoNotWriteOneFileAndALibraryThatIsWrittenIsNotDeleted() {
    Api.Answer first = openFolder(folder());
    assertEquals(409, open("kind", "FOLDER", "folder", folder(), "name", "TOOLS.csv").status());
    Api.Answer refused = lead.send("DELETE", "/api/v1/libraries/" + library, null);
    assertEquals(409, refused.status());
    assertTrue(refused.text("detail").contains("tools.csv"));
    Api.Answer closed = lead.send("DELETE", "/api/v1/outlets/" + id(first), null);
    assertEquals(404, outlet(id(first)).status());
    assertEquals(
        204, lead.post("/api/v1/trail/%d/undo".formatted(closed.number("undo")), null).status());
    assertEquals("tools.csv", outlet(id(first)).text("name"));
  }

  @Test
  void wrongOrdersAreRefusedAndNothingLeavesTheFolders() {
    assertEquals(400, open("kind", "FOLDER", "folder", "../up").status());
    assertEquals(400, open("kind", "FOLDER", "folder", "a/b").status());
    assertEquals(400, open("kind", "FOLDER", "folder", folder(), "name", "../x.csv").status());
    assertEquals(400, open("kind", "FOLDER").status());
    assertEquals(400, open("kind", "ADDRESS", "format", "odd").status());
    assertEquals(400, open("kind", "ADDRESS", "unit", "ell").status());
    assertEquals(400, lead.post("/api/v1/outlets", Api.body("library", library)).status());
    assertEquals(404, open("kind", "ADDRESS", "edition", 987654321).status());
    assertEquals(
        403,
        as("OPERATOR")
            .post(
                "/api/v1/outlets", Api.body("library", library, "format", "csv", "kind", "ADDRESS"))
            .status());
  }

  @Test
  void anOutletOfAPrivateLibraryIsThereForItsPeopleOnly() {
    Person owner = person("PROGRAMMER");
    long hidden =
        owner
            .api()
            .post(
                "/api/v1/libraries?sharing=PRIVATE",
                Api.body("name", "Private outlet " + System.nanoTime()))
            .number("id");
    long id =
        owner
            .api()
            .post(
                "/api/v1/outlets", Api.body("library", hidden, "format", "csv", "kind", "ADDRESS"))
            .at("outlet")
            .get("id")
            .asLong();
    Api other = as("PROGRAMMER");
    assertEquals(404, other.get("/api/v1/outlets/" + id).status());
    assertEquals(404, other.send("DELETE", "/api/v1/outlets/" + id, null).status());
    assertFalse(
        other
            .get("/api/v1/outlets")
            .at("items")
            .valueStream()
            .anyMatch(one -> one.get("id").asLong() == id));
    assertEquals(404, other.get("/api/v1/outlets?library=" + hidden).status());
  }

  @Test
  void anEditionIsSavedAsAFileThatReadsBackEqual() throws Exception {
    publish();
    long edition =
        lead.get("/api/v1/libraries/%d/editions".formatted(library))
            .at("items")
            .get(0)
            .get("id")
            .asLong();
    for (String format :
        lead.get("/api/v1/formats")
            .at("items")
            .valueStream()
            .map(one -> one.get("id").asString())
            .toList()) {
      byte[] file = lead.bytes("/api/v1/editions/%d/export?format=%s".formatted(edition, format));
      assertTrue(file.length > 0, format);
      long outlet =
          id(open("kind", "FOLDER", "folder", folder(), "format", format, "name", "x-" + format));
      untilFed(outlet, 1);
      assertTrue(outlet(outlet).at("file").get("equal").asBoolean(), format);
      assertEquals(1, outlet(outlet).at("file").get("compared").asInt(), format);
    }
  }
}
