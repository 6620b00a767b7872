package arborline.core.table;

import static arborline.core.table.Tables.RANDOM;
import static arborline.core.table.Tables.entry;
import static arborline.core.table.Tables.tables;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertNull;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

class WritePlanTest {

  private static PlaceOutcome decide(ToolTables tables, String place, Decision decision) {
    PlaceReport report =
        Reconciler.reconcile(tables, RANDOM).stream()
            .filter(candidate -> candidate.place().equals(place))
            .findFirst()
            .orElseThrow();
    return new WritePlan(tables, RANDOM).of(report, decision);
  }

  private static PlaceOutcome decide(
      String plan, String agreed, String control, Decision decision) {
    return decide(
        tables(
            plan.isEmpty() ? "" : "5:" + plan,
            agreed.isEmpty() ? "" : "5:" + agreed,
            control.isEmpty() ? "" : "5:" + control),
        "5",
        decision);
  }

  @Test
  void anotherToolBringsAllThatTheControlUsesForItWithFreshWear() {
    RowWrite write =
        decide(
                "TOOL=A NUMBER=1 OFFSET=1 LENGTH=120 DIAMETER=10",
                "TOOL=B NUMBER=2 LENGTH=90",
                "TOOL=B NUMBER=2 LENGTH=90 LENGTH_WEAR=-0.1",
                Decision.SEND)
            .write()
            .orElseThrow();
    assertTrue(write.otherTool());
    assertTrue(
        write
            .fields()
            .containsAll(
                Set.of(
                    TableField.TOOL,
                    TableField.NUMBER,
                    TableField.LENGTH,
                    TableField.DIAMETER,
                    TableField.LENGTH_WEAR,
                    TableField.DIAMETER_WEAR)));
    assertEquals("0", write.target().get(TableField.LENGTH_WEAR));
    assertEquals("120.000", write.target().get(TableField.LENGTH));
  }

  @Test
  void aSizeThatNobodyMeasuredIsNotWrittenAsZero() {
    RowWrite write =
        decide(
                "TOOL=C NUMBER=1 LENGTH=120",
                "TOOL=B NUMBER=2",
                "TOOL=B NUMBER=2 DIAMETER=12",
                Decision.SEND)
            .write()
            .orElseThrow();
    assertNull(write.target().get(TableField.DIAMETER));
    assertTrue(write.fields().contains(TableField.DIAMETER));
  }

  @Test
  void aNewNumberCarriesSizesAndWear() {
    RowWrite write =
        decide(
                "TOOL=A NUMBER=15 OFFSET=15 LENGTH=120 DIAMETER=10",
                "TOOL=A NUMBER=12 OFFSET=12 LENGTH=120 DIAMETER=10",
                "TOOL=A NUMBER=12 OFFSET=12 LENGTH=120 DIAMETER=10 LENGTH_WEAR=-0.05",
                Decision.SEND)
            .write()
            .orElseThrow();
    assertFalse(write.otherTool());
    assertTrue(write.fields().containsAll(Set.of(TableField.LENGTH, TableField.DIAMETER)));
    assertEquals("-0.05", write.target().get(TableField.LENGTH_WEAR));
    assertTrue(write.fields().contains(TableField.LENGTH_WEAR));
  }

  @Test
  void aToolThatMovesToAnotherPlaceTakesItsWearAlong() {
    ToolTables moves =
        tables(
            "9:TOOL=A NUMBER=1 LENGTH=120 DIAMETER=10",
            "5:TOOL=A NUMBER=1 LENGTH=120 DIAMETER=10",
            "5:TOOL=A NUMBER=1 LENGTH=120 DIAMETER=10 LENGTH_WEAR=-0.07");
    RowWrite write = decide(moves, "9", Decision.SEND).write().orElseThrow();
    assertEquals("-0.07", write.target().get(TableField.LENGTH_WEAR));
    assertTrue(decide(moves, "5", Decision.SEND).write().orElseThrow().target().empty());
  }

  @Test
  void anotherRealPieceBeginsWithoutWear() {
    RowWrite write =
        decide(
                "TOOL=A PHYSICAL=A#2 LENGTH=119.5 DIAMETER=10",
                "TOOL=A PHYSICAL=A#1 LENGTH=120 DIAMETER=10",
                "TOOL=A LENGTH=120 DIAMETER=10 LENGTH_WEAR=-0.2",
                Decision.SEND)
            .write()
            .orElseThrow();
    assertEquals("0", write.target().get(TableField.LENGTH_WEAR));
    assertTrue(write.fields().contains(TableField.LENGTH_WEAR));
  }

  @Test
  void aMeasureOfTheSameToolWritesNothingElseAndKeepsItsWear() {
    RowWrite write =
        decide(
                "TOOL=A NUMBER=1 LENGTH=120.5",
                "TOOL=A NUMBER=1 LENGTH=120",
                "TOOL=A NUMBER=1 LENGTH=120 DIAMETER_WEAR=-0.01",
                Decision.SEND)
            .write()
            .orElseThrow();
    assertEquals(Set.of(TableField.LENGTH), write.fields());
    assertEquals("-0.01", write.target().get(TableField.DIAMETER_WEAR));
  }

