package arborline.server;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

class ExplainAssetsTest extends ServerTest {

  private static JsonNode json(Api.Uploaded answer) {
    return JsonMapper.builder().build().readTree(answer.bytes());
  }

  @Test
  void aDocumentIsAnsweredWithWhatItSaysAndWhatIsWrong() {
    String document =
        """
        <MTConnectAssets xmlns="urn:mtconnect.org:MTConnectAssets:1.8"><Assets>
        <CuttingTool assetId="A-1" toolId="A" serialNumber="1">
        <CuttingToolLifeCycle><CutterStatus><Status>NEW</Status><Status>USED</Status></CutterStatus>
        <ProgramToolNumber>007</ProgramToolNumber><Location type="POT">3</Location>
        <Measurements><FunctionalLength units="INCH" nominal="2" minimum="1.9" maximum="2.1">2.5</FunctionalLength>
        </Measurements></CuttingToolLifeCycle></CuttingTool></Assets></MTConnectAssets>
        """;
    JsonNode answer =
        json(
            as("VISITOR")
                .upload("/api/v1/explain/assets", Api.named("a.xml", document.getBytes())));
    assertTrue(answer.get("valid").asBoolean());
    assertEquals("50.8", answer.at("/assets/0/values/LF").asString());
    assertEquals("63.5", answer.at("/assets/0/measured/LF").asString());
    assertEquals("48.26", answer.at("/assets/0/limits/LF/0").asString());
    assertEquals("007", answer.at("/assets/0/programToolNumber").asString());
    assertEquals("status-contradiction", answer.at("/faults/0/kind").asString());
    assertEquals("outside-limits", answer.at("/faults/1/kind").asString());
    assertEquals(5, answer.at("/faults/1/line").asInt());
  }

  @Test
  void whatIsNoDocumentIsSaidToBe() {
    JsonNode answer =
        json(lead.upload("/api/v1/explain/assets", Api.named("a.xml", "tools".getBytes())));
    assertEquals(false, answer.get("valid").asBoolean());
    assertTrue(answer.get("reason").asString().startsWith("line 1: not valid XML"));
    assertEquals(400, lead.post("/api/v1/explain/assets", Api.body()).status() / 100 * 100);
  }
}
