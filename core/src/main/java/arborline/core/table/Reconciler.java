package arborline.core.table;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Compares plan, last agreed state and control place by place and field by field, in the control's
 * own terms. Identity belongs to the library, measured values to the measurement wherever it was
 * made, wear to the control. Nothing dangerous is proposed silently: what cannot be told for
 * certain is asked.
 */
public final class Reconciler {

  private static final Verdict STANDS_IN_SPINDLE =
      Verdict.of(Why.IN_SPINDLE, "the tool is in the spindle");
  private static final Verdict SAME = Verdict.of(Why.EQUAL, "plan and control are the same");
  private static final Verdict SAME_AS_SHOWN =
      Verdict.of(
          Why.WITHIN_RESOLUTION, "plan and control are the same as far as the control can show");

  private final ToolTables tables;
  private final ControlTerms terms;
  private final TableIndex index;
  private final ValueJudge values;

  private Reconciler(ToolTables tables, ControlTerms terms, List<Row> rows) {
    this.tables = tables;
    this.terms = terms;
    this.index = new TableIndex(tables, rows.stream().map(Row::shown).toList());
    this.values = new ValueJudge(tables, terms, index);
  }

  /** Reports every place that plan, agreed state or control knows, in pocket order. */
  public static List<PlaceReport> reconcile(ToolTables tables, ControlTerms terms) {
    List<Row> rows = rows(tables);
    Collections.sort(rows);
    Reconciler reconciler = new Reconciler(tables, terms, rows);
    return rows.stream().map(reconciler::report).toList();
  }

  /** What the three sides have of one place. */
  private record Row(String place, long rank, TableEntry plan, TableEntry agreed, TableEntry shown)
      implements Comparable<Row> {

    Row(String place, TableEntry plan, TableEntry agreed, TableEntry shown) {
      this(place, PlaceOrder.rank(place), plan, agreed, shown);
    }

    @Override
    public int compareTo(Row other) {
      return rank == other.rank
          ? PlaceOrder.BY_NUMBER.compare(place, other.place)
          : Long.compare(rank, other.rank);
    }
  }

  private static List<Row> rows(ToolTables tables) {
    Map<String, TableEntry> plan = tables.plan();
    Map<String, TableEntry> agreed = tables.agreed().orElse(Map.of());
    Map<String, TableEntry> shown = tables.control().places();
    List<Row> rows = new ArrayList<>(plan.size());
    int agreedMet = 0;
    int shownMet = 0;
    for (Map.Entry<String, TableEntry> planned : plan.entrySet()) {
      String place = planned.getKey();
      TableEntry before = agreed.get(place);
      TableEntry there = shown.get(place);
      agreedMet += before == null ? 0 : 1;
      shownMet += there == null ? 0 : 1;
      rows.add(new Row(place, planned.getValue(), orEmpty(before), orEmpty(there)));
    }
    if (agreedMet == agreed.size() && shownMet == shown.size()) {
      return rows;
    }
    agreed.forEach((place, entry) -> {
      if (!plan.containsKey(place)) {
        rows.add(new Row(place, TableEntry.EMPTY, entry, orEmpty(shown.get(place))));
      }
    });
    shown.forEach((place, entry) -> {
      if (!plan.containsKey(place) && !agreed.containsKey(place)) {
        rows.add(new Row(place, TableEntry.EMPTY, TableEntry.EMPTY, entry));
      }
    });
    return rows;
  }

  private static TableEntry orEmpty(TableEntry entry) {
    return entry == null ? TableEntry.EMPTY : entry;
  }

  private PlaceReport report(Row row) {
    String place = row.place();
    TableEntry plan = row.plan();
    TableEntry agreed = row.agreed();
    TableEntry shown = row.shown();
    boolean inSpindle = inSpindle(plan, agreed, shown);
    TableEntry control = inSpindle ? tables.control().spindle().orElseThrow() : shown;
    boolean unchanged = values.unchanged(plan, agreed, control);
    PlaceJudge judge =
        new PlaceJudge(tables, terms, index, values, place, plan, agreed, control, unchanged);
    Optional<Verdict> tool = judge.tool(inSpindle);
    boolean stays =
        unchanged
            || plan.identity().equals(control.identity()) && !judge.newPiece()
            || !control.named() && plan.identity().equals(agreed.identity()) && !judge.newPiece();
    List<FieldReport> fields =
        tool.isPresent()
            ? subject(tool.get(), plan, agreed, control)
            : unchanged ? List.of() : values.fields(place, plan, agreed, control);
    Verdict verdict =
        tool.orElseGet(
            () -> unchanged && !inSpindle ? SAME : overall(fields, inSpindle, plan, control));
    return new PlaceReport(
        place,
        state(verdict.why()),
        plan,
        agreed,
        control,
        inSpindle,
        stays,
        fields,
        verdict.why(),
        suggested(verdict.why(), fields),
        verdict.reason());
  }

