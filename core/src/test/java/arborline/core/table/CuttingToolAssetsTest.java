package arborline.core.table;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertNull;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Random;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class CuttingToolAssetsTest {

  private static final String TOOL =
      """
      <CuttingTool assetId="EM10-0042" toolId="EM10" serialNumber="0042">
        <Description>End mill 10</Description>
        <CuttingToolLifeCycle>
          <CutterStatus><Status>USED</Status><Status>AVAILABLE</Status></CutterStatus>
          <ToolLife type="MINUTES" countDirection="UP" limit="90">35</ToolLife>
          <ProgramToolNumber>10</ProgramToolNumber>
          <Location type="POT" positiveOverlap="0" negativeOverlap="0">13</Location>
          <Measurements><FunctionalLength code="LF" units="MILLIMETER">120.012</FunctionalLength></Measurements>
          <CuttingItems count="1"><CuttingItem indices="1-4"><Measurements>
            <CuttingDiameter code="DC" units="MILLIMETER" nominal="10">9.988</CuttingDiameter>
          </Measurements></CuttingItem></CuttingItems>
        </CuttingToolLifeCycle>
      </CuttingTool>
      """;

  private static ControlTable read(String tools) throws IOException {
    return readAll(
        "<MTConnectAssets xmlns=\"urn:mtconnect.org:MTConnectAssets:1.8\"><Header/><Assets>"
            + tools
            + "</Assets></MTConnectAssets>");
  }

  private static ControlTable readAll(String document) throws IOException {
    return CuttingToolAssets.read(
        new ByteArrayInputStream(document.getBytes(StandardCharsets.UTF_8)), Tables.RANDOM);
  }

  @Test
  void aToolStandsInItsPocketWithNumberNameAndMeasures() throws IOException {
    TableEntry entry = read(TOOL).at("13");
    assertEquals("EM10", entry.get(TableField.TOOL));
    assertEquals("10", entry.get(TableField.NUMBER));
    assertEquals("End mill 10", entry.get(TableField.NAME));
    assertEquals("120.012", entry.get(TableField.LENGTH));
    assertEquals("9.988", entry.get(TableField.DIAMETER));
    assertNull(entry.get(TableField.LENGTH_WEAR));
  }

  @Test
  void inchesAreTurnedIntoMillimetres() throws IOException {
    TableEntry entry = read(TOOL.replace("MILLIMETER\">120.012", "INCH\">4.725")).at("13");
    assertEquals(0, entry.number(TableField.LENGTH).compareTo(new java.math.BigDecimal("120.015")));
  }

  @Test
  void nothingMeansNotSetAndZeroIsAValueToAskAbout() throws IOException {
    assertEquals("0", read(TOOL.replace(">120.012<", ">0<")).at("13").get(TableField.LENGTH));
    assertNull(read(TOOL.replace(">120.012<", "><")).at("13").get(TableField.LENGTH));
  }

  @Test
  void theToolInTheSpindleIsInNoPocket() throws IOException {
    ControlTable table = read(TOOL.replace("type=\"POT\"", "type=\"SPINDLE\""));
    assertTrue(table.places().isEmpty());
    assertEquals("EM10", table.spindle().orElseThrow().get(TableField.TOOL));
  }

  @Test
  void otherNamespacesAndUnknownElementsAreNoMatter() throws IOException {
    String newer =
        "<m:MTConnectAssets xmlns:m=\"urn:mtconnect.org:MTConnectAssets:2.9\"><m:Assets>"
            + TOOL.replace("<Description>", "<Novelty><Inner/></Novelty><Description>")
            + "</m:Assets></m:MTConnectAssets>";
    assertEquals("EM10", readAll(newer).at("13").get(TableField.TOOL));
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "",
        "not xml",
        "<html><body>Control is busy</body></html>",
        "<MTConnectAssets><Assets><CuttingTool toolId='X'>",
        "<!DOCTYPE x [<!ENTITY e SYSTEM \"file:///etc/passwd\">]><MTConnectAssets>&e;</MTConnectAssets>"
      })
  void anythingElseIsRefusedInWords(String document) {
    IOException refused = assertThrows(IOException.class, () -> readAll(document));
    assertTrue(refused.getMessage().startsWith("its answer is not "), refused.getMessage());
    assertFalse(refused.getMessage().contains("root:"));
  }

  @Test
  void aSizeThatIsNoNumberIsNamed() {
    IOException refused =
        assertThrows(IOException.class, () -> read(TOOL.replace(">120.012<", ">1E400000000<")));
    assertEquals(
        "it shows '1E400000000' as length, which is no number that a control shows",
        refused.getMessage());
  }

  @Test
  void twoToolsInOnePocketAreSaidWithThePocket() {
    IOException refused = assertThrows(IOException.class, () -> read(TOOL + TOOL));
    assertEquals("it names two tools for pocket 13", refused.getMessage());
  }

  @RepeatedTest(100)
  void aDamagedAnswerIsReadOrRefused(RepetitionInfo run) {
    Random random = new Random(run.getCurrentRepetition());
    byte[] bytes =
        ("<MTConnectAssets><Assets>" + TOOL + "</Assets></MTConnectAssets>")
            .getBytes(StandardCharsets.UTF_8);
    for (int i = 0; i < 3; i++) {
      bytes[random.nextInt(bytes.length)] = (byte) (32 + random.nextInt(90));
    }
    byte[] cut = Arrays.copyOf(bytes, bytes.length - random.nextInt(60));
    try {
      assertTrue(
          CuttingToolAssets.read(new ByteArrayInputStream(cut), Tables.RANDOM).places().size()
              <= 1);
    } catch (IOException refused) {
      assertTrue(refused.getMessage().startsWith("it"), refused.getMessage());
    }
  }
}
