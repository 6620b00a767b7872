package arborline.core.table;

import static arborline.core.table.Tables.entry;
import static org.junit.jupiter.api.Assertions.assertEquals;

import arborline.core.machine.TestMachines;
import arborline.core.quantity.Unit;
import arborline.core.tool.Motion;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class TableColumnsTest {

  private static final ControlTerms RADII =
      new ControlTerms(Unit.MILLIMETRE, Register.RADIUS.fields(true), true, false);
  private static final ControlTerms EDGES =
      ControlTerms.of(
          TestMachines.withControl(TestMachines.kittiwake(), "revised-json"),
          new RevisedJsonDialect());

  private static List<TableColumns.Column> columns(
      ControlTerms terms, Motion motion, String... rows) {
    Set<TableField> used =
        FieldNeeds.of(motion, ProgramUse.usual(motion), FieldNeeds.lengthKept(terms)).keySet();
    return TableColumns.of(terms, used, Stream.of(rows).map(Tables::entry).toList());
  }

  private static String titles(List<TableColumns.Column> columns) {
    return String.join(
        ", ",
        columns.stream()
            .map(column -> column.title() + (column.wear().isPresent() ? " and wear" : ""))
            .toList());
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = ';',
      value = {
        "MILLS; length and wear, diameter and wear",
        "DRILLS; length and wear, diameter and wear",
        "TURNS; X as a diameter and wear, Z and wear, nose radius and wear, tip orientation",
      })
  void eachClassHasItsOwnColumns(Motion motion, String titles) {
    assertEquals(titles, titles(columns(EDGES, motion)));
  }

  @Test
  void whatIsSetForAnyToolOfTheClassIsShown() {
    assertEquals(
        "length and wear, diameter and wear, length of edge 2 and wear",
        titles(columns(EDGES, Motion.MILLS, "TOOL=A", "TOOL=B LENGTH@2=118.5")));
  }

  @Test
  void sizesAndWhatIsNeededComeFirst() {
    assertEquals(
        "X as a diameter and wear, Z and wear, nose radius and wear, tip orientation, spindle",
        titles(columns(EDGES, Motion.TURNS, "TOOL=A SPINDLE=main")));
  }

  @Test
  void geometryAndWearAreOneColumnAndARadiusIsCalledOne() {
    List<TableColumns.Column> columns = columns(RADII, Motion.MILLS, "TOOL=A NAME=MILL NUMBER=4");
    assertEquals("length and wear, radius and wear", titles(columns));
    assertEquals(
        "over the cutting edges, half of it: this control keeps radii", columns.get(1).meaning());
  }

  @Test
  void aWearOfZeroMakesNoColumn() {
    assertEquals(
        "length and wear, diameter and wear",
        titles(columns(EDGES, Motion.MILLS, "TOOL=A LENGTH=1 LENGTH_WEAR=0.000 X_WEAR=0.000")));
    assertEquals("", FieldMeanings.of(entry("TOOL=A").fields().keySet().iterator().next()));
  }
}
