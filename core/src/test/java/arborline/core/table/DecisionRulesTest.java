package arborline.core.table;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertSame;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Arrays;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class DecisionRulesTest {

  private static PlaceReport report(String plan, String agreed, String control) {
    return Reconciler.reconcile(Tables.tables(plan, agreed, control), Tables.FIXED).getFirst();
  }

  /** A was planned and agreed, and is gone. */
  private static PlaceReport gone() {
    return report("5: TOOL=A LENGTH=120 DIAMETER=10", "5: TOOL=A LENGTH=120 DIAMETER=10", "");
  }

  @Test
  void whatWasDecidedOnceForAllIsNotAskedAgain() {
    PlaceReport asked = gone();
    assertEquals(Why.GONE_FROM_CONTROL, asked.why());
    assertEquals(Decision.ASK, asked.suggested());
    PlaceReport answered =
        DecisionRules.applied(asked, Map.of(Why.GONE_FROM_CONTROL, Decision.TAKE));
    assertEquals(Decision.TAKE, answered.suggested());
    assertEquals(asked.reason(), answered.reason());
  }

  @Test
  void aRuleForSomethingElseAnswersNothing() {
    PlaceReport asked = gone();
    assertSame(asked, DecisionRules.applied(asked, Map.of(Why.PLAN_CLEARED, Decision.SEND)));
    assertSame(asked, DecisionRules.applied(asked, Map.of()));
  }

  /** One question of the place is answered, the other is not: a person decides. */
  @Test
  void aPlaceWithASecondQuestionIsAsked() {
    PlaceReport asked =
        report(
            "5: TOOL=A NUMBER=7 LENGTH=120 DIAMETER=10",
            "5: TOOL=A NUMBER=7 LENGTH=120 DIAMETER=10",
            "5: TOOL=A NUMBER=8 LENGTH=12 DIAMETER=10");
    assertEquals(Decision.ASK, asked.suggested());
    assertEquals(
        Decision.ASK,
        DecisionRules.applied(asked, Map.of(Why.RENUMBERED_AT_CONTROL, Decision.TAKE)).suggested());
  }

  @Test
  void whatIsAskedAloneIsOfferedAsARule() {
    assertEquals(Set.of(Decision.TAKE), DecisionRules.offered(gone()));
    assertEquals(
        "a planned tool is no longer at the control",
        DecisionRules.question(gone().why()).orElseThrow());
    PlaceReport unknown = report("", "", "5: TOOL=NOBODYS LENGTH=120");
    assertEquals(Why.UNKNOWN_TOOL, unknown.why());
    assertEquals(Set.of(), DecisionRules.offered(unknown));
  }

  @Test
  void whatManyPlacesAreAskedAlikeIsAnsweredTogether() {
    assertEquals(Set.of(Decision.TAKE, Decision.LEAVE), DecisionRules.together(gone()));
    PlaceReport planned =
        report(
            "5: TOOL=A LENGTH=121 DIAMETER=10",
            "5: TOOL=A LENGTH=120 DIAMETER=10",
            "5: TOOL=A LENGTH=120 DIAMETER=10");
    assertEquals(Decision.SEND, planned.suggested());
    assertTrue(DecisionRules.together(planned).contains(Decision.LEAVE));
  }

  /** Another tool may be in the pocket: its size would be written over for all of them at once. */
  @Test
  void whereNothingWasAgreedNothingIsSentTogether() {
    PlaceReport asked =
        Reconciler.reconcile(
                Tables.tables(
                    "5: TOOL=A LENGTH=120 DIAMETER=10",
                    Optional.empty(),
                    "5: TOOL=B LENGTH=120 DIAMETER=10",
                    Optional.empty()),
                Tables.FIXED)
            .getFirst();
    assertEquals(Why.NEVER_AGREED, asked.why());
    assertTrue(asked.possible().contains(Decision.SEND), "one at a time it may be");
    assertEquals(Set.of(Decision.TAKE, Decision.LEAVE), DecisionRules.together(asked));
  }

  /**
   * A new edge has its new length at the machine alone: old ones are not sent over many of them.
   */
  @Test
  void whatWasMeasuredAtTheMachineIsNotOverwrittenTogether() {
    PlaceReport measured =
        report("5: TOOL=A LENGTH=120", "5: TOOL=A LENGTH=120", "5: TOOL=A LENGTH=119.9");
    assertEquals(Why.MEASURED_AT_CONTROL, measured.why());
    assertEquals(Set.of(Decision.TAKE, Decision.LEAVE), DecisionRules.together(measured));
  }

  /** What is in the pocket only a look at it can tell. */
  @Test
  void aToolThatOnlyALookCanTellIsNeverAnsweredTogether() {
    PlaceReport other =
        report(
            "5: TOOL=A LENGTH=120 DIAMETER=10",
            "5: TOOL=A LENGTH=120 DIAMETER=10",
            "5: TOOL=B LENGTH=120 DIAMETER=10");
    assertEquals(Why.OTHER_TOOL_IN_PLACE, other.why());
    assertEquals(Set.of(), DecisionRules.together(other));
    PlaceReport unknown = report("", "", "5: TOOL=NOBODYS LENGTH=120");
    assertEquals(Set.of(), DecisionRules.together(unknown));
  }

  /** Two questions at once: whoever answers one for many places would not see the other. */
  @Test
  void aPlaceWithTwoQuestionsIsNotAnsweredWithOthers() {
    PlaceReport asked =
        report(
            "5: TOOL=A NUMBER=7 LENGTH=119.9",
            "5: TOOL=A NUMBER=7 LENGTH=120",
            "5: TOOL=A NUMBER=8 LENGTH=120 LENGTH_WEAR=-0.15");
    assertEquals(
        Set.of(Why.RENUMBERED_AT_CONTROL, Why.OLD_WEAR_WITH_NEW_LENGTH),
        asked.fields().stream()
            .filter(field -> field.suggested() == Decision.ASK)
            .map(FieldReport::why)
            .collect(Collectors.toSet()));
    assertEquals(Set.of(), DecisionRules.together(asked));
  }

  @Test
  void everyReasonHasWordsOfItsOwn() {
    assertEquals(
        Why.values().length, Arrays.stream(Why.values()).map(Why::words).distinct().count());
  }

  @ParameterizedTest
  @EnumSource(
      value = Why.class,
      names = {
        "SHOWN_TWICE",
        "UNKNOWN_TOOL",
        "NOT_SET",
        "ORIENTATION_CHANGED_AT_CONTROL",
        "ZERO",
        "NOT_MEASURED",
        "FAR_FROM_NOMINAL",
        "SWAPPED_AT_MACHINE",
        "DIAMETER_IN_RADIUS_REGISTER",
        "IN_SPINDLE_CHANGED"
      })
  void whatOnlyALookOrAMeasureCanTellIsAskedEveryTime(Why why) {
    for (Decision decision : Decision.values()) {
      assertFalse(DecisionRules.answerable(why, decision), why + " " + decision);
    }
  }

  /** What is in the pocket is not known: the plan may follow, the control is not written. */
  @ParameterizedTest
  @EnumSource(
      value = Why.class,
      names = {"NOT_IN_PLAN", "PLAN_CLEARED", "GONE_FROM_CONTROL"})
  void aRuleNeverWritesWhereSomebodyWouldHaveToLookIntoThePocket(Why why) {
    assertTrue(DecisionRules.answerable(why, Decision.TAKE));
    assertFalse(DecisionRules.answerable(why, Decision.SEND));
  }

  @Test
  void onlyWhatIsPossibleCanBecomeARule() {
    assertTrue(DecisionRules.answerable(Why.OLD_WEAR_WITH_NEW_LENGTH, Decision.SEND_ZERO_WEAR));
    assertFalse(DecisionRules.answerable(Why.GONE_FROM_CONTROL, Decision.SEND_ZERO_WEAR));
    assertFalse(DecisionRules.answerable(Why.GONE_FROM_CONTROL, Decision.LEAVE));
  }
}
