package arborline.core.table;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;

/**
 * Turns decisions about places into what is written to the control and into the plan. Whatever
 * changes a tool's number, offset, place or identity carries all that hangs on it: sizes and, where
 * the real piece stays, its wear.
 */
public final class WritePlan {

  private final ToolTables tables;
  private final ControlTerms terms;
  private final TableIndex index;

  public WritePlan(ToolTables tables, ControlTerms terms) {
    this.tables = tables;
    this.terms = terms;
    this.index = new TableIndex(tables);
  }

  /**
   * The outcome for one place.
   *
   * @throws IllegalArgumentException where that decision is not possible there
   */
  public PlaceOutcome of(PlaceReport report, Decision decision) {
    if (!report.possible().contains(decision)) {
      throw new IllegalArgumentException(
          "%s %s cannot be decided so: %s"
              .formatted(terms.placeWord(), report.place(), report.reason()));
    }
    return switch (decision) {
      case SEND -> send(report, false);
      case SEND_ZERO_WEAR -> send(report, true);
      case TAKE -> new PlaceOutcome(report.place(), Optional.empty(), taken(report));
      case OWNER -> byOwner(report);
      case LEAVE, ASK ->
          throw new IllegalArgumentException(
              "nothing is done about %s %s".formatted(terms.placeWord(), report.place()));
    };
  }

  private PlaceOutcome send(PlaceReport report, boolean zeroWear) {
    TableEntry plan = report.plan();
    if (plan.empty()) {
      return written(report, TableEntry.EMPTY, Set.of(TableField.TOOL), true, plan);
    }
    boolean other = !report.physicalStays();
    Set<TableField> differing = differing(report);
    boolean renumbered =
        differing.contains(TableField.NUMBER) || differing.contains(TableField.OFFSET);
    boolean whole = other || renumbered || differing.contains(TableField.TOOL);
    TableEntry present = report.physicalStays() ? report.control() : present(report);
    TableEntry target = target(plan, present, report.control(), zeroWear);
    Set<TableField> fields = new TreeSet<>();
    for (TableField field : terms.fields()) {
      boolean kept = relevant(field, target, report.control());
      boolean counted = field.owner() == Owner.CONTROL;
      boolean zeroed = zeroWear && field.form() == TableField.Form.WEAR;
      if (kept && (whole || differing.contains(field) && !counted || zeroed)) {
        fields.add(field);
      }
    }
    return written(report, target, fields, other, plan);
  }

  /** The control's row of the planned tool where it is another place's and the same real piece. */
  private TableEntry present(PlaceReport report) {
    TableEntry plan = report.plan();
    TableEntry row = index.row(plan).orElse(TableEntry.EMPTY);
    String piece = plan.get(TableField.PHYSICAL);
    String before =
        index
            .agreed(plan)
            .map(place -> tables.agreed().orElseThrow().get(place).get(TableField.PHYSICAL))
            .orElse(null);
    return piece == null || before == null || piece.equals(before) ? row : TableEntry.EMPTY;
  }

  /** All that the control must hold: sizes of the plan, else its own; wear of the real piece. */
  private TableEntry target(
      TableEntry plan, TableEntry present, TableEntry control, boolean zeroWear) {
    TableEntry target = TableEntry.EMPTY;
    for (TableField field : terms.fields()) {
      String planned = terms.shown(field, plan.get(field));
      String text =
          switch (field.owner()) {
            case LIBRARY -> planned == null && field.stated() ? present.get(field) : planned;
            case MEASUREMENT -> planned == null ? present.get(field) : planned;
            case CONTROL -> kept(field, present, zeroWear);
          };
      target = target.with(field, text);
    }
    return withoutIdleWear(target, control);
  }

  /** A size that neither the tool has nor the control shows has no wear, not even one of zero. */
  private TableEntry withoutIdleWear(TableEntry target, TableEntry control) {
    TableEntry used = target;
    for (TableField size : terms.fields()) {
      Optional<TableField> wear = size.wear().filter(worn -> control.get(worn) == null);
      if (wear.isPresent() && target.get(size) == null && control.get(size) == null) {
        used = used.with(wear.orElseThrow(), null);
      }
    }
    return used;
  }

  /** What the control counts goes on with the same piece, and begins anew with another one. */
  private String kept(TableField field, TableEntry present, boolean zeroWear) {
    String now = present.get(field);
    boolean zeroed = zeroWear && field.form() == TableField.Form.WEAR;
    return zeroed || now == null
        ? terms.declared(field).flatMap(ControlField::fresh).orElse(now)
        : now;
  }

  /** Fields that the control has for this tool, or had. */
  private static boolean relevant(TableField field, TableEntry target, TableEntry control) {
    return target.get(field) != null || control.get(field) != null;
  }

