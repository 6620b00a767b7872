package arborline.core.table;

import java.util.Optional;

/**
 * Says what is proposed about the tool of one place: whether it is the right one, where it went,
 * whether it may be sent. What cannot be told for certain is asked. Values of a tool that stays
 * where it is are judged by {@link ValueJudge}.
 */
final class PlaceJudge {

  private final ToolTables tables;
  private final ControlTerms terms;
  private final TableIndex index;
  private final ValueJudge values;
  private final String place;
  private final TableEntry plan;
  private final TableEntry agreed;
  private final TableEntry control;
  private final boolean unchanged;

  PlaceJudge(
      ToolTables tables,
      ControlTerms terms,
      TableIndex index,
      ValueJudge values,
      String place,
      TableEntry plan,
      TableEntry agreed,
      TableEntry control,
      boolean unchanged) {
    this.tables = tables;
    this.terms = terms;
    this.index = index;
    this.values = values;
    this.place = place;
    this.plan = plan;
    this.agreed = agreed;
    this.control = control;
    this.unchanged = unchanged;
  }

  /** What is found about the tool; empty where only its values are to be compared. */
  Optional<Verdict> tool(boolean inSpindle) {
    return shownWrongly()
        .or(() -> inSpindle ? inSpindle() : Optional.empty())
        .or(this::numberIsPocket)
        .or(() -> plan.empty() ? Optional.of(withoutPlan()) : planned());
  }

  private Optional<Verdict> shownWrongly() {
    if (index.shownTwice(control)) {
      return ask(
          Why.SHOWN_TWICE,
          "the control shows %s at %s: look which of them holds it",
          name(control),
          String.join(" and ", index.shown(control)));
    }
    if (control.named() && !tables.nominal().containsKey(control.key())) {
      return ask(
          Why.UNKNOWN_TOOL,
          "no library of the shop has %s: find out what is in the pocket",
          name(control));
    }
    if (index.offsetSharedAtControl(control)) {
      return ask(
          Why.OFFSET_SHARED,
          "another pocket of the control has offset %s as well: one of them would cut with the"
              + " other's length",
          control.get(TableField.OFFSET));
    }
    return index.offsetSharedInPlan(plan)
        ? ask(
            Why.OFFSET_SHARED,
            "offset %s is planned for another pocket as well",
            plan.get(TableField.OFFSET))
        : Optional.empty();
  }

  private Optional<Verdict> inSpindle() {
    boolean wanted = plan.empty() || !values.alike(plan, agreed);
    return wanted && !values.equal(plan, control)
        ? ask(
            Why.IN_SPINDLE_CHANGED,
            "%s is in the spindle now and the plan wants it changed: wait until it is back",
            name(control))
        : Optional.empty();
  }

  private Optional<Verdict> numberIsPocket() {
    String number = plan.get(TableField.NUMBER);
    boolean other =
        !terms.identityShown()
            && !plan.empty()
            && number != null
            && !place.replaceAll(".*\\D", "").equals(number);
    return other
        ? ask(
            Why.NUMBER_IS_POCKET,
            "this control knows no number but the pocket's: %s cannot be number %s here",
            name(plan),
            number)
        : Optional.empty();
  }

  private Verdict withoutPlan() {
    if (control.empty()) {
      return verdict(Why.EQUAL, "nothing is planned and the pocket is empty");
    }
    if (tables.agreed().isEmpty()) {
      return verdict(
          Why.NEVER_AGREED,
          "%s stands here at the control and nothing was ever agreed with it: look into the pocket",
          name(control));
    }
    if (!control.named()) {
      return agreed.empty() ? notInPlan() : cleared(agreed);
    }
    Optional<String> before = index.agreed(control);
    if (before.isEmpty()) {
      return notInPlan();
    }
    return before.get().equals(place) ? cleared(control) : moved(control, before.get());
  }