  @Test
  void aWearOfASizeThatTheToolDoesNotHaveIsNotWritten() {
    RowWrite write =
        decide("TOOL=C NUMBER=1 LENGTH=120", "", "", Decision.SEND).write().orElseThrow();
    assertEquals("0", write.target().get(TableField.LENGTH_WEAR));
    assertNull(write.target().get(TableField.DIAMETER_WEAR));
    assertFalse(write.fields().contains(TableField.DIAMETER_WEAR));
  }

  @Test
  void aWearThatAnotherToolLeftBehindIsTakenAway() {
    RowWrite write =
        decide(
                "TOOL=C NUMBER=1 LENGTH=120",
                "TOOL=B NUMBER=2",
                "TOOL=B NUMBER=2 DIAMETER_WEAR=-0.02",
                Decision.SEND)
            .write()
            .orElseThrow();
    assertEquals("0", write.target().get(TableField.DIAMETER_WEAR));
    assertTrue(write.fields().contains(TableField.DIAMETER_WEAR));
  }

  @Test
  void aNewLengthMayTakeTheOldWearAway() {
    PlaceOutcome outcome =
        decide(
            "TOOL=A NUMBER=1 LENGTH=119.5",
            "TOOL=A NUMBER=1 LENGTH=120",
            "TOOL=A NUMBER=1 LENGTH=120 LENGTH_WEAR=-0.15",
            Decision.SEND_ZERO_WEAR);
    RowWrite write = outcome.write().orElseThrow();
    assertEquals("0", write.target().get(TableField.LENGTH_WEAR));
    assertTrue(write.fields().contains(TableField.LENGTH_WEAR));
  }

  @Test
  void whatTheControlMeasuredGoesIntoThePlanInMillimetresAndDiameters() {
    PlaceOutcome outcome =
        decide("TOOL=A LENGTH=120", "TOOL=A LENGTH=120", "TOOL=A LENGTH=119.2", Decision.TAKE);
    assertTrue(outcome.write().isEmpty());
    assertEquals("119.2", outcome.plan().get(TableField.LENGTH));
  }

  @Test
  void aToolThatTheControlMovedKeepsWhatThePlanKnowsOfIt() {
    ToolTables moved =
        tables(
            "5:TOOL=A PHYSICAL=A#1 LENGTH=120.0004", "5:TOOL=A LENGTH=120", "9:TOOL=A LENGTH=120");
    TableEntry there = decide(moved, "9", Decision.TAKE).plan();
    assertEquals("A#1", there.get(TableField.PHYSICAL));
    assertEquals("120.0004", there.get(TableField.LENGTH));
    assertTrue(decide(moved, "5", Decision.TAKE).plan().empty());
  }

  @Test
  void oneToolIsNeverPlannedForTwoPlaces() {
    ToolTables moved = tables("5:TOOL=A LENGTH=120", "5:TOOL=A LENGTH=120", "9:TOOL=A LENGTH=120");
    WritePlan writes = new WritePlan(moved, RANDOM);
    PlaceOutcome there = decide(moved, "9", Decision.TAKE);
    assertEquals(
        "A would be planned for 5 and 9: decide both pockets together",
        assertThrows(IllegalArgumentException.class, () -> writes.check(List.of(there)))
            .getMessage());
    writes.check(List.of(there, decide(moved, "5", Decision.TAKE)));
  }

  @Test
  void byOwnerEachFieldGoesItsOwn() {
    PlaceOutcome outcome =
        decide(
            "TOOL=A NAME=new LENGTH=120",
            "TOOL=A NAME=old LENGTH=120",
            "TOOL=A NAME=old LENGTH=119.2",
            Decision.OWNER);
    assertEquals(Set.of(TableField.NAME), outcome.write().orElseThrow().fields());
    assertEquals("119.2", outcome.plan().get(TableField.LENGTH));
  }

  @Test
  void whatIsNotPossibleIsRefusedWithTheReason() {
    assertTrue(
        assertThrows(
                IllegalArgumentException.class,
                () -> decide("", "", "TOOL=STRANGER", Decision.TAKE))
            .getMessage()
            .contains("no library of the shop has STRANGER"));
    assertThrows(
        IllegalArgumentException.class, () -> decide("TOOL=A LENGTH=120", "", "", Decision.SEND));
    assertThrows(IllegalArgumentException.class, () -> decide("TOOL=A", "", "", Decision.LEAVE));
  }

  @Test
  void proofLooksAtAllThatTheControlUses() {
    RowWrite write =
        new RowWrite(
            "5",
            entry("TOOL=A NUMBER=15 LENGTH=120 LENGTH_WEAR=0"),
            Set.of(TableField.NUMBER),
            false);
    ControlTable otherLength =
        new ControlTable(
            Map.of("5", entry("TOOL=A NUMBER=15 LENGTH=90 LENGTH_WEAR=0")), Optional.empty());
    assertEquals(
        List.of("length of 5 should be 120 and is 90"), Proof.faults(RANDOM, otherLength, write));
    ControlTable twice =
        new ControlTable(
            Map.of(
                "5", entry("TOOL=A NUMBER=15 LENGTH=120"),
                "9", entry("TOOL=A NUMBER=15 LENGTH=120")),
            Optional.empty());
    assertEquals(List.of("A is in 9 as well"), Proof.faults(RANDOM, twice, write));
    ControlTable right =
        new ControlTable(Map.of("5", entry("TOOL=A NUMBER=15 LENGTH=120.0001")), Optional.empty());
    assertEquals(List.of(), Proof.faults(RANDOM, right, write));
  }
}
