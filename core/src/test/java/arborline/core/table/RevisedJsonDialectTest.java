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

class RevisedJsonDialectTest {

  private static final String TABLE =
      """
      {"control": "X1", "unit": "mm", "revision": 17, "clock": "2026-01-01T00:00:00Z", "tools": [
        {"place": "5", "tool": "A", "number": 5, "offset": 5, "spindle": "main", "later": {"a": [1]},
         "edges": [{"length": 120.5, "diameter": 10, "lengthWear": 0.01}, {"length": 118}]},
        {"place": "L2", "tool": "T", "number": 33, "orientation": 3,
         "edges": [{"x": 241.2, "z": -85.25, "noseRadius": 0.8}]},
        {"tool": "B", "number": 9, "edges": []},
        {"place": "7", "inSpindle": true, "tool": "C", "number": 7, "edges": null}]}
      """;

  private final RevisedJsonDialect dialect = new RevisedJsonDialect();
  private final Machine machine =
      TestMachines.withHabits(TestMachines.kittiwake(), TestMachines.heron(2).habits());

  private ControlTable read(String table) throws IOException {
    return dialect.read(
        machine, Map.of(RevisedJsonDialect.TABLE, table.getBytes(StandardCharsets.UTF_8)));
  }

  @Test
  void upperAndLowerPlacesEdgesSpindleAndToolsWithoutAPlaceAreRead() throws IOException {
    ControlTable read = read(TABLE.replace("\"edges\": null", "\"edges\": []"));
    assertEquals(
        entry(
            "TOOL=A NUMBER=5 OFFSET=5 SPINDLE=main LENGTH=120.5 DIAMETER=10 LENGTH_WEAR=0.01"
                + " LENGTH@2=118"),
        read.at("5"));
    assertEquals(
        entry("TOOL=T NUMBER=33 ORIENTATION=3 X=241.2 Z=-85.25 NOSE_RADIUS=0.8"), read.at("L2"));
    assertEquals(List.of(entry("TOOL=B NUMBER=9")), read.unplaced());
    assertEquals(Optional.of(entry("TOOL=C NUMBER=7")), read.spindle());
    assertEquals("17", read.revision());
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      quoteCharacter = '`',
      value = {
        "\"revision\": 17 | \"revision\": \"new\" | no revision",
        "\"unit\": \"mm\" | \"unit\": \"in\" | it sends in, and its definition says mm",
        "\"place\": \"L2\" | \"place\": \"L99\" | which is no place",
        "\"place\": \"L2\" | \"place\": \"5\" | it has two tools in 5",
        "120.5 | 1.2e99 | which is no number that a control shows",
        "120.5 | \"long\" | which is no number that a control shows",
        "\"tools\" | \"tolls\" | has no list of tools",
        "]}] | ] | is no whole JSON",
      })
  void whatIsNoTableIsRefused(String before, String after, String reason) {
    String table = TABLE.replace("\"edges\": null}]", "\"edges\": []}]").replace(before, after);
    IOException refused = assertThrows(IOException.class, () -> read(table));
    assertTrue(refused.getMessage().contains(reason), refused.getMessage());
  }

  @Test
  void halfATableIsRefused() {
    String half = TABLE.substring(0, TABLE.length() / 2);
    assertThrows(IOException.class, () -> read(half));
  }

  @Test
  void rowsAreWrittenWholeOnTheRevisionThatWasRead() throws IOException {
    ControlTable now = read(TABLE.replace("\"edges\": null", "\"edges\": []"));
    TableEntry target = entry("TOOL=D NUMBER=8 NAME=D LENGTH=120.500 DIAMETER=9.990 LENGTH_WEAR=0");
    List<RowWrite> rows =
        List.of(
            new RowWrite("L2", TableEntry.EMPTY, Set.of(TableField.TOOL), true),
            new RowWrite("8", target, Set.of(TableField.LENGTH), false));
    assertEquals(
        "{\"revision\":17,\"clear\":[\"L2\"],\"set\":[{\"place\":\"8\",\"name\":\"D\",\"number\":8,"
            + "\"tool\":\"D\",\"edges\":[{\"diameter\":9.990,\"length\":120.500,\"lengthWear\":0}"
            + "]}]}\n",
        dialect.write(machine, now, rows).getFirst().content());
  }

  @Test
  void aCodeThatItCannotKeepIsSaid() {
    assertTrue(dialect.refusal(machine, entry("TOOL=A NUMBER=5")).isEmpty());
    assertTrue(dialect.refusal(machine, entry("TOOL=\u00e4 NUMBER=5")).isPresent());
    assertTrue(dialect.refusal(machine, entry("TOOL=A NUMBER=0")).isPresent());
  }
}