  private PlaceOutcome written(
      PlaceReport report,
      TableEntry target,
      Set<TableField> fields,
      boolean other,
      TableEntry plan) {
    return new PlaceOutcome(
        report.place(),
        fields.isEmpty()
            ? Optional.empty()
            : Optional.of(new RowWrite(report.place(), target, fields, other)),
        plan);
  }

  /** The plan's row of the control's tool with what the control says of it. */
  private TableEntry taken(PlaceReport report) {
    TableEntry control = report.control();
    if (control.empty()) {
      return TableEntry.EMPTY;
    }
    Optional<String> planned = control.named() ? index.planned(control) : unseen(report);
    TableEntry known = planned.map(tables.plan()::get).orElse(TableEntry.EMPTY);
    boolean moved = !known.empty() && !planned.orElseThrow().equals(report.place());
    TableEntry taken = known;
    for (TableField field : terms.fields()) {
      String told = control.get(field);
      boolean ofPlace =
          !terms.identityShown()
              && (field.equals(TableField.NUMBER) || field.equals(TableField.OFFSET));
      boolean kept =
          field.owner() == Owner.CONTROL || moved && !ofPlace && known.get(field) != null;
      boolean named = field == TableField.NAME && known.get(field) != null;
      if (!kept && !named && !terms.same(field, known.get(field), told) && told != null) {
        taken = taken.with(field, terms.plain(field, told));
      }
    }
    return taken;
  }

  /**
   * Whose tool a control means that shows none: that of the place, and where two places have
   * exchanged their values, that of the other one.
   */
  private Optional<String> unseen(PlaceReport report) {
    if (report.why() != Why.SWAPPED_AT_MACHINE) {
      return Optional.of(report.place()).filter(tables.plan()::containsKey);
    }
    return tables.agreed().orElse(Map.of()).entrySet().stream()
        .filter(row -> !row.getKey().equals(report.place()))
        .filter(row ->
            terms.sizes().stream()
                .allMatch(
                    size -> terms.same(size, row.getValue().get(size), report.control().get(size))))
        .map(Map.Entry::getKey)
        .filter(tables.plan()::containsKey)
        .findFirst();
  }

  private PlaceOutcome byOwner(PlaceReport report) {
    Set<TableField> sent = new TreeSet<>();
    TableEntry plan = report.plan();
    TableEntry target = report.control();
    boolean renumbered = false;
    for (FieldReport field : report.fields()) {
      if (field.suggested() == Decision.SEND) {
        sent.add(field.field());
        target = target.with(field.field(), terms.shown(field.field(), field.plan()));
        renumbered |= field.field() == TableField.NUMBER || field.field() == TableField.OFFSET;
      } else if (field.suggested() == Decision.TAKE && field.field().owner() != Owner.CONTROL) {
        plan = plan.with(field.field(), terms.plain(field.field(), field.control()));
      }
    }
    if (renumbered) {
      sent.addAll(target.fields().keySet());
    }
    return written(report, target, sent, false, plan);
  }

  private static Set<TableField> differing(PlaceReport report) {
    Set<TableField> fields = new TreeSet<>();
    report.fields().forEach(field -> fields.add(field.field()));
    return fields;
  }

  /**
   * Refuses outcomes after which one tool, or one number of different tools, would stand in two
   * places of the plan.
   *
   * @throws IllegalArgumentException naming both places
   */
  public void check(List<PlaceOutcome> outcomes) {
    Map<String, TableEntry> plan = new HashMap<>(tables.plan());
    outcomes.forEach(outcome -> plan.put(outcome.place(), outcome.plan()));
    Map<String, String> tools = new HashMap<>();
    Map<String, String> numbers = new HashMap<>();
    plan.entrySet().stream()
        .filter(row -> !row.getValue().empty())
        .sorted(Map.Entry.comparingByKey(PlaceOrder.BY_NUMBER))
        .forEach(row -> {
          TableEntry entry = row.getValue();
          String before = tools.put(entry.identity(), row.getKey());
          if (before != null) {
            throw new IllegalArgumentException(
                "%s would be planned for %s and %s: decide both %ss together"
                    .formatted(
                        entry.get(TableField.TOOL), before, row.getKey(), terms.placeWord()));
          }
          String number = entry.get(TableField.NUMBER);
          String other = number == null ? null : numbers.put(number, row.getKey());
          if (other != null && entry.get(TableField.SISTER) == null) {
            throw new IllegalArgumentException(
                "number %s would be planned for %s and %s: renumber one of them"
                    .formatted(number, other, row.getKey()));
          }
        });
  }
}