  private Verdict notInPlan() {
    return verdict(
        Why.NOT_IN_PLAN,
        "%s was put in at the machine and nobody planned it: look into the pocket",
        name(control));
  }

  private Verdict cleared(TableEntry tool) {
    Optional<String> now = index.planned(tool).filter(other -> !other.equals(place));
    return now.isPresent()
        ? verdict(Why.PLANNED_CHANGE, "%s is planned for pocket %s now", name(tool), now.get())
        : verdict(
            Why.PLAN_CLEARED,
            "%s was taken out of the plan, but nobody said that it is out of the pocket: look there",
            name(tool));
  }

  private Verdict moved(TableEntry tool, String before) {
    return terms.randomPlaces()
        ? verdict(
            Why.MOVED_BY_CONTROL,
            "the control chooses pockets itself and moved %s from %s to here",
            name(tool),
            before)
        : verdict(
            Why.MOVED_AT_MACHINE,
            "%s was agreed for pocket %s: look into both",
            name(tool),
            before);
  }

  private Optional<Verdict> planned() {
    if (unchanged || values.equal(plan, control) && !newPiece()) {
      return Optional.empty();
    }
    if (!agreed.empty() && !control.empty()) {
      Optional<Verdict> other = otherThanAgreed();
      if (other.isPresent()) {
        return other;
      }
    }
    if (!agreed.empty() && control.empty()) {
      return Optional.of(gone());
    }
    if (agreed.empty() && !control.empty()) {
      return Optional.of(neverTogether());
    }
    if (agreed.empty() || !plan.identity().equals(agreed.identity())) {
      return Optional.of(newTool());
    }
    return newPiece() ? Optional.of(newPhysicalTool()) : Optional.empty();
  }

  /** True where the plan names another real piece of the tool that was agreed. */
  boolean newPiece() {
    String now = plan.get(TableField.PHYSICAL);
    String before = agreed.get(TableField.PHYSICAL);
    return plan.identity().equals(agreed.identity())
        && now != null
        && before != null
        && !now.equals(before);
  }

  private Optional<Verdict> otherThanAgreed() {
    if (!control.named()) {
      return swappedUnseen()
          .map(other ->
              verdict(
                  Why.SWAPPED_AT_MACHINE,
                  "this pocket shows what was agreed for %s, and the other way round: look into both",
                  other));
    }
    if (control.identity().equals(agreed.identity())) {
      return Optional.empty();
    }
    Optional<String> before = index.agreed(control);
    if (before.isEmpty()) {
      return ask(
          Why.OTHER_TOOL_IN_PLACE,
          "agreed was %s, the control shows %s: look into the pocket",
          name(agreed),
          name(control));
    }
    if (terms.randomPlaces()) {
      return plan.identity().equals(agreed.identity())
          ? Optional.of(moved(control, before.get()))
          : bothChanged();
    }
    boolean swapped = tables.control().at(before.get()).identity().equals(agreed.identity());
    return swapped
        ? ask(
            Why.SWAPPED_AT_MACHINE,
            "%s and %s have changed places at the machine: look into %s and here",
            name(agreed),
            name(control),
            before.get())
        : Optional.of(moved(control, before.get()));
  }

  private Optional<Verdict> bothChanged() {
    return ask(
        Why.BOTH_CHANGED,
        "agreed was %s; the plan says %s now and the control %s",
        name(agreed),
        name(plan),
        control.empty() ? "nothing" : name(control));
  }

  /** Where the values of this place and another one have changed places. */
  private Optional<String> swappedUnseen() {
    return tables.agreed().orElseThrow().entrySet().stream()
        .filter(row -> !row.getKey().equals(place))
        .filter(row ->
            values.sizes(row.getValue(), control)
                && values.sizes(agreed, tables.control().at(row.getKey()))
                && !values.sizes(agreed, control))
        .map(java.util.Map.Entry::getKey)
        .findFirst();
  }

