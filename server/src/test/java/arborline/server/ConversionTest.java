package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Files are converted without touching a library; the answer proves itself. */
class ConversionTest extends ServerTest {

  private static JsonNode report(Map<String, byte[]> files) {
    return JsonMapper.builder().build().readTree(files.get("report.json"));
  }

  @Test
  void aFileComesBackWithItsReport() throws IOException {
    int before = lead.get("/api/v1/libraries").at("items").size();
    Map<String, byte[]> files =
        Zips.files(
            lead.upload(
                    "/api/v1/conversions?to=json",
                    Api.named("my mills.csv", table("CON", 3).getBytes()))
                .bytes());
    assertEquals(List.of("my-mills.json", "report.json"), List.copyOf(files.keySet()));
    JsonNode report = report(files);
    assertTrue(report.get("equal").asBoolean(), report.toString());
    assertEquals(3, report.at("/reports/0/written").asInt());
    assertEquals(3, report.at("/reports/0/proof/compared").asInt());
    assertEquals(0, report.at("/reports/0/lossCount").asInt());
    assertEquals(before, lead.get("/api/v1/libraries").at("items").size());
  }

  @Test
  void everyFileOfAZipIsConvertedAndWhatCannotBeIsSaid() throws IOException {
    Map<String, String> inside = new LinkedHashMap<>();
    inside.put("../../a.csv", table("CZA", 2));
    inside.put("folder/a.csv", table("CZB", 2));
    inside.put("list.csv", "Nr;Werkzeug;Z\nE1;Schaftfräser D8;4\nE2;Kugelfräser Ø6;2\n");
    inside.put("inner.zip", "no matter what");
    inside.put("broken.json", "{\"format\":\"arbor-line-tools\",");
    Map<String, byte[]> files =
        Zips.files(
            lead.upload(
                    "/api/v1/conversions?to=csv&unit=in",
                    Api.named("all.zip", Zips.ofTexts(inside)))
                .bytes());
    assertEquals(
        List.of("a.csv", "a-2.csv", "list.csv", "report.json"), List.copyOf(files.keySet()));
    JsonNode reports = report(files).get("reports");
    assertEquals(5, reports.size());
    assertTrue(
        reports.at("/3/problem").asString().startsWith("a ZIP inside a ZIP"), reports.toString());
    assertTrue(reports.at("/4/problem").asString().startsWith("line 1: "), reports.toString());
    assertTrue(reports.at("/0/lossCount").asInt() > 0);
    assertTrue(reports.at("/2/proof/equal").asBoolean(), reports.at("/2").toString());
  }

  @Test
  void whatCannotBeIsRefusedInWords() {
    var file = Api.named("a.csv", table("CX", 1).getBytes());
    assertEquals(400, lead.upload("/api/v1/conversions?to=papyrus", file).status());
    assertEquals(400, lead.upload("/api/v1/conversions?to=csv&unit=furlong", file).status());
    assertEquals(400, lead.upload("/api/v1/conversions", file).status());
    assertEquals(403, as("VISITOR").upload("/api/v1/conversions?to=csv", file).status());
    byte[] damaged = {'P', 'K', 3, 4, 1, 2, 3};
    assertEquals(
        400, lead.upload("/api/v1/conversions?to=csv", Api.named("a.zip", damaged)).status());
  }
}
