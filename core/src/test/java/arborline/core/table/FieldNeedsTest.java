package arborline.core.table;

import static arborline.core.table.Tables.entry;
import static org.junit.jupiter.api.Assertions.assertEquals;

import arborline.core.tool.Motion;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class FieldNeedsTest {

  private static String needed(Motion motion, boolean lengthKept) {
    return names(FieldNeeds.of(motion, ProgramUse.usual(motion), lengthKept), true);
  }

  private static String names(Map<TableField, Optional<ProgramUse>> needs, boolean needed) {
    return needs.entrySet().stream()
        .filter(need -> need.getValue().isPresent() == needed)
        .map(need -> need.getKey().id())
        .collect(Collectors.joining(" "));
  }

  @ParameterizedTest
  @CsvSource({
    "MILLS, true, LENGTH DIAMETER",
    "DRILLS, true, LENGTH",
    "TAPS, true, LENGTH PITCH",
    "STANDS, true, LENGTH",
    "TURNS, true, X Z NOSE_RADIUS ORIENTATION",
    "TURNS, false, X Z NOSE_RADIUS ORIENTATION",
    "DRILLS, false, X Z",
    "MILLS, false, X Z",
  })
  void eachKindOfToolIsUsedInItsOwnWay(Motion motion, boolean lengthKept, String fields) {
    assertEquals(fields, needed(motion, lengthKept));
  }

  @Test
  void aProgramThatOnlyMovesNeedsNoDiameter() {
    var needs = FieldNeeds.of(Motion.MILLS, EnumSet.of(ProgramUse.PLAIN_MOVES), true);
    assertEquals("LENGTH", names(needs, true));
    assertEquals("DIAMETER", names(needs, false));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "                                      | LENGTH DIAMETER",
        "plain moves                           | LENGTH",
        "plain moves; usual                    | LENGTH DIAMETER",
        "radius compensation                   | LENGTH DIAMETER",
        "plain moves; plain moves, tapping     | LENGTH PITCH",
      })
  void whatAnyJobUsesIsNeeded(String jobs, String fields) {
    List<Set<ProgramUse>> stated =
        jobs == null
            ? List.of()
            : Arrays.stream(jobs.split("; ")).map(FieldNeedsTest::uses).toList();
    assertEquals(
        fields,
        names(FieldNeeds.of(Motion.MILLS, ProgramUse.of(Motion.MILLS, stated), true), true));
  }

  private static Set<ProgramUse> uses(String words) {
    return words.equals("usual")
        ? Set.of()
        : Arrays.stream(words.split(", "))
            .map(word -> ProgramUse.named(word).orElseThrow())
            .collect(Collectors.toSet());
  }

  @Test
  void whatMattersHoldsAndWhatNobodyUsesIsANote() {
    Map<TableField, Optional<ProgramUse>> drill =
        FieldNeeds.of(Motion.DRILLS, ProgramUse.usual(Motion.DRILLS), true);
    List<TableField> kept = List.of(TableField.LENGTH, TableField.DIAMETER, TableField.NAME);
    List<FieldNeeds.Need> missing = FieldNeeds.missing(drill, kept, entry("TOOL=A"));
    assertEquals(
        List.of(
            "length is not set at the control: it is needed for plain moves",
            "diameter is not set at the control; no program that calls it here uses it"),
        missing.stream().map(FieldNeeds.Need::reason).toList());
    assertEquals(List.of(true, false), missing.stream().map(FieldNeeds.Need::holds).toList());
    assertEquals(List.of(), FieldNeeds.missing(drill, kept, entry("TOOL=A LENGTH=120 DIAMETER=8")));
  }
}
