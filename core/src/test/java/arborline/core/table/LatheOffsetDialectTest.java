package arborline.core.table;

import static arborline.core.table.Tables.entry;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

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
import org.junit.jupiter.params.provider.CsvSource;

class LatheOffsetDialectTest {

  private static final ControlTable NOTHING = new ControlTable(Map.of(), Optional.empty());
  private static final String OFFSETS =
      "%\n(TOOLS)\nG21 G90\nG10 P10601 X241.2 Z85.25 R0.8 Q3\nG10 P601 X0.02 Z0.\n"
          + "G10 P10660 Z12.5\nM30\n%\n";
  private static final String NUMBERS = "station\tnumber\tprogram\n1\t601\t1\n2\t-\t-\n";
  private static final String STATE =
      "<MTConnectAssets><Assets><CuttingTool><CutterStatus><Status>MEASURED</Status></CutterStatus>"
          + "<ProgramToolNumber>601</ProgramToolNumber></CuttingTool></Assets></MTConnectAssets>";

  private final LatheOffsetDialect dialect = new LatheOffsetDialect();
  private final Machine machine = TestMachines.cormorant();

  private ControlTable read(String offsets, String numbers, String state) throws IOException {
    return dialect.read(
        machine,
        Map.of(
            LatheOffsetDialect.OFFSETS, offsets.getBytes(StandardCharsets.US_ASCII),
            LatheOffsetDialect.NUMBERS, numbers.getBytes(StandardCharsets.US_ASCII),
            LatheOffsetDialect.STATE, state.getBytes(StandardCharsets.US_ASCII)));
  }

  @Test
  void geometryWearStationAndWhetherItIsSetComeTogether() throws IOException {
    ControlTable read = read(OFFSETS, NUMBERS, STATE);
    assertEquals(
        entry(
            "NUMBER=601 OFFSET=601 PROGRAM_NUMBER=1 X=241.2 Z=85.25 NOSE_RADIUS=0.8"
                + " ORIENTATION=3 X_WEAR=0.02 Z_WEAR=0 SET=yes"),
        read.at("1"));
    assertTrue(read.at("2").empty());
    assertEquals(List.of(entry("NUMBER=660 OFFSET=660 Z=12.5")), read.unplaced());
  }

  @Test
  void whatTheControlForgotIsNotSet() throws IOException {
    String forgotten = STATE.replace("MEASURED", "AVAILABLE");
    assertEquals("no", read(OFFSETS, NUMBERS, forgotten).at("1").get(TableField.SET));
  }

  /** 120.6 mm from the axis are a diameter of 241.2 mm. */
  @Test
  void xIsADiameterAtTheControl() {
    ControlTerms terms = ControlTerms.of(machine, dialect);
    assertEquals("241.200", terms.shown(TableField.X, "120.6"));
    assertTrue(terms.onlyNumbersShown());
  }

  private String written(String target, String... fields) {
    Set<TableField> set = Set.copyOf(List.of(fields).stream().map(TableField::valueOf).toList());
    StringBuilder text = new StringBuilder();
    dialect
        .write(machine, NOTHING, List.of(new RowWrite("1", entry(target), set, true)))
        .forEach(file -> text.append(file.name()).append('\n').append(file.content()));
    return text.toString();
  }

  @Test
  void geometryIsSentWholeAndWhatIsNotSetHasNoValue() {
    assertEquals(
        "offsets.nc\n%\n(TOOL OFFSETS)\nG21 G90\nG10 P10601 X241.2 Z85. R Q3\nM30\n%\n",
        written("NUMBER=601 OFFSET=601 X=241.200 Z=85.000 ORIENTATION=3", "X"));
  }

  @Test
  void wearAndNumbersAreApart() {
    assertEquals(
        "offsets.nc\n%\n(TOOL OFFSETS)\nG21 G90\nG10 P601 X-0.01 Z0. R0.\nM30\n%\n"
            + "numbers.tsv\nstation\tnumber\tprogram\n1\t601\t1\n",
        written(
            "NUMBER=601 OFFSET=601 PROGRAM_NUMBER=1 X_WEAR=-0.010", "X_WEAR", "PROGRAM_NUMBER"));
  }

  @Test
  void sayingThatAToolIsSetSendsItsGeometryAgain() {
    assertTrue(
        written("NUMBER=601 OFFSET=601 X=10.000 SET=yes", "SET").contains("G10 P10601 X10. Z"));
  }

  @Test
  void aStationIsCleared() {
    assertTrue(
        dialect
            .write(
                machine,
                NOTHING,
                List.of(new RowWrite("4", TableEntry.EMPTY, Set.of(TableField.TOOL), true)))
            .getFirst()
            .content()
            .endsWith("\n4\t-\t-\n"));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "M30 | M3 | is not whole",
        "G21 G90 | G20 G90 | it sends in, and its definition says mm",
        "G21 G90 | (G21) | it sends no unit",
        "R0.8 Q3 | R0.8 Q3 S5 | is none of them",
        "Z85.25 | Z8x.25 | is none of them",
      })
  void whatIsNoProgramOfOffsetsIsRefused(String before, String after, String reason) {
    IOException refused =
        assertThrows(IOException.class, () -> read(OFFSETS.replace(before, after), NUMBERS, STATE));
    assertTrue(refused.getMessage().contains(reason), refused.getMessage());
  }

  @ParameterizedTest
  @CsvSource({"1\t601, 99\t601", "2\t-, 1\t602", "station, place"})
  void aStationThatIsNoneOrNamedTwiceIsRefused(String before, String after) {
    assertThrows(IOException.class, () -> read(OFFSETS, NUMBERS.replace(before, after), STATE));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "TOOL=A NUMBER=601 X=100 |",
        "TOOL=A NUMBER=5 | outside 601 to 680",
        "TOOL=A | has no number",
        "TOOL=A NUMBER=601 X=5000.1 | below 10 m",
      })
  void whatItCannotKeepIsSaid(String row, String reason) {
    Optional<String> refusal = dialect.refusal(machine, entry(row));
    assertEquals(reason != null, refusal.isPresent());
    refusal.ifPresent(said -> assertTrue(said.contains(reason), said));
  }
}
