package arborline.core.table;

import static arborline.core.table.Tables.entry;
import static org.junit.jupiter.api.Assertions.assertEquals;

import arborline.core.tool.Motion;
import arborline.core.tool.Tool;
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

  private static Tool drill() {
    return new Tool("D-8", "Drill", "drill-twist", Map.of());
  }

  @Test
  void whatMattersHoldsAndWhatNobodyUsesIsANote() {
    Map<TableField, Optional<Purpose>> drill = FieldNeeds.of(drill(), List.of(), true);
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

  /** Only the jobs that need a value are named with it. */
  @Test
  void theJobsThatNeedAValueAreNamed() {
    List<JobUse> jobs =
        List.of(
            new JobUse("Winch drum", Set.of()),
            new JobUse("Cleat mould", EnumSet.of(ProgramUse.RADIUS_COMPENSATION)));
    Map<TableField, Optional<Purpose>> drill = FieldNeeds.of(drill(), jobs, true);
    assertEquals(
        "plain moves in Cleat mould and Winch drum",
        drill.get(TableField.LENGTH).orElseThrow().words());
    assertEquals(
        "radius compensation in Cleat mould", drill.get(TableField.DIAMETER).orElseThrow().words());
  }

  @Test
  void ofManyJobsTheFirstIsNamedAndTheOthersAreCounted() {
    assertEquals(
        "tapping in A and 2 other jobs",
        new Purpose(ProgramUse.TAPPING, List.of("A", "B", "C")).words());
  }
}