  private Verdict gone() {
    if (!plan.identity().equals(agreed.identity())) {
      return bothChanged().orElseThrow();
    }
    Optional<String> now =
        index.shown(agreed).stream().filter(other -> !other.equals(place)).findFirst();
    if (now.isEmpty()) {
      return verdict(
          Why.GONE_FROM_CONTROL,
          "the control no longer has %s: is it in the pocket?",
          name(agreed));
    }
    return terms.randomPlaces()
        ? verdict(
            Why.MOVED_BY_CONTROL,
            "the control chooses pockets itself and put %s into %s",
            name(agreed),
            now.get())
        : verdict(
            Why.MOVED_AT_MACHINE,
            "the control shows %s in %s: look into both",
            name(agreed),
            now.get());
  }

  private Verdict neverTogether() {
    boolean other = !control.named() || !control.identity().equals(plan.identity());
    if (other) {
      return tables.agreed().isEmpty()
          ? verdict(
              Why.NEVER_AGREED,
              "planned is %s, the control has %s, and nothing was ever agreed with it: look into the"
                  + " pocket",
              name(plan),
              name(control))
          : verdict(
              Why.PLACE_OCCUPIED,
              "%s is planned here, but the control has %s in this pocket: look there",
              name(plan),
              name(control));
    }
    return values
        .question(plan, control)
        .orElseGet(() ->
            values.onlyControlHasSizes(plan, control)
                ? verdict(
                    Why.MEASURED_AT_CONTROL,
                    "%s was set at the machine and not measured here",
                    name(plan))
                : verdict(
                    Why.NEVER_AGREED,
                    "plan and control have other values for %s and nothing was agreed: measure again",
                    name(plan)));
  }

  private Verdict newTool() {
    if (!agreed.empty() && !values.sizes(agreed, control)) {
      return bothChanged().orElseThrow();
    }
    Optional<Verdict> question = values.before(place, plan).or(this::shownElsewhere);
    return question.orElseGet(() ->
        agreed.empty() && index.agreed(plan).isEmpty()
            ? verdict(Why.NEW_IN_PLAN, "%s is planned here and new", name(plan))
            : verdict(
                Why.PLANNED_CHANGE,
                "the plan changed from %s to %s",
                agreed.empty() ? "nothing" : name(agreed),
                name(plan)));
  }

  private Optional<Verdict> shownElsewhere() {
    Optional<String> elsewhere =
        index.shown(plan).stream()
            .filter(other -> !other.equals(place))
            .filter(other -> index.agreed(plan).filter(other::equals).isEmpty())
            .findFirst();
    return elsewhere.map(other ->
        tables.agreed().isEmpty()
            ? verdict(
                Why.NEVER_AGREED,
                "the control shows %s in %s, and nothing was ever agreed: look there",
                name(plan),
                other)
            : verdict(
                Why.SHOWN_ELSEWHERE,
                "the control shows %s in %s, where it was not agreed: look there",
                name(plan),
                other));
  }

  private Verdict newPhysicalTool() {
    return values
        .before(place, plan)
        .or(() -> values.sizes(agreed, control) ? Optional.empty() : bothChanged())
        .orElseGet(() ->
            verdict(
                Why.NEW_PHYSICAL_TOOL,
                "another piece of %s was put in: its values go out and the wear begins at zero",
                name(plan)));
  }

  private Optional<Verdict> ask(Why why, String sentence, Object... parts) {
    return Optional.of(verdict(why, sentence, parts));
  }

  private Verdict verdict(Why why, String sentence, Object... parts) {
    return Verdict.of(why, terms.worded(sentence), parts);
  }

  private static String name(TableEntry entry) {
    String tool = entry.get(TableField.TOOL);
    if (tool != null) {
      return tool;
    }
    String number = entry.get(TableField.NUMBER);
    return number == null ? "a tool" : "the tool of number " + number;
  }
}
