package arborline.core.table;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.machine.ControlHabits;
import arborline.core.machine.Limits;
import arborline.core.machine.Machine;
import arborline.core.machine.Magazine;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.util.EnumSet;
import java.util.List;
import org.junit.jupiter.api.Test;

class AssetOffsetDialectTest {

  private static final AssetOffsetDialect DIALECT = new AssetOffsetDialect();
  private static final Machine MACHINE = machine(true);

  private static Machine machine(boolean diameterShown) {
    BigDecimal any = BigDecimal.TEN;
    return new Machine(
        "M1",
        "M1 Heron",
        "mill",
        "ST-JD-40:f",
        new Magazine("chain", 40, true, true),
        new Limits(any, any, any, any, any, any, any),
        new ControlHabits("assets-g10", true, true, diameterShown, true, 3, 10, "A-Z0-9 "));
  }

  private static final RowWrite NEW_TOOL =
      new RowWrite(
          "5",
          ReconcilerTest.entry("TOOL=A NUMBER=12 NAME=Fräser_lang LENGTH=120.0125 DIAMETER=10"),
          EnumSet.of(
              TableField.TOOL,
              TableField.NUMBER,
              TableField.NAME,
              TableField.LENGTH,
              TableField.DIAMETER),
          true);

  @Test
  void anotherToolGetsGeometryAndFreshWearThenItsPocket() {
    List<ControlFile> files = DIALECT.write(MACHINE, List.of(NEW_TOOL));
    assertEquals(
        List.of("offsets.nc", "pockets.tsv"), files.stream().map(ControlFile::name).toList());
    assertEquals(
        """
        %
        (M1 HERON TOOL OFFSETS)
        G21 G90
        G10 L10 P12 R120.013
        G10 L12 P12 R10.
        G10 L11 P12 R0.
        G10 L13 P12 R0.
        M30
        %
        """,
        files.getFirst().content());
    assertEquals("pocket\ttool\tnumber\tname\n5\tA\t12\tFRAESER\n", files.get(1).content());
  }

  @Test
  void radiusRegistersGetHalfTheDiameter() {
    String program = DIALECT.write(machine(false), List.of(NEW_TOOL)).getFirst().content();
    assertTrue(program.contains("G10 L12 P12 R5.\n"));
  }

  @Test
  void onlyChangedRegistersAreWritten() {
    RowWrite length =
        new RowWrite(
            "5",
            ReconcilerTest.entry("TOOL=A NUMBER=12 LENGTH=120 DIAMETER=10"),
            EnumSet.of(TableField.LENGTH),
            false);
    List<ControlFile> files = DIALECT.write(MACHINE, List.of(length));
    assertEquals(1, files.size());
    assertFalse(files.getFirst().content().contains("L12"));
  }

  @Test
  void clearedPocketIsWrittenAsEmpty() {
    RowWrite clear = new RowWrite("7", TableEntry.EMPTY, EnumSet.of(TableField.TOOL), true);
    assertEquals(
        "pocket\ttool\tnumber\tname\n7\t-\t0\t\n",
        DIALECT.write(MACHINE, List.of(clear)).getFirst().content());
  }

  @Test
  void readsAssetsWithAnyNamespaceAndIgnoresTheRest() throws IOException {
    ControlTable table =
        read(
            """
            <MTConnectAssets xmlns="urn:mtconnect.org:MTConnectAssets:1.8"><Header/><Assets>
            <CuttingTool assetId="1" toolId="EM10"><Description>End mill 10</Description>
            <CuttingToolLifeCycle><ProgramToolNumber>10</ProgramToolNumber>
            <Location type="POT">13</Location>
            <Measurements><FunctionalLength code="LF" units="MILLIMETER" nominal="120">120.012</FunctionalLength>
            <Strange>1</Strange></Measurements>
            <CuttingItems count="1"><CuttingItem indices="1"><Measurements>
            <CuttingDiameter code="DC" units="INCH">0.5</CuttingDiameter></Measurements></CuttingItem></CuttingItems>
            </CuttingToolLifeCycle></CuttingTool>
            <CuttingTool assetId="2" toolId="DR8"><CuttingToolLifeCycle>
            <Location type="SPINDLE">1</Location></CuttingToolLifeCycle></CuttingTool>
            </Assets></MTConnectAssets>
            """);
    assertEquals(
        ReconcilerTest.entry("TOOL=EM10 NUMBER=10 LENGTH=120.012 DIAMETER=12.70")
            .with(TableField.NAME, "End mill 10"),
        table.at("13"));
    assertEquals("DR8", table.spindle().orElseThrow().get(TableField.TOOL));
  }

  @Test
  void whatIsNoAssetsDocumentIsRefused() {
    assertThrows(IOException.class, () -> read("<html/>"));
    assertThrows(IOException.class, () -> read("no xml"));
    assertThrows(
        IOException.class,
        () -> read("<!DOCTYPE x [<!ENTITY e SYSTEM \"file:///etc/passwd\">]><x>&e;</x>"));
  }

  private static ControlTable read(String xml) throws IOException {
    return DIALECT.read(new ByteArrayInputStream(xml.getBytes(StandardCharsets.UTF_8)));
  }
}
