package arborline.core.table;

import static arborline.core.table.Tables.tables;
import static org.junit.jupiter.api.Assertions.assertEquals;

import arborline.core.quantity.Unit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A control is compared by the fields that it declares, whatever they are, and by no others. */
class DeclaredFieldsTest {

  private static final TableField COATING =
      TableField.own("COATING", "coating", Owner.LIBRARY, TableField.Form.WORD);

  private static final ControlTerms TERMS = terms();

  private static ControlTerms terms() {
    List<ControlField> fields = new ArrayList<>(Register.RADIUS.fields(true));
    for (TableField field :
        List.of(
            TableField.ORIENTATION,
            TableField.POINT_ANGLE,
            TableField.LENGTH.edge(2),
            TableField.LENGTH_WEAR.edge(2),
            TableField.LIFE_LIMIT,
            TableField.LIFE_USED,
            COATING)) {
      fields.add(ControlField.of(field));
    }
    fields.add(ControlField.of(TableField.STATUS));
    return new ControlTerms(Unit.INCH, fields, true, true);
  }

  private static PlaceReport report(String plan, String agreed, String control) {
    return Reconciler.reconcile(tables("5:" + plan, "5:" + agreed, "5:" + control), TERMS).stream()
        .filter(place -> place.place().equals("5"))
        .findFirst()
        .orElseThrow();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "ORIENTATION=3 | ORIENTATION=3 | ORIENTATION=2 | ORIENTATION_CHANGED_AT_CONTROL",
        "ORIENTATION=2 | ORIENTATION=3 | ORIENTATION=3 | PLANNED_CHANGE",
        "POINT_ANGLE=140 | POINT_ANGLE=118 | POINT_ANGLE=118.000 | PLANNED_CHANGE",
        "POINT_ANGLE=118 | POINT_ANGLE=118 | POINT_ANGLE=140 | CHANGED_AT_CONTROL",
        "POINT_ANGLE=130 | POINT_ANGLE=118 | POINT_ANGLE=140 | BOTH_CHANGED",
        "POINT_ANGLE=118 | POINT_ANGLE=118 | POINT_ANGLE=118.0004 | EQUAL",
        "COATING=TiN | COATING=TiN | COATING=TIN | EQUAL",
        "COATING=TiAlN | COATING=TiN | COATING=TIN | PLANNED_CHANGE",
        "LENGTH@2=101.6 | LENGTH@2=101.6 | LENGTH@2=4.002 | MEASURED_AT_CONTROL",
        "LENGTH@2=101.7 | LENGTH@2=101.6 | LENGTH@2=4 | MEASURED",
        "LENGTH@2=101.7 | LENGTH@2=101.6 | LENGTH@2=4 LENGTH_WEAR@2=0.01 |"
            + " OLD_WEAR_WITH_NEW_LENGTH",
        "LIFE_LIMIT=90 | LIFE_LIMIT=60 | LIFE_LIMIT=60 | PLANNED_CHANGE",
        "LIFE_LIMIT=60 | LIFE_USED=12 LIFE_LIMIT=60 | LIFE_USED=18 LIFE_LIMIT=60 |"
            + " WEAR_OF_CONTROL",
        "LIFE_LIMIT=60 | STATUS=good LIFE_LIMIT=60 | STATUS=worn LIFE_LIMIT=60 |"
            + " WEAR_OF_CONTROL",
      })
  void aFieldIsJudgedByWhoseWordCounts(String plan, String agreed, String control, Why why) {
    PlaceReport report = report("TOOL=A " + plan, "TOOL=A " + agreed, "TOOL=A " + control);
    assertEquals(why, report.why(), report.reason());
  }

  @Test
  void whatThePlanLeavesOpenMayBeAtTheControl() {
    PlaceReport report = report("TOOL=A", "TOOL=A", "TOOL=A POINT_ANGLE=118 COATING=TIN");
    assertEquals(Why.EQUAL, report.why());
  }

  @Test
  void whatTheControlDoesNotKeepIsNoDifference() {
    PlaceReport report = report("TOOL=A PITCH=1.5 X=30", "TOOL=A", "TOOL=A");
    assertEquals(Why.EQUAL, report.why());
  }

  /** A name that the control cannot show does not make a tool another one. */
  @Test
  void aNameThatTheControlDoesNotKeepIsNoDifferenceWhereNothingWasAgreed() {
    ControlTerms nameless =
        new ControlTerms(
            Unit.MILLIMETRE,
            List.of(
                ControlField.of(TableField.TOOL),
                ControlField.of(TableField.NUMBER),
                ControlField.of(TableField.LENGTH)),
            true,
            false);
    ToolTables tables =
        tables(
            "5:TOOL=A NUMBER=7 OFFSET=7 NAME=MILL LENGTH=120",
            Optional.empty(),
            "5:TOOL=A NUMBER=7 LENGTH=120",
            Optional.empty());
    assertEquals(Why.EQUAL, Reconciler.reconcile(tables, nameless).getFirst().why());
  }

  private static Map<String, String> written(String plan, String agreed, String control) {
    ToolTables tables = tables("5:" + plan, "5:" + agreed, "5:" + control);
    PlaceReport report = Reconciler.reconcile(tables, TERMS).getFirst();
    RowWrite row = new WritePlan(tables, TERMS).of(report, Decision.SEND).write().orElseThrow();
    Map<String, String> written = new TreeMap<>();
    row.fields().forEach(field -> written.put(field.id(), String.valueOf(row.target().get(field))));
    return written;
  }

  /** 120 mm are 4.7244 in; half of 10 mm are 0.1969 in. */
  @Test
  void withAnotherPieceLifeAndWearOfAllEdgesBeginAnew() {
    assertEquals(
        Map.of(
            "TOOL", "A",
            "NUMBER", "7",
            "LENGTH", "4.724",
            "DIAMETER", "0.197",
            "LENGTH@2", "4.000",
            "LENGTH_WEAR", "0",
            "LENGTH_WEAR@2", "0",
            "DIAMETER_WEAR", "0",
            "LIFE_LIMIT", "60",
            "LIFE_USED", "0"),
        written(
            "TOOL=A PHYSICAL=2 NUMBER=7 LENGTH=120 DIAMETER=10 LENGTH@2=101.6 LIFE_LIMIT=60",
            "TOOL=A PHYSICAL=1 NUMBER=7 LENGTH=119.9 DIAMETER=10 LENGTH@2=101.6 LIFE_LIMIT=60",
            "TOOL=A NUMBER=7 LENGTH=4.720 DIAMETER=0.197 LENGTH@2=4 LENGTH_WEAR@2=0.002"
                + " LIFE_USED=31 LIFE_LIMIT=60"));
  }

  @Test
  void aNewLimitOfLifeIsSentAlone() {
    assertEquals(
        Map.of("LIFE_LIMIT", "90"),
        written(
            "TOOL=A NUMBER=7 LIFE_LIMIT=90",
            "TOOL=A NUMBER=7 LIFE_LIMIT=60 LIFE_USED=31",
            "TOOL=A NUMBER=7 LIFE_LIMIT=60 LIFE_USED=31"));
  }
}
