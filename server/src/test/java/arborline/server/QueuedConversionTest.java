package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.springframework.core.io.Resource;

/** Files are converted in the background. */
class QueuedConversionTest extends ServerTest {

  private static final String CONVERSIONS = "/api/v1/conversions/";

  private static Resource file(String name, String content) {
    return Api.named(name, content.getBytes(StandardCharsets.UTF_8));
  }

  private long queue(String format, Resource... files) {
    Api.Answer queued = lead.send("/api/v1/conversions/queue?to=" + format, files);
    assertEquals(202, queued.status(), queued.toString());
    return queued.number("id");
  }

  private Api.Answer over(long id) {
    Api.until(
        () -> !Set.of("waiting", "running").contains(lead.get(CONVERSIONS + id).text("state")));
    return lead.get(CONVERSIONS + id);
  }

  @Test
  void severalFilesBecomeOneZipWithTheirProof() throws IOException {
    long id = queue("text", file("one.csv", table("QCA", 3)), file("../two.csv", table("QCB", 2)));
    Api.Answer done = over(id);
    assertEquals("done", done.text("state"));
    assertEquals(2, done.number("filesDone"));
    assertEquals("two.csv", done.body().at("/reports/1/file").asString());
    assertTrue(done.body().at("/reports/0/equal").asBoolean());
    assertEquals(3, done.body().at("/reports/0/written").asInt());
    assertEquals(
        List.of("one.txt", "two.txt", "report.json"),
        List.copyOf(Zips.files(lead.bytes(CONVERSIONS + id + "/content")).keySet()));
  }

  @Test
  void aFileThatCannotBeReadIsSaidAndADamagedZipFails() {
    Api.Answer unread = over(queue("json", file("x.json", "{\"tools\": 1}")));
    assertEquals("done", unread.text("state"));
    assertTrue(
        unread.body().at("/reports/0/problem").asString().startsWith("line 1: no list of tools"));
    Api.Answer damaged = over(queue("json", file("x.zip", "PK\u0003\u0004 and no more")));
    assertEquals("failed", damaged.text("state"));
    assertTrue(damaged.text("note").contains("damaged or encrypted"), damaged.text("note"));
    assertEquals(409, lead.get(CONVERSIONS + damaged.number("id") + "/content").status());
  }

  @Test
  void aStoppedConversionKeepsNothing() {
    long id = queue("mtconnect", file("large.csv", table("QCS", 20_000)));
    assertEquals(202, lead.post(CONVERSIONS + id + "/stop", Api.body()).status());
    Api.Answer stopped = over(id);
    assertEquals("stopped", stopped.text("state"));
    assertEquals(
        0,
        jdbc.sql("select count(*) from conversion_part where conversion_id = ?")
            .param(id)
            .query(Integer.class)
            .single());
    assertEquals(204, lead.send("DELETE", CONVERSIONS + id, Api.body()).status());
    assertEquals(404, lead.get(CONVERSIONS + id).status());
  }

  @Test
  void onlyWhoReceivesConverts() {
    assertEquals(
        403, as("VISITOR").send("/api/v1/conversions/queue?to=json", file("a.csv", "a")).status());
    assertEquals(400, lead.send("/api/v1/conversions/queue?to=paper", file("a.csv", "a")).status());
  }
}
