package arborline.core.table;

import static arborline.core.table.Tables.entry;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.quantity.Unit;
import arborline.core.tool.ClassSheet;
import arborline.core.tool.ToolClasses;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class DraftOfRowTest {

  private static final ControlTerms RADII =
      new ControlTerms(Unit.MILLIMETRE, Register.RADIUS.fields(true), true, false);

  private static ClassSheet sheet(String toolClass) {
    return ToolClasses.named(toolClass).orElseThrow().sheet();
  }

  /** The diameter is the tool's; its length over the gauge line is that of its assembly. */
  @Test
  void whatIsOfTheToolIsAValueAndWhatIsOfItsAssemblyIsANote() {
    DraftOfRow draft =
        DraftOfRow.of(
            RADII,
            entry("TOOL=Q9 NAME=ROUGHER NUMBER=71 LENGTH=120.5 DIAMETER=6.25 LENGTH_WEAR=0.02"),
            sheet("end-mill-flat"));
    assertEquals(Map.of("DC", "12.50"), draft.values());
    assertEquals("number 71, length 120.5 mm", draft.note());
  }

  @Test
  void aValueThatTheClassDoesNotHaveIsNotLost() {
    DraftOfRow draft =
        DraftOfRow.of(RADII, entry("TOOL=Q9 NOSE_RADIUS=0.8 ORIENTATION=3"), sheet("drill-twist"));
    assertEquals(Map.of(), draft.values());
    assertEquals("nose radius 0.8 mm, tip orientation 3", draft.note());
  }

  @ParameterizedTest
  @CsvSource({
    "NOSE_RADIUS=0.4, turning-external",
    "PITCH=1.25, tap-cutting",
    "POINT_ANGLE=140, drill-twist",
    "NOSE_RADIUS=0 DIAMETER=8, end-mill-flat",
  })
  void theFieldsTellTheLikelyClass(String row, String toolClass) {
    assertEquals(toolClass, DraftOfRow.likelyClass(entry("TOOL=A " + row)));
    assertTrue(ToolClasses.named(toolClass).isPresent());
  }
}
