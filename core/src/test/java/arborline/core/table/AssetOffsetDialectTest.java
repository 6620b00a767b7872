package arborline.core.table;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.machine.ControlHabits;
import arborline.core.machine.Machine;
import arborline.core.machine.TestMachines;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class AssetOffsetDialectTest {

  private static final AssetOffsetDialect DIALECT = new AssetOffsetDialect();
  private static final Machine MACHINE = machine(true);

  private static Machine machine(boolean diameterShown) {
    Machine heron = TestMachines.heron(40);
    return new Machine(
        heron.id(),
        heron.name(),
        heron.kind(),
        heron.spindles(),
        heron.storages(),
        heron.axes(),
        new ControlHabits("assets-g10", true, diameterShown, true, 3, 10, "A-Z0-9 ", "mm"),
        heron.numbering(),
        heron.outputs());
  }

  private static RowWrite row(String target, TableField... fields) {
    return new RowWrite("5", Tables.entry(target), Set.copyOf(List.of(fields)), true);
  }

  private static final ControlTable NOW = new ControlTable(Map.of(), Optional.empty());

  private static final RowWrite NEW_TOOL =
      row(
          "TOOL=A NUMBER=12 NAME=Fräser_lang LENGTH=120.013 DIAMETER=10.000 LENGTH_WEAR=0"
              + " DIAMETER_WEAR=0",
          TableField.TOOL,
          TableField.NUMBER,
          TableField.NAME,
          TableField.LENGTH,
          TableField.DIAMETER,
          TableField.LENGTH_WEAR,
          TableField.DIAMETER_WEAR);

  @Test
  void anotherToolGetsGeometryAndFreshWearThenItsPocket() {
    List<ControlFile> files = DIALECT.write(MACHINE, NOW, List.of(NEW_TOOL));
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

  /** Numbers in inches never stand behind the word for millimetres. */
  @Test
  void aControlInInchesGetsTheWordForInches() {
    ControlHabits habits = MACHINE.habits();
    Machine inches =
        TestMachines.withHabits(
            MACHINE, new ControlHabits(habits.dialect(), true, true, true, 4, 10, "A-Z0-9 ", "in"));
    ControlTerms terms = ControlTerms.of(inches, DIALECT);
    assertEquals("4.7244", terms.shown(TableField.LENGTH, "120"));
    String program =
        DIALECT
            .write(inches, NOW, List.of(row("NUMBER=12 LENGTH=4.7244", TableField.LENGTH)))
            .getFirst()
            .content();
    assertTrue(program.contains("G20 G90\nG10 L10 P12 R4.7244\n"), program);
    assertFalse(program.contains("G21"), program);
  }

  @Test
  void whatIsNotMeasuredIsNotSetRatherThanZero() {
    RowWrite unmeasured =
        row("TOOL=A NUMBER=12 LENGTH=120", TableField.LENGTH, TableField.DIAMETER);
    String program = DIALECT.write(MACHINE, NOW, List.of(unmeasured)).getFirst().content();
    assertTrue(program.contains("G10 L12 P12\n"), program);
    assertFalse(program.contains("R0."));
  }

  @Test
  void onlyChangedRegistersAreWritten() {
    RowWrite length = row("TOOL=A NUMBER=12 LENGTH=120 DIAMETER=10", TableField.LENGTH);
    List<ControlFile> files = DIALECT.write(MACHINE, NOW, List.of(length));
    assertEquals(1, files.size());
    assertFalse(files.getFirst().content().contains("L12"));
  }

  @Test
  void clearedPocketIsWrittenAsEmpty() {
    RowWrite clear = new RowWrite("7", TableEntry.EMPTY, Set.of(TableField.TOOL), true);
    assertEquals(
        "pocket\ttool\tnumber\tname\n7\t-\t0\t\n",
        DIALECT.write(MACHINE, NOW, List.of(clear)).getFirst().content());
  }

  @ParameterizedTest
  @ValueSource(strings = {"FRÄS-1", "-", "A\tB", "A B", "A\u00001"})
  void codesThatTheControlCannotKeepAreRefused(String code) {
    TableEntry tool = TableEntry.EMPTY.with(TableField.TOOL, code).with(TableField.NUMBER, "5");
    assertTrue(DIALECT.refusal(MACHINE, tool).isPresent());
  }

  @Test
  void codesAndNumbersWithinItsMeansAreKept() {
    assertTrue(DIALECT.refusal(MACHINE, Tables.entry("TOOL=EM-10.5/H7 NUMBER=9999")).isEmpty());
    assertTrue(DIALECT.refusal(MACHINE, Tables.entry("TOOL=A NUMBER=10000")).isPresent());
    assertTrue(
        DIALECT.refusal(MACHINE, Tables.entry("NUMBER=5 TOOL=" + "A".repeat(33))).isPresent());
  }

  @Test
  void whatIsShownIsWhatIsSent() {
    ControlFile file = DIALECT.write(MACHINE, NOW, List.of(NEW_TOOL)).getFirst();
    assertEquals(file.content(), new String(file.bytes(), StandardCharsets.UTF_8));
    assertThrows(
        IllegalStateException.class, () -> new ControlFile("x", "text/plain", "Ä").bytes());
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
        Tables.entry("TOOL=EM10 NUMBER=10 OFFSET=10 LENGTH=120.012 DIAMETER=12.7")
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
    return DIALECT.read(MACHINE, Map.of("assets", xml.getBytes(StandardCharsets.UTF_8)));
  }
}