  /** A tool whose pocket is empty because the spindle holds it is where it belongs. */
  private boolean inSpindle(TableEntry plan, TableEntry agreed, TableEntry shown) {
    return shown.empty()
        && tables
            .control()
            .spindle()
            .filter(spindle -> spindle.named())
            .filter(spindle ->
                spindle.identity().equals(plan.identity())
                    || plan.empty() && spindle.identity().equals(agreed.identity()))
            .isPresent();
  }

  /** What a verdict on the whole place is about: the tool, or the values of the same tool. */
  private List<FieldReport> subject(
      Verdict verdict, TableEntry plan, TableEntry agreed, TableEntry control) {
    if (verdict.why() == Why.EQUAL) {
      return List.of();
    }
    boolean unseen = !terms.identityShown() && !control.empty();
    boolean sameTool = !plan.empty() && (unseen || plan.identity().equals(control.identity()));
    List<TableField> differing =
        terms.fields().stream()
            .filter(field -> field != TableField.TOOL)
            .filter(field -> plan.get(field) != null || field.measured())
            .filter(field -> sameTool && !terms.same(field, plan.get(field), control.get(field)))
            .toList();
    return (differing.isEmpty() ? List.of(TableField.TOOL) : differing)
        .stream()
            .map(field ->
                new FieldReport(
                    field,
                    plan.get(field),
                    agreed.get(field),
                    control.get(field),
                    verdict.why(),
                    verdict.reason()))
            .toList();
  }

  private Verdict overall(
      List<FieldReport> fields, boolean inSpindle, TableEntry plan, TableEntry control) {
    if (fields.isEmpty()) {
      return inStep(inSpindle, plan, control);
    }
    if (fields.size() == 1) {
      return new Verdict(fields.getFirst().why(), fields.getFirst().reason());
    }
    FieldReport urgent =
        fields.stream()
            .min(
                Comparator.comparing((FieldReport field) -> field.suggested() != Decision.ASK)
                    .thenComparing(FieldReport::why))
            .orElseThrow();
    Why why = urgent.why();
    if (why == Why.WEAR_OF_CONTROL) {
      return new Verdict(why, urgent.reason());
    }
    return new Verdict(
        why,
        fields.stream()
            .filter(field -> why.proposed() != Decision.ASK || field.why() == why)
            .filter(field -> field.why() != Why.WEAR_OF_CONTROL)
            .map(FieldReport::reason)
            .distinct()
            .reduce((one, other) -> one + "; " + other)
            .orElseThrow());
  }

  private Verdict inStep(boolean inSpindle, TableEntry plan, TableEntry control) {
    if (inSpindle) {
      return STANDS_IN_SPINDLE;
    }
    for (TableField field : terms.sizes()) {
      if (!terms.exact(field, plan.get(field), control.get(field))) {
        return SAME_AS_SHOWN;
      }
    }
    return SAME;
  }

  private static PlaceReport.State state(Why why) {
    return switch (why) {
      case EQUAL, WITHIN_RESOLUTION, IN_SPINDLE, WEAR_OF_CONTROL -> PlaceReport.State.IN_STEP;
      case UNKNOWN_TOOL -> PlaceReport.State.UNKNOWN_TOOL;
      default -> PlaceReport.State.DIFFERS;
    };
  }

  private static Decision suggested(Why why, List<FieldReport> fields) {
    if (why.proposed() == Decision.ASK || fields.size() < 2) {
      return why.proposed();
    }
    long proposals =
        fields.stream()
            .filter(field -> field.why() != Why.WEAR_OF_CONTROL)
            .map(FieldReport::suggested)
            .distinct()
            .count();
    return proposals > 1 ? Decision.OWNER : why.proposed();
  }
}
