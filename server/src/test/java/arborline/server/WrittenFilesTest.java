package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.util.HexFormat;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** Libraries are written as files in the background, and the files are kept with their proof. */
class WrittenFilesTest extends ServerTest {

  private long filled(String name, String prefix, int tools) {
    long library = library(name);
    long delivery = lead.deliver(prefix + ".csv", table(prefix, tools));
    Api.Answer taken =
        lead.post("/api/v1/deliveries/%d/accept".formatted(delivery), Api.body("library", library));
    assertEquals(tools, taken.number("accepted"), taken.toString());
    return library;
  }

  private Api.Answer order(long library, String format) {
    return lead.post("/api/v1/libraries/%d/files?format=%s".formatted(library, format), null);
  }

  private Api.Answer over(long file) {
    String path = "/api/v1/files/" + file;
    Api.until(() -> !Set.of("waiting", "writing").contains(lead.get(path).text("state")));
    return lead.get(path);
  }

  @Test
  void aFileIsKeptWithItsProofAndItsFingerprint() throws Exception {
    long library = filled("Written down", "WRA", 30);
    Api.Answer ordered = order(library, "csv");
    assertEquals(202, ordered.status(), ordered.toString());
    Api.Answer file = over(ordered.number("id"));
    assertEquals("done", file.text("state"));
    assertEquals(30, file.number("tools"));
    assertTrue(file.at("equal").asBoolean(), file.toString());
    byte[] content = lead.bytes("/api/v1/files/%d/content".formatted(file.number("id")));
    assertEquals(file.number("size"), content.length);
    assertEquals(
        file.text("sha256"),
        HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(content)));
    assertTrue(new String(content, StandardCharsets.UTF_8).contains("WRA-30"));
  }

  @Test
  void aFileThatIsStoppedKeepsNothing() {
    long library = filled("Stopped", "WRB", 8_000);
    long id = order(library, "mtconnect").number("id");
    assertEquals(
        409, lead.get("/api/v1/files/%d/content".formatted(id)).status(), "not written yet");
    assertEquals(202, lead.post("/api/v1/files/%d/stop".formatted(id), null).status());
    Api.Answer file = over(id);
    assertEquals("stopped", file.text("state"), file.toString());
    assertEquals("it was stopped; nothing of it was kept", file.text("note"));
    assertEquals(
        0L,
        jdbc.sql("select count(*) from written_part where file_id = ?")
            .param(id)
            .query(Long.class)
            .single());
    assertEquals(409, lead.post("/api/v1/files/%d/stop".formatted(id), null).status());
  }

  @Test
  void whatCannotBeWrittenIsRefusedBeforeAnyWork() {
    assertEquals(404, order(999_999, "csv").status());
    long library = library("Nothing to write");
    assertEquals(400, order(library, "papyrus").status());
    assertEquals(404, lead.post("/api/v1/files/999999/stop", null).status());
    assertEquals("done", over(order(library, "json").number("id")).text("state"));
  }
}
