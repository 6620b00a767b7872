package arborline.core.table;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.math.BigDecimal;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

class WritePlanTest {

  private static final TablePolicy POLICY =
      new TablePolicy(3, new BigDecimal("2"), new BigDecimal("0.2"), false);

  private static TableEntry entry(String text) {
    EnumMap<TableField, String> fields = new EnumMap<>(TableField.class);
    for (String pair : text.isBlank() ? new String[0] : text.split(" ")) {
      fields.put(TableField.valueOf(pair.split("=")[0]), pair.split("=")[1]);
    }
    return new TableEntry(fields);
  }

  private static PlaceReport report(String plan, String agreed, String control) {
    ToolTables tables =
        new ToolTables(
            Map.of("5", entry(plan)),
            Map.of(),
            Map.of("5", entry(agreed)),
            new ControlTable(Map.of("5", entry(control)), Optional.empty()),
            Set.of("T-1", "T-2"));
    return Reconciler.reconcile(tables, POLICY).getFirst();
  }

  @Test
  void sendingAnotherToolWritesAllOfItsFields() {
    PlaceOutcome outcome =
        WritePlan.of(
            report("TOOL=T-1 NUMBER=1 LENGTH=120", "", "TOOL=T-2 NUMBER=2 LENGTH=90"),
            Decision.SEND);
    RowWrite write = outcome.write().orElseThrow();
    assertEquals(EnumSet.of(TableField.TOOL, TableField.NUMBER, TableField.LENGTH), write.fields());
    assertEquals("120", write.target().get(TableField.LENGTH));
  }

  @Test
  void sendingAMeasureWritesNothingElse() {
    PlaceOutcome outcome =
        WritePlan.of(
            report(
                "TOOL=T-1 NUMBER=1 LENGTH=120.5",
                "TOOL=T-1 NUMBER=1 LENGTH=120",
                "TOOL=T-1 NUMBER=1 LENGTH=120"),
            Decision.SEND);
    assertEquals(EnumSet.of(TableField.LENGTH), outcome.write().orElseThrow().fields());
  }

  @Test
  void takingChangesThePlanAndWritesNothing() {
    PlaceOutcome outcome =
        WritePlan.of(
            report("TOOL=T-1 LENGTH=120", "TOOL=T-1 LENGTH=120", "TOOL=T-1 LENGTH=119.2"),
            Decision.TAKE);
    assertTrue(outcome.write().isEmpty());
    assertEquals("119.2", outcome.plan().get(TableField.LENGTH));
  }

  @Test
  void byOwnerEachFieldGoesItsWay() {
    PlaceReport mixed =
        report(
            "TOOL=T-1 NAME=new LENGTH=120",
            "TOOL=T-1 NAME=old LENGTH=120",
            "TOOL=T-1 NAME=old LENGTH=119.2");
    assertEquals(Decision.OWNER, mixed.suggested());
    PlaceOutcome outcome = WritePlan.of(mixed, Decision.OWNER);
    assertEquals(EnumSet.of(TableField.NAME), outcome.write().orElseThrow().fields());
    assertEquals("119.2", outcome.plan().get(TableField.LENGTH));
  }

  @Test
  void anEmptyPlanEmptiesThePocket() {
    RowWrite write =
        WritePlan.of(report("", "TOOL=T-1", "TOOL=T-1"), Decision.SEND).write().orElseThrow();
    assertTrue(write.target().empty());
  }

  @Test
  void anUnknownToolIsNotTaken() {
    PlaceReport stranger = report("", "", "TOOL=STRANGER");
    assertTrue(
        assertThrows(IllegalArgumentException.class, () -> WritePlan.of(stranger, Decision.TAKE))
            .getMessage()
            .contains("STRANGER, which no library of the shop has"));
  }

  @Test
  void leavingIsNothingToPlan() {
    assertThrows(
        IllegalArgumentException.class,
        () -> WritePlan.of(report("TOOL=T-1", "", ""), Decision.LEAVE));
  }
}
