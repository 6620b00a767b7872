package arborline.core.table;

import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;

/** Turns a decision about a place into what is written to the control and into the plan. */
public final class WritePlan {

  private WritePlan() {}

  /**
   * The outcome for one place.
   *
   * @throws IllegalArgumentException where the decision is LEAVE, or takes an unknown tool
   */
  public static PlaceOutcome of(PlaceReport report, Decision decision) {
    return switch (decision) {
      case SEND -> send(report);
      case TAKE -> take(report);
      case OWNER -> byOwner(report);
      case LEAVE -> throw new IllegalArgumentException("nothing is done about " + report.place());
    };
  }

  private static PlaceOutcome send(PlaceReport report) {
    TableEntry plan = report.plan();
    if (plan.empty()) {
      return outcome(report, TableEntry.EMPTY, EnumSet.of(TableField.TOOL), true);
    }
    boolean other = differsIn(report, TableField.TOOL);
    Set<TableField> fields = EnumSet.noneOf(TableField.class);
    TableEntry target = other ? TableEntry.EMPTY : report.control();
    for (TableField field : TableField.values()) {
      boolean ours = field.owner() != Owner.CONTROL && plan.get(field) != null;
      if (ours && (other || differsIn(report, field))) {
        fields.add(field);
        target = target.with(field, plan.get(field));
      }
    }
    return outcome(report, target, fields, other);
  }

  private static PlaceOutcome outcome(
      PlaceReport report, TableEntry target, Set<TableField> fields, boolean other) {
    return fields.isEmpty()
        ? new PlaceOutcome(report.place(), Optional.empty(), report.plan())
        : new PlaceOutcome(
            report.place(),
            Optional.of(new RowWrite(report.place(), target, fields, other)),
            report.plan());
  }

  private static PlaceOutcome take(PlaceReport report) {
    if (!report.takeable()) {
      throw new IllegalArgumentException(
          "pocket %s holds %s, which no library of the shop has"
              .formatted(report.place(), report.control().get(TableField.TOOL)));
    }
    return new PlaceOutcome(report.place(), Optional.empty(), report.control());
  }

  private static PlaceOutcome byOwner(PlaceReport report) {
    Set<TableField> sent = EnumSet.noneOf(TableField.class);
    TableEntry plan = report.plan();
    TableEntry target = report.control();
    for (FieldReport field : report.fields()) {
      if (field.suggested() == Decision.SEND) {
        sent.add(field.field());
        target = target.with(field.field(), field.plan());
      } else if (field.suggested() == Decision.TAKE) {
        plan = plan.with(field.field(), field.control());
      }
    }
    Optional<RowWrite> write =
        sent.isEmpty()
            ? Optional.empty()
            : Optional.of(new RowWrite(report.place(), target, sent, false));
    return new PlaceOutcome(report.place(), write, plan);
  }

  private static boolean differsIn(PlaceReport report, TableField field) {
    return report.fields().stream().anyMatch(each -> each.field() == field);
  }
}
