package arborline.core.table;

import static arborline.core.table.Tables.FIXED;
import static arborline.core.table.Tables.RANDOM;
import static arborline.core.table.Tables.entry;
import static arborline.core.table.Tables.tables;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.quantity.Unit;
import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ReconcilerTest {

  private static PlaceReport at(String place, ToolTables tables, ControlTerms terms) {
    return Reconciler.reconcile(tables, terms).stream()
        .filter(report -> report.place().equals(place))
        .findFirst()
        .orElseThrow();
  }

  private static PlaceReport one(String plan, String agreed, String control) {
    return at("5", tables("5:" + plan, agreed.isBlank() ? "" : "5:" + agreed, control), RANDOM);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "TOOL=A LENGTH=120.0124 | | 5:TOOL=a LENGTH=120.012 | WITHIN_RESOLUTION",
        "TOOL=A | TOOL=A | 5:TOOL=A LENGTH_WEAR=-0.02 | WEAR_OF_CONTROL",
        "TOOL=A LENGTH=120 DIAMETER=10 | | '' | NEW_IN_PLAN",
        "TOOL=A LENGTH=120 | | '' | NOT_MEASURED",
        "TOOL=C LENGTH=120 | | '' | NEW_IN_PLAN",
        "TOOL=C LENGTH=1200 | | '' | FAR_FROM_NOMINAL",
        "TOOL=A LENGTH=120 DIAMETER=100 | | '' | FAR_FROM_NOMINAL",
        "TOOL=A LENGTH=0 DIAMETER=10 | | '' | ZERO",
        "TOOL=A | TOOL=A | '' | GONE_FROM_CONTROL",
        "TOOL=A LENGTH=120 | TOOL=A LENGTH=120 | 5:TOOL=A LENGTH=119.9 | MEASURED_AT_CONTROL",
        "TOOL=A LENGTH=120 | TOOL=A LENGTH=120 | 5:TOOL=A LENGTH=0 | ZERO",
        "TOOL=A LENGTH=120 | TOOL=A LENGTH=120 | 5:TOOL=A | GONE_FROM_CONTROL",
        "TOOL=A LENGTH=119.9 | TOOL=A LENGTH=120 | 5:TOOL=A LENGTH=120 | MEASURED",
        "TOOL=A LENGTH=119.9 | TOOL=A LENGTH=120 | 5:TOOL=A LENGTH=119.8 | BOTH_CHANGED",
        "TOOL=A LENGTH=12 | TOOL=A LENGTH=120 | 5:TOOL=A LENGTH=120 | FAR_FROM_NOMINAL",
        "TOOL=A LENGTH=119.9 | TOOL=A LENGTH=120 | 5:TOOL=A LENGTH=120 LENGTH_WEAR=-0.15 |"
            + " OLD_WEAR_WITH_NEW_LENGTH",
        "TOOL=A NAME=NEW | TOOL=A NAME=OLD | 5:TOOL=A NAME=OLD | RENAMED_IN_PLAN",
        "TOOL=A NUMBER=7 | TOOL=A NUMBER=5 | 5:TOOL=A NUMBER=5 | RENUMBERED_IN_PLAN",
        "TOOL=A NUMBER=5 | TOOL=A NUMBER=5 | 5:TOOL=A NUMBER=7 | RENUMBERED_AT_CONTROL",
        "TOOL=A NUMBER=7 | TOOL=A NUMBER=5 | 5:TOOL=A NUMBER=5; 9:TOOL=B NUMBER=7 | NUMBER_TAKEN",
        "TOOL=A NUMBER=7 | TOOL=A NUMBER=5 | 5:TOOL=A NUMBER=6 | BOTH_CHANGED",
        "TOOL=A OFFSET=5 | TOOL=A OFFSET=4 | 5:TOOL=A OFFSET=4 | RENUMBERED_IN_PLAN",
        "TOOL=A | TOOL=A LENGTH=120 | 5:TOOL=A LENGTH=120 | NOT_MEASURED",
        "TOOL=A SISTER=1 | TOOL=A SISTER=1 | 5:TOOL=A SISTER=2 | OTHER_TOOL_IN_PLACE",
        "TOOL=A PHYSICAL=2 LENGTH=120 DIAMETER=10 | TOOL=A PHYSICAL=1 LENGTH=119 DIAMETER=10 |"
            + " 5:TOOL=A LENGTH=119 DIAMETER=10 | NEW_PHYSICAL_TOOL",
        "TOOL=A PHYSICAL=2 LENGTH=120 DIAMETER=10 | TOOL=A PHYSICAL=1 LENGTH=119 DIAMETER=10 |"
            + " 5:TOOL=A LENGTH=118 DIAMETER=10 | BOTH_CHANGED",
        "TOOL=A | | 5:TOOL=B | PLACE_OCCUPIED",
        "TOOL=A LENGTH=120 DIAMETER=10 | TOOL=B | 5:TOOL=B | PLANNED_CHANGE",
        "TOOL=A | TOOL=A | 5:TOOL=B | OTHER_TOOL_IN_PLACE",
        "TOOL=A | TOOL=A | 5:TOOL=Z | UNKNOWN_TOOL",
        "TOOL=A | TOOL=A | 5:TOOL=A; 6:TOOL=A | SHOWN_TWICE",
        "TOOL=A OFFSET=5 | TOOL=A OFFSET=5 | 5:TOOL=A OFFSET=5; 6:TOOL=B OFFSET=5 | OFFSET_SHARED",
      })
  void whatIsProposedAboutAPlannedPlace(String plan, String agreed, String control, Why why) {
    PlaceReport report = one(plan, agreed == null ? "" : agreed, control);
    assertEquals(why, report.why(), report.reason());
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "'' | 5:TOOL=B NUMBER=7 | NOT_IN_PLAN",
        "5:TOOL=B | 5:TOOL=B | PLAN_CLEARED",
        "9:TOOL=B | 5:TOOL=B | MOVED_BY_CONTROL"
      })
  void aPlaceThatThePlanLeavesEmptyIsLookedInto(String agreed, String control, Why why) {
    assertEquals(why, at("5", tables("", agreed, control), RANDOM).why());
  }

  /** A control that shows no tools has only sizes to go by. */
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "'' | 5:TOOL=B LENGTH=80 | 5:LENGTH=80 | PLAN_CLEARED",
        "9:TOOL=B LENGTH=80 | 5:TOOL=B LENGTH=80 | 5:LENGTH=80 | PLANNED_CHANGE",
        "'' | 9:TOOL=B LENGTH=80 | 5:LENGTH=80 | NOT_IN_PLAN",
        "'' | '' | 5:LENGTH=0 | EQUAL",
        "5:TOOL=A LENGTH=120 | 5:TOOL=A LENGTH=120 | 5:LENGTH=120 | EQUAL",
        "5:TOOL=A LENGTH=120 DIAMETER=10 | 9:TOOL=B LENGTH=80 | 5:LENGTH=118 | PLACE_OCCUPIED"
      })
  void aControlThatShowsNoTools(String plan, String agreed, String control, Why why) {
    PlaceReport report = at("5", tables(plan, agreed, control), Tables.UNSEEN);
    assertEquals(why, report.why(), report.reason());
  }

  @Test
  void whatTheMachineCannotTakeIsNotSent() {
    ControlTerms small =
        new ControlTerms(
            Unit.MILLIMETRE,
            Tables.limited(Register.DIAMETER, new BigDecimal("119.9")),
            true,
            true);
    ToolTables longer = tables("5:TOOL=A LENGTH=120 DIAMETER=10", "", "");
    assertEquals(Why.BEYOND_MACHINE, at("5", longer, small).why());
    ToolTables fits = tables("5:TOOL=A LENGTH=119.9 DIAMETER=10", "", "");
    assertEquals(Why.NEW_IN_PLAN, at("5", fits, small).why());
  }

  @Test
  void nothingIsSentToOnePlaceAndTakenFromAnotherForOneTool() {
    ToolTables moved = tables("5:TOOL=A LENGTH=120", "5:TOOL=A LENGTH=120", "9:TOOL=A LENGTH=120");
    assertEquals(Decision.TAKE, at("5", moved, RANDOM).suggested());
    assertEquals(Decision.TAKE, at("9", moved, RANDOM).suggested());
    ToolTables both =
        tables("6:TOOL=A LENGTH=120 DIAMETER=10", "5:TOOL=A LENGTH=120", "9:TOOL=A LENGTH=120");
    assertEquals(Why.SHOWN_ELSEWHERE, at("6", both, RANDOM).why());
  }

  @Test
  void fixedPocketsThatSwappedAtTheMachineAreLookedInto() {
    ToolTables swapped = tables("5:TOOL=A; 6:TOOL=B", "5:TOOL=A; 6:TOOL=B", "5:TOOL=B; 6:TOOL=A");
    assertEquals(Why.SWAPPED_AT_MACHINE, at("5", swapped, FIXED).why());
    assertEquals(Decision.ASK, at("6", swapped, FIXED).suggested());
    assertEquals(Why.MOVED_BY_CONTROL, at("6", swapped, RANDOM).why());
  }

  @Test
  void aToolInTheSpindleIsWhereItBelongsUnlessThePlanWantsItChanged() {
    Optional<TableEntry> spindle = Optional.of(entry("TOOL=A LENGTH=120"));
    Optional<Map<String, TableEntry>> agreed = Optional.of(Tables.rows("5:TOOL=A LENGTH=120"));
    PlaceReport there = at("5", tables("5:TOOL=A LENGTH=120", agreed, "", spindle), RANDOM);
    assertEquals(PlaceReport.State.IN_STEP, there.state());
    assertTrue(there.inSpindle());
    assertEquals(
        Why.IN_SPINDLE_CHANGED,
        at("5", tables("5:TOOL=A LENGTH=119", agreed, "", spindle), RANDOM).why());
    assertEquals(Why.IN_SPINDLE_CHANGED, at("5", tables("", agreed, "", spindle), RANDOM).why());
  }

  @Test
  void fieldsThatGoDifferentWaysGoByTheirOwners() {
    PlaceReport report =
        one(
            "TOOL=A NAME=NEW LENGTH=120",
            "TOOL=A NAME=OLD LENGTH=120",
            "5:TOOL=A NAME=OLD LENGTH=119.9");
    assertEquals(Decision.OWNER, report.suggested());
  }

  @Test
  void withoutAnyAgreementOnlyTheCertainIsProposed() {
    ToolTables never =
        tables("5:TOOL=A LENGTH=120", Optional.empty(), "5:TOOL=B; 6:TOOL=A", Optional.empty());
    assertEquals(Why.NEVER_AGREED, at("5", never, RANDOM).why());
    assertEquals(Why.NEVER_AGREED, at("6", never, RANDOM).why());
  }

  @Test
  void radiusRegistersAgreeInWhatTheyCanShow() {
    ControlTerms radius = Tables.terms(true, Register.RADIUS);
    ToolTables tables = tables("5:TOOL=A DIAMETER=11.987", "", "5:TOOL=A DIAMETER=5.994");
    assertEquals(PlaceReport.State.IN_STEP, at("5", tables, radius).state());
    ToolTables wrong =
        tables("5:TOOL=A DIAMETER=10", "5:TOOL=A DIAMETER=10", "5:TOOL=A DIAMETER=9.99");
    assertEquals(Why.DIAMETER_IN_RADIUS_REGISTER, at("5", wrong, radius).why());
  }

  @Test
  void whatIsAskedIsNeverPreselectedAndSaysWhatMayBeAnswered() {
    for (Why why : Why.values()) {
      assertTrue(why.possible().contains(Decision.LEAVE));
      assertFalse(why.possible().contains(Decision.ASK));
    }
    assertFalse(Why.ZERO.possible().contains(Decision.SEND));
    assertFalse(Why.NOT_MEASURED.possible().contains(Decision.SEND));
    assertFalse(Why.UNKNOWN_TOOL.possible().contains(Decision.TAKE));
    assertFalse(Why.SHOWN_TWICE.possible().contains(Decision.TAKE));
  }

  @Test
  void changesBetweenTwoReadingsAreSaid() {
    ControlTable before =
        new ControlTable(Map.of("5", entry("TOOL=A LENGTH=120")), Optional.empty());
    ControlTable after =
        new ControlTable(Map.of("5", entry("TOOL=A LENGTH=121")), Optional.empty());
    assertEquals(
        List.of("pocket 5: length was 120, now 121"), after.changesSince(before, "pocket"));
    assertEquals(List.of(), before.changesSince(before, "pocket"));
  }

  /** The texts AO and B0 have one hash, which does not make them one tool. */
  @Test
  void onlyTheSameToolIsShownTwice() {
    ToolTables tables =
        tables("", "", "5:TOOL=AO; 6:TOOL=B0; 7:TOOL=ao; 8:TOOL=A; 9:TOOL=A SISTER=2");
    assertEquals(
        List.of("5", "7"),
        Reconciler.reconcile(tables, RANDOM).stream()
            .filter(report -> report.why() == Why.SHOWN_TWICE)
            .map(PlaceReport::place)
            .toList());
  }

  /** The same tool with another length: the length is shown, not twice the same code. */
  @Test
  void ofTheSameToolTheValuesThatDifferAreShown() {
    PlaceReport report =
        one("TOOL=A LENGTH=120 DIAMETER=10", "", "5:TOOL=A LENGTH=121 DIAMETER=10");
    assertEquals(Why.NEVER_AGREED, report.why());
    assertEquals(
        List.of(TableField.LENGTH), report.fields().stream().map(FieldReport::field).toList());
  }
}
