package arborline.core.table;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.machine.ControlHabits;
import arborline.core.machine.Machine;
import arborline.core.machine.Numbering;
import arborline.core.machine.TestMachines;
import java.io.IOException;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class FixedRegisterDialectTest {

  private static final FixedRegisterDialect DIALECT = new FixedRegisterDialect();
  private static final Machine MACHINE = machine();

  private static final String FILE =
      """
      TOOLDATA INCH   3
        1 H   4.7244 R   0.1969
        2 H   0.0000 R   0.0000
        3 H   5.1181 R   0.0000
      END   3       10.0394
      """;

  /** Three pockets, inches, radii, four decimals. */
  private static Machine machine() {
    Machine numbered =
        TestMachines.numbered(
            TestMachines.heron(3), new Numbering(Numbering.Scheme.NUMBER_IS_PLACE, null, null));
    return TestMachines.withHabits(
        numbered, new ControlHabits("fixed-registers", false, false, false, 4, 0, "", "in"));
  }

  private static ControlTable read(String text) throws IOException {
    return DIALECT.read(MACHINE, Map.of("TOOLS.TXT", text.getBytes(StandardCharsets.US_ASCII)));
  }

  @Test
  void eachPocketHasItsRegisterAndZeroIsNotSet() throws IOException {
    ControlTable table = read(FILE.replace("\n", "\r\n"));
    assertEquals(Tables.entry("NUMBER=1 OFFSET=1 LENGTH=4.7244 DIAMETER=0.1969"), table.at("1"));
    assertTrue(table.at("2").empty());
    assertEquals(Tables.entry("NUMBER=3 OFFSET=3 LENGTH=5.1181"), table.at("3"));
  }

  /** The sum of a half file, or of one with a slipped digit, is another. */
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "INCH   3 | METR   3 | it sends mm",
        "INCH   3 | INCH   4 | announces 4 registers and has 3",
        "  2 H   0.0000 R   0.0000 | 2 H x R 0 | is no register",
        "  2 H   0.0000 R   0.0000 | '  7 H   0.0000 R   0.0000' | has no such pocket",
        "  2 H   0.0000 R   0.0000 | '  1 H   0.0000 R   0.0000' | register 1 twice",
        "4.7244 | 47.244 | whose sum is 52.5590",
        "END   3       10.0394 | END   2       10.0394 | does not agree",
        "END   3       10.0394 | END | does not agree",
      })
  void whatIsNotWholeIsSaid(String before, String after, String reason) {
    IOException refused = assertThrows(IOException.class, () -> read(FILE.replace(before, after)));
    assertTrue(refused.getMessage().contains(reason), refused.getMessage());
  }

  @Test
  void theTableIsWrittenWholeWithWhatWasThere() throws IOException {
    RowWrite second =
        new RowWrite(
            "2",
            Tables.entry("NUMBER=2 OFFSET=2 LENGTH=3.937 DIAMETER=0.25"),
            Set.of(TableField.LENGTH, TableField.DIAMETER),
            true);
    RowWrite cleared = new RowWrite("3", TableEntry.EMPTY, Set.of(TableField.TOOL), true);
    List<ControlFile> files = DIALECT.write(MACHINE, read(FILE), List.of(second, cleared));
    assertEquals(
        """
        TOOLDATA INCH   3
          1 H   4.7244 R   0.1969
          2 H   3.9370 R   0.2500
          3 H   0.0000 R   0.0000
        END   3        9.1083
        """
            .replace("\n", "\r\n"),
        files.getFirst().content());
    ControlTable after = read(files.getFirst().content());
    assertEquals("3.9370", after.at("2").get(TableField.LENGTH));
    ControlTerms terms = ControlTerms.of(MACHINE, DIALECT);
    assertEquals(List.of(), Proof.faults(terms, after, cleared));
    assertEquals(List.of("3 still holds a tool"), Proof.faults(terms, read(FILE), cleared));
    assertTrue(after.at("3").empty());
  }

  /** 100 mm are 3.9370 in, and half of 12.7 mm are 0.2500 in. */
  @Test
  void aPlannedToolIsProposedInItsTermsAndProved() throws IOException {
    ControlTerms terms = ControlTerms.of(MACHINE, DIALECT);
    ToolTables tables =
        new ToolTables(
            Map.of(
                "1", Tables.entry("TOOL=A NUMBER=1 OFFSET=1 LENGTH=120 DIAMETER=10"),
                "2", Tables.entry("TOOL=D NUMBER=2 OFFSET=2 LENGTH=100 DIAMETER=12.7"),
                "3", Tables.entry("TOOL=E NUMBER=3 OFFSET=3 LENGTH=130")),
            Map.of(
                "A", Nominal.UNKNOWN,
                "D", Nominal.UNKNOWN,
                "E",
                    new Nominal(Map.of(), Optional.empty(), Map.of(), Set.of(TableField.DIAMETER))),
            Optional.of(
                Map.of(
                    "1", Tables.entry("TOOL=A NUMBER=1 OFFSET=1 LENGTH=120 DIAMETER=10"),
                    "3", Tables.entry("TOOL=E NUMBER=3 OFFSET=3 LENGTH=130"))),
            read(FILE));
    List<PlaceReport> reports = Reconciler.reconcile(tables, terms);
    assertEquals(
        List.of(Why.WITHIN_RESOLUTION, Why.NEW_IN_PLAN, Why.WITHIN_RESOLUTION),
        reports.stream().map(PlaceReport::why).toList());
    RowWrite row =
        new WritePlan(tables, terms).of(reports.get(1), Decision.SEND).write().orElseThrow();
    String text = DIALECT.write(MACHINE, tables.control(), List.of(row)).getFirst().content();
    assertTrue(text.contains("  2 H   3.9370 R   0.2500\r\n"), text);
    assertEquals(List.of(), Proof.faults(terms, read(text), row));
    assertEquals(
        List.of(
            "length of 2 should be 3.9370 and is not set",
            "diameter of 2 should be 0.2500 and is not set"),
        Proof.faults(terms, read(FILE), row));
  }

  private static PlaceOutcome taken(ToolTables tables, String place) {
    ControlTerms terms = ControlTerms.of(MACHINE, DIALECT);
    PlaceReport report =
        Reconciler.reconcile(tables, terms).stream()
            .filter(row -> row.place().equals(place))
            .findFirst()
            .orElseThrow();
    return new WritePlan(tables, terms).of(report, Decision.TAKE);
  }

  private static ToolTables tables(String plan, String control) throws IOException {
    Map<String, TableEntry> rows = Tables.rows(plan);
    return new ToolTables(
        rows, Map.of("A", Nominal.UNKNOWN, "E", Nominal.UNKNOWN), Optional.of(rows), read(control));
  }

  private static final String PLAN =
      "1:TOOL=A NUMBER=1 OFFSET=1 LENGTH=120 DIAMETER=10;"
          + "3:TOOL=E NUMBER=3 OFFSET=3 LENGTH=130";

  @Test
  void whatWasKeyedInIsTakenForTheToolOfThePocket() throws IOException {
    String longer = FILE.replace("4.7244", "4.7644").replace("10.0394", "10.0794");
    TableEntry plan = taken(tables(PLAN, longer), "1").plan();
    assertEquals("A", plan.get(TableField.TOOL));
    assertEquals(0, plan.number(TableField.LENGTH).compareTo(new BigDecimal("121.01576")));
    assertEquals("10", plan.get(TableField.DIAMETER), "what did not change keeps its digits");
  }

  @Test
  void toolsThatWereExchangedAreTakenWithTheirValues() throws IOException {
    String exchanged =
        FILE.replace("  1 H   4.7244 R   0.1969", "  1 H   5.1181 R   0.0000")
            .replace("  3 H   5.1181 R   0.0000", "  3 H   4.7244 R   0.1969");
    ToolTables tables = tables(PLAN, exchanged);
    assertEquals("E", taken(tables, "1").plan().get(TableField.TOOL));
    assertEquals("1", taken(tables, "1").plan().get(TableField.NUMBER));
    assertEquals("A", taken(tables, "3").plan().get(TableField.TOOL));
  }

  @Test
  void whatRegistersHoldIsShownBesideAPlannedTool() throws IOException {
    ToolTables tables =
        new ToolTables(
            Tables.rows("3:TOOL=E NUMBER=3 OFFSET=3 LENGTH=131"),
            Map.of("E", Nominal.UNKNOWN),
            Optional.of(Map.of()),
            read(FILE));
    PlaceReport report =
        Reconciler.reconcile(tables, ControlTerms.of(MACHINE, DIALECT)).stream()
            .filter(row -> row.place().equals("3"))
            .findFirst()
            .orElseThrow();
    assertEquals(Why.PLACE_OCCUPIED, report.why());
    assertEquals(
        List.of("LENGTH 131 5.1181"),
        report.fields().stream()
            .map(field -> "%s %s %s".formatted(field.field(), field.plan(), field.control()))
            .toList());
  }

  @ParameterizedTest
  @CsvSource({"0, 120, 5", "4, 4.7244, 0.1969", "6, 4.724409, 0.196850"})
  void whatItWritesItReadsWithAnyDecimals(int decimals, String length, String radius)
      throws IOException {
    Machine machine =
        TestMachines.withHabits(
            MACHINE,
            new ControlHabits(
                "fixed-registers",
                false,
                false,
                false,
                decimals,
                0,
                "",
                decimals == 0 ? "mm" : "in"));
    TableEntry target =
        TableEntry.EMPTY
            .with(TableField.NUMBER, "2")
            .with(TableField.OFFSET, "2")
            .with(TableField.LENGTH, length)
            .with(TableField.DIAMETER, radius);
    ControlFile file =
        DIALECT
            .write(
                machine,
                new ControlTable(Map.of(), Optional.empty()),
                List.of(new RowWrite("2", target, Set.of(TableField.LENGTH), false)))
            .getFirst();
    assertEquals(target, DIALECT.read(machine, Map.of("TOOLS.TXT", file.bytes())).at("2"));
  }

  @Test
  void whatItsColumnsCannotHoldIsRefused() {
    assertEquals(Optional.empty(), DIALECT.refusal(MACHINE, Tables.entry("TOOL=A LENGTH=253000")));
    Optional<String> refused =
        DIALECT.refusal(MACHINE, Tables.entry("TOOL=A LENGTH=254000 DIAMETER=10"));
    assertEquals(
        Optional.of("M1 Heron writes a length in 9 characters; 10000.0000 of A has 10"), refused);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {"999 |", "1000 | M1 Heron counts its registers in 3 columns; 1000 are too many"})
  void moreRegistersThanItsColumnsCountAreRefused(int registers, String refusal) {
    Machine large = TestMachines.withHabits(TestMachines.heron(registers), MACHINE.habits());
    assertEquals(
        Optional.ofNullable(refusal),
        DIALECT.refusal(large, Tables.entry("TOOL=A LENGTH=120 DIAMETER=10")));
  }

  @Test
  void aToolThatNobodyNamesCannotBeTakenIntoThePlan() throws IOException {
    ToolTables tables = tables("1:TOOL=A NUMBER=1 OFFSET=1 LENGTH=120 DIAMETER=10", FILE);
    IllegalArgumentException refused =
        assertThrows(IllegalArgumentException.class, () -> taken(tables, "3"));
    assertTrue(refused.getMessage().contains("pocket 3"), refused.getMessage());
  }
}
