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
import org.junit.jupiter.params.provider.ValueSource;

class ToolNodesDialectTest {

  private static final ControlTable NOTHING = new ControlTable(Map.of(), Optional.empty());
  private static final String NODES =
      """
      A|1|Place\t5
      A|1|Number\t53
      A|1|Life.Used\t12.5
      A|1|Status\tusable
      A|1|Edge1.Length\t120.5
      A|1|Edge1.Diameter\t
      A|1|Edge2.Length\t118.0
      A|1|Colour\tred
      A|2|Place\tSPINDLE
      A|2|Number\t53
      B|1|Place\t
      Count\t3
      """;

  private final ToolNodesDialect dialect = new ToolNodesDialect();
  private final Machine machine = TestMachines.heron(8);

  private ControlTable read(String nodes) throws IOException {
    return dialect.read(
        machine, Map.of(ToolNodesDialect.TOOLS, nodes.getBytes(StandardCharsets.UTF_8)));
  }

  @Test
  void sistersLifeEdgesAndWhereTheyStandAreRead() throws IOException {
    ControlTable read = read(NODES);
    assertEquals(
        entry("TOOL=A SISTER=1 NUMBER=53 LIFE_USED=12.5 STATUS=usable LENGTH=120.5 LENGTH@2=118.0"),
        read.at("5"));
    assertEquals(Optional.of(entry("TOOL=A SISTER=2 NUMBER=53")), read.spindle());
    assertEquals(List.of(entry("TOOL=B SISTER=1")), read.unplaced());
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "Place\t5 ; Place\t99 ; which is no place",
        "Place\tSPINDLE ; Place\t5 ; two tools in 5",
        "120.5 ; long ; is no number that a control shows",
        "120.5 ; 1E400000000 ; is no number that a control shows",
        "Place\t5 ; Stand\t5 ; does not say where they stand",
        "Count\t3 ; Count\t4 ; it shows 3 tools and says that it has 4",
        "Count\t3 ; A|1|Note\t ; has no number of them",
        "Life.Used\t ; Life.Used ; is none of its tools",
      })
  void whatIsNoTableIsRefused(String change) {
    String[] parts = change.split(" ; ");
    IOException refused =
        assertThrows(IOException.class, () -> read(NODES.replace(parts[0], parts[1])));
    assertTrue(refused.getMessage().contains(parts[2].strip()), refused.getMessage());
  }

  @Test
  void aControlWithoutToolsIsEmpty() throws IOException {
    assertEquals(NOTHING, read("Count\t0\n"));
    assertThrows(IOException.class, () -> read(""));
  }

  private String written(String target, String... fields) {
    Set<TableField> set = Set.copyOf(List.of(fields).stream().map(TableField::valueOf).toList());
    return dialect
        .write(machine, NOTHING, List.of(new RowWrite("5", entry(target), set, true)))
        .getFirst()
        .content();
  }

  /** A tool is loaded first, without sizes; these are written next. */
  @Test
  void aToolThatComesInIsLoadedBeforeItsSizesAreWritten() {
    assertEquals(
        "call\tLoad\tA\t2\t5\t53\tBALL\nwrite\tA|2|Edge1.Length\t120.500\n",
        written("TOOL=A SISTER=2 NUMBER=53 NAME=BALL LENGTH=120.500 DIAMETER=8", "TOOL", "LENGTH"));
  }

  @Test
  void aSizeAloneIsOneNodeAndNoneHasNoValue() {
    assertEquals(
        "write\tA|1|Edge1.Diameter\t\nwrite\tA|1|Life.Used\t0\n",
        written("TOOL=A NUMBER=53 LENGTH=120 LIFE_USED=0", "DIAMETER", "LIFE_USED"));
  }

  /** A tool that moves is written whole; its status stays the control's. */
  @Test
  void theStatusIsNeverWritten() {
    assertEquals(
        "write\tA|1|Edge1.Length\t120\n",
        written("TOOL=A LENGTH=120 STATUS=usable", "STATUS", "LENGTH"));
  }

  /** What goes out makes room for what comes in beside it. */
  @Test
  void placesAreClearedBeforeAnyIsFilled() {
    Set<TableField> tool = Set.of(TableField.TOOL);
    List<RowWrite> rows =
        List.of(
            new RowWrite("4", entry("TOOL=A SISTER=1 NUMBER=53 NAME=MILL"), tool, true),
            new RowWrite("5", TableEntry.EMPTY, tool, true));
    assertEquals(
        "call\tUnload\t5\ncall\tLoad\tA\t1\t4\t53\tMILL\n",
        dialect.write(machine, NOTHING, rows).getFirst().content());
  }

  @Test
  void aClearedPlaceIsUnloaded() {
    assertEquals(
        "call\tUnload\t5\n",
        dialect
            .write(
                machine,
                NOTHING,
                List.of(new RowWrite("5", TableEntry.EMPTY, Set.of(TableField.TOOL), true)))
            .getFirst()
            .content());
  }

  @ParameterizedTest
  @CsvSource({"A, 5, true", "A|B, 5, false", "A, 0, false", "A B, 5, false"})
  void codesAndNumbersThatItCannotKeepAreSaid(String code, String number, boolean kept) {
    TableEntry tool = TableEntry.EMPTY.with(TableField.TOOL, code).with(TableField.NUMBER, number);
    assertEquals(kept, dialect.refusal(machine, tool).isEmpty());
  }

  @Test
  void theFirstOfSistersNeedsNoNumber() {
    assertEquals("1", dialect.registered(entry("TOOL=A")).get(TableField.SISTER));
    assertEquals("2", dialect.registered(entry("TOOL=A SISTER=2")).get(TableField.SISTER));
  }
}
