package arborline.core.table;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.math.BigDecimal;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

class ReconcilerTest {

  private static final TablePolicy POLICY =
      new TablePolicy(3, new BigDecimal("2"), new BigDecimal("0.2"), true);
  private static final Set<String> KNOWN = Set.of("A", "B");

  static TableEntry entry(String text) {
    EnumMap<TableField, String> fields = new EnumMap<>(TableField.class);
    for (String pair : text.strip().split("\\s+")) {
      if (!pair.isEmpty()) {
        String[] parts = pair.split("=");
        fields.put(TableField.valueOf(parts[0]), parts[1]);
      }
    }
    return new TableEntry(fields);
  }

  private static PlaceReport one(String plan, String agreed, String control) {
    return one(plan, agreed, control, "", Optional.empty());
  }

  private static PlaceReport one(
      String plan, String agreed, String control, String nominal, Optional<TableEntry> spindle) {
    ToolTables tables =
        new ToolTables(
            Map.of("5", entry(plan)),
            Map.of("5", entry(nominal)),
            agreed.isEmpty() ? Map.of() : Map.of("5", entry(agreed)),
            new ControlTable(control.isEmpty() ? Map.of() : Map.of("5", entry(control)), spindle),
            KNOWN);
    return Reconciler.reconcile(tables, POLICY).getFirst();
  }

  @Test
  void equalWithinWhatTheControlShowsIsInStep() {
    assertEquals(
        PlaceReport.State.IN_STEP,
        one("TOOL=A LENGTH=120.0124", "", "TOOL=a LENGTH=120.012").state());
  }

  @Test
  void wearOfTheControlIsNoDifference() {
    assertEquals(
        PlaceReport.State.IN_STEP, one("TOOL=A", "TOOL=A", "TOOL=A LENGTH_WEAR=-0.02").state());
  }

  @Test
  void plannedToolGoesIntoAnEmptyPocket() {
    assertEquals(Decision.SEND, one("TOOL=A", "", "").suggested());
  }

  @Test
  void toolTakenOutAtTheMachineIsAsked() {
    assertEquals(Decision.LEAVE, one("TOOL=A", "TOOL=A", "").suggested());
  }

  @Test
  void lengthSetAtTheMachineIsTaken() {
    PlaceReport report = one("TOOL=A LENGTH=120", "TOOL=A LENGTH=120", "TOOL=A LENGTH=119.9");
    assertEquals(Decision.TAKE, report.suggested());
  }

  @Test
  void lengthMeasuredOnOurSideIsSent() {
    PlaceReport report = one("TOOL=A LENGTH=119.9", "TOOL=A LENGTH=120", "TOOL=A LENGTH=120");
    assertEquals(Decision.SEND, report.suggested());
  }

  @Test
  void lengthChangedOnBothSidesIsAsked() {
    PlaceReport report = one("TOOL=A LENGTH=119.9", "TOOL=A LENGTH=120", "TOOL=A LENGTH=119.8");
    assertEquals(Decision.LEAVE, report.suggested());
  }

  @Test
  void lengthFarFromNominalIsQuestionedNeverSent() {
    PlaceReport report =
        one("TOOL=A LENGTH=12", "TOOL=A LENGTH=120", "TOOL=A LENGTH=120", "LENGTH=120", none());
    assertEquals(Decision.LEAVE, report.suggested());
    assertTrue(report.reason().contains("far from nominal"));
  }

  @Test
  void nameBelongsToTheLibraryAndLengthToMeasurement() {
    PlaceReport report =
        one(
            "TOOL=A NAME=NEW LENGTH=120",
            "TOOL=A NAME=OLD LENGTH=120",
            "TOOL=A NAME=OLD LENGTH=119.9");
    assertEquals(Decision.OWNER, report.suggested());
    PlaceOutcome outcome = WritePlan.of(report, Decision.OWNER);
    assertEquals(Set.of(TableField.NAME), outcome.write().orElseThrow().fields());
    assertEquals("119.9", outcome.plan().get(TableField.LENGTH));
    assertEquals("NEW", outcome.plan().get(TableField.NAME));
  }

  @Test
  void unknownToolIsLeftAndCannotBeTaken() {
    PlaceReport report = one("", "", "TOOL=Z");
    assertEquals(PlaceReport.State.UNKNOWN_TOOL, report.state());
    assertEquals(Decision.LEAVE, report.suggested());
    assertThrows(IllegalArgumentException.class, () -> WritePlan.of(report, Decision.TAKE));
  }

  @Test
  void knownToolPutInAtTheMachineIsTakenIntoThePlan() {
    PlaceReport report = one("", "", "TOOL=B NUMBER=7");
    assertEquals(Decision.TAKE, report.suggested());
    assertEquals("B", WritePlan.of(report, Decision.TAKE).plan().get(TableField.TOOL));
  }

  @Test
  void otherToolWithoutAgreementIsAsked() {
    assertEquals(Decision.LEAVE, one("TOOL=A", "", "TOOL=B").suggested());
  }

  @Test
  void otherToolGoesTheWayOfTheSideThatChanged() {
    assertEquals(Decision.SEND, one("TOOL=A", "TOOL=B", "TOOL=B").suggested());
    assertEquals(Decision.TAKE, one("TOOL=A", "TOOL=A", "TOOL=B").suggested());
  }

  @Test
  void aToolInTheSpindleIsWhereItBelongs() {
    PlaceReport report = one("TOOL=A", "TOOL=A", "", "", Optional.of(entry("TOOL=A")));
    assertEquals(PlaceReport.State.IN_STEP, report.state());
    assertTrue(report.inSpindle());
  }

  @Test
  void randomMagazineMayMoveATool() {
    ToolTables tables =
        new ToolTables(
            Map.of("5", entry("TOOL=A")),
            Map.of(),
            Map.of("5", entry("TOOL=A")),
            new ControlTable(Map.of("9", entry("TOOL=A")), none()),
            KNOWN);
    PlaceReport report = Reconciler.reconcile(tables, POLICY).getFirst();
    assertEquals(Decision.TAKE, report.suggested());
    assertTrue(report.reason().contains("pocket 9"));
  }

  @Test
  void sendingKeepsWearUnlessTheToolIsAnotherOne() {
    PlaceReport same =
        one(
            "TOOL=A NUMBER=5 LENGTH=119",
            "TOOL=A LENGTH=120",
            "TOOL=A NUMBER=5 LENGTH=120 LENGTH_WEAR=-0.1");
    RowWrite write = WritePlan.of(same, Decision.SEND).write().orElseThrow();
    assertEquals("-0.1", write.target().get(TableField.LENGTH_WEAR));
    assertFalse(write.otherTool());
    PlaceReport other = one("TOOL=A NUMBER=5", "TOOL=B", "TOOL=B NUMBER=5 LENGTH_WEAR=-0.1");
    RowWrite otherWrite = WritePlan.of(other, Decision.SEND).write().orElseThrow();
    assertTrue(otherWrite.otherTool());
    assertEquals(null, otherWrite.target().get(TableField.LENGTH_WEAR));
  }

  @Test
  void changesBetweenTwoReadingsAreSaid() {
    ControlTable before = new ControlTable(Map.of("5", entry("TOOL=A LENGTH=120")), none());
    ControlTable after = new ControlTable(Map.of("5", entry("TOOL=A LENGTH=121")), none());
    assertEquals(
        java.util.List.of("pocket 5: length was 120, now 121"), after.changesSince(before));
    assertEquals(java.util.List.of(), before.changesSince(before));
  }

  private static Optional<TableEntry> none() {
    return Optional.empty();
  }
}
