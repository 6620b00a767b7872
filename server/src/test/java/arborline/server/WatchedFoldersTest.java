package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.List;
import java.util.stream.Stream;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Files that appear in a watched folder become deliveries. */
class WatchedFoldersTest extends ServerTest {

  private Path folder(String name, Object... more) {
    Object[] order = new Object[more.length + 2];
    order[0] = "name";
    order[1] = name;
    System.arraycopy(more, 0, order, 2, more.length);
    Api.Answer added = lead.post("/api/v1/folders", Api.body(order));
    assertEquals(201, added.status());
    return Path.of(added.text("path"));
  }

  private static List<String> in(Path folder) {
    if (!Files.isDirectory(folder)) {
      return List.of();
    }
    try (Stream<Path> files = Files.list(folder)) {
      return files.map(file -> file.getFileName().toString()).sorted().toList();
    } catch (IOException failed) {
      throw new java.io.UncheckedIOException(failed);
    }
  }

  private List<JsonNode> deliveries(String name) {
    return StreamSupport.stream(lead.get("/api/v1/deliveries").at("items").spliterator(), false)
        .filter(delivery -> delivery.get("name").asString().equals(name))
        .toList();
  }

  @Test
  void aFileBecomesADeliveryForItsLibraryAndIsPutAside() throws IOException {
    long library = library("Watched");
    Path folder = folder("Mill room", "library", library);
    Files.writeString(folder.resolve("new mills.csv"), table("WFA", 2));
    Api.until(() -> !in(folder.resolve("received")).isEmpty());
    List<JsonNode> found = deliveries("new mills.csv");
    assertEquals(1, found.size());
    assertEquals(library, found.getFirst().get("library").asLong());
    long id = found.getFirst().get("id").asLong();
    assertEquals(List.of(id + "-new mills.csv"), in(folder.resolve("received")));
    lead.untilRead(id);
    assertEquals(2, lead.get("/api/v1/deliveries/" + id).number("pass"));
  }

  @Test
  void whatIsStillWrittenIsWaitedForAndWhatCannotBeIsPutAsideWithItsReason() throws IOException {
    Path folder = folder("Slow room");
    Files.writeString(folder.resolve("half.csv.part"), table("WFB", 1));
    Path file = folder.resolve("growing.csv");
    Files.writeString(file, table("WFC", 1));
    Files.writeString(folder.resolve("bad.zip"), "PK\u0003\u0004 but no ZIP");
    Files.writeString(
        file, "WFC-9,Mill 9,end-mill-flat,9,9,15,10,72,4\n", StandardOpenOption.APPEND);
    Api.until(() -> in(folder.resolve("received")).size() == 1);
    Api.until(() -> in(folder.resolve("refused")).size() == 2);
    long id = deliveries("growing.csv").getFirst().get("id").asLong();
    lead.untilRead(id);
    assertEquals(2, lead.get("/api/v1/deliveries/" + id).number("read"));
    assertEquals(List.of("bad.zip", "bad.zip.reason.txt"), in(folder.resolve("refused")));
    assertTrue(
        Files.readString(folder.resolve("refused/bad.zip.reason.txt")).startsWith("the ZIP is"));
    assertTrue(in(folder).contains("half.csv.part"));
  }

  @Test
  void foldersStandInOnePlaceAndHaveOneNameEach() {
    folder("Once");
    assertEquals(409, lead.post("/api/v1/folders", Api.body("name", "once")).status());
    assertEquals(400, lead.post("/api/v1/folders", Api.body("name", "../etc")).status());
    assertEquals(
        404, lead.post("/api/v1/folders", Api.body("name", "Other", "recipe", "no such")).status());
    assertEquals(403, as("VISITOR").post("/api/v1/folders", Api.body("name", "X")).status());
    long id =
        StreamSupport.stream(lead.get("/api/v1/folders").at("items").spliterator(), false)
            .filter(folder -> folder.get("name").asString().equals("Once"))
            .findFirst()
            .orElseThrow()
            .get("id")
            .asLong();
    assertEquals(204, lead.send("DELETE", "/api/v1/folders/" + id, Api.body()).status());
    assertEquals(404, lead.send("DELETE", "/api/v1/folders/" + id, Api.body()).status());
  }
}
