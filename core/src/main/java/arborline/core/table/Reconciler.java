package arborline.core.table;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;

/**
 * Compares plan, last agreed state and control place by place and field by field.
 *
 * <p>A change on one side only goes the way of that side, unless the field's owner is the other. A
 * change on both sides is asked. Wear is never overwritten unless the tool itself is another one. A
 * measured value far from nominal is questioned.
 */
public final class Reconciler {

  private final ToolTables tables;
  private final TablePolicy policy;

  /** Where the control has each tool, by code; gathered when it is first asked for. */
  private Map<String, String> controlPlaces;

  private Reconciler(ToolTables tables, TablePolicy policy) {
    this.tables = tables;
    this.policy = policy;
  }

  /** Reports every place that plan, agreed state or control knows, in pocket order. */
  public static List<PlaceReport> reconcile(ToolTables tables, TablePolicy policy) {
    Reconciler reconciler = new Reconciler(tables, policy);
    Set<String> places = new HashSet<>(tables.plan().keySet());
    places.addAll(tables.agreed().keySet());
    places.addAll(tables.control().pockets().keySet());
    return places.stream().sorted(PlaceOrder.BY_NUMBER).map(reconciler::place).toList();
  }

  private PlaceReport place(String place) {
    TableEntry plan = tables.plan().getOrDefault(place, TableEntry.EMPTY);
    TableEntry agreed = tables.agreed().getOrDefault(place, TableEntry.EMPTY);
    TableEntry control = tables.control().at(place);
    boolean inSpindle = inSpindle(plan, control);
    if (inSpindle) {
      control = tables.control().spindle().orElseThrow();
    }
    List<FieldReport> fields = differences(place, plan, agreed, control);
    boolean known =
        control.empty() || fields.isEmpty() || tables.knownCodes().contains(key(control));
    if (fields.isEmpty()) {
      return new PlaceReport(
          place,
          PlaceReport.State.IN_STEP,
          plan,
          agreed,
          control,
          inSpindle,
          fields,
          Decision.LEAVE,
          "plan and control are the same",
          known);
    }
    Decision suggested = known ? row(fields) : Decision.LEAVE;
    String reason =
        known
            ? reason(fields, suggested)
            : "no library of the shop has %s: find out what is in the pocket"
                .formatted(control.get(TableField.TOOL));
    PlaceReport.State state = known ? PlaceReport.State.DIFFERS : PlaceReport.State.UNKNOWN_TOOL;
    return new PlaceReport(
        place, state, plan, agreed, control, inSpindle, fields, suggested, reason, known);
  }

  /** A planned tool whose pocket is empty because the spindle holds it is where it belongs. */
  private boolean inSpindle(TableEntry plan, TableEntry control) {
    return control.empty()
        && !plan.empty()
        && tables.control().spindle().filter(entry -> key(entry).equals(key(plan))).isPresent();
  }

  private List<FieldReport> differences(
      String place, TableEntry plan, TableEntry agreed, TableEntry control) {
    if (plan.empty() && control.empty()) {
      return List.of();
    }
    if (!policy.same(TableField.TOOL, plan.get(TableField.TOOL), control.get(TableField.TOOL))) {
      return List.of(otherTool(plan, agreed, control));
    }
    List<FieldReport> fields = new ArrayList<>(2);
    for (TableField field : TableField.values()) {
      String planned = plan.get(field);
      String told = control.get(field);
      boolean ours = field.owner() != Owner.CONTROL || planned != null;
      if (ours && !policy.same(field, planned, told)) {
        fields.add(value(place, field, planned, agreed.get(field), told));
      }
    }
    return fields;
  }

  private FieldReport otherTool(TableEntry plan, TableEntry agreed, TableEntry control) {
    String planned = plan.get(TableField.TOOL);
    String before = agreed.get(TableField.TOOL);
    String told = control.get(TableField.TOOL);
    boolean planMoved = !policy.same(TableField.TOOL, planned, before);
    boolean controlMoved = !policy.same(TableField.TOOL, told, before);
    String elsewhere = planned == null ? null : controlPlaceOf(plan);
    if (policy.randomPockets() && elsewhere != null && !planMoved) {
      return report(
          planned,
          before,
          told,
          Decision.TAKE,
          "the control chooses pockets itself and put %s into pocket %s"
              .formatted(planned, elsewhere));
    }
    if (planned != null && told == null) {
      return controlMoved && before != null
          ? report(
              planned,
              before,
              told,
              Decision.LEAVE,
              "%s was taken out at the machine; the plan still wants it here".formatted(planned))
          : report(
              planned,
              before,
              told,
              Decision.SEND,
              "%s is planned here and the control's pocket is empty".formatted(planned));
    }
    if (planned == null) {
      return before != null && !controlMoved
          ? report(
              planned, before, told, Decision.SEND, "%s was taken out of the plan".formatted(told))
          : report(
              planned,
              before,
              told,
              Decision.TAKE,
              "%s was put in at the machine; the plan has nothing here".formatted(told));
    }
    if (planMoved && !controlMoved) {
      return report(
          planned,
          before,
          told,
          Decision.SEND,
          "the plan changed from %s to %s".formatted(before, planned));
    }
    if (controlMoved && !planMoved) {
      return report(
          planned,
          before,
          told,
          Decision.TAKE,
          "the machine changed from %s to %s".formatted(before, told));
    }
    return report(
        planned,
        before,
        told,
        Decision.LEAVE,
        "plan says %s, control says %s, and nothing was agreed: look into the pocket"
            .formatted(planned, told));
  }

  private static FieldReport report(
      String plan, String agreed, String control, Decision decision, String reason) {
    return new FieldReport(TableField.TOOL, plan, agreed, control, decision, reason);
  }

  private FieldReport value(
      String place, TableField field, String plan, String agreed, String control) {
    TableEntry nominal = tables.nominal().getOrDefault(place, TableEntry.EMPTY);
    String title = field.title();
    boolean planMoved = !policy.same(field, plan, agreed);
    boolean controlMoved = !policy.same(field, control, agreed);
    Verdict owned =
        switch (field.owner()) {
          case LIBRARY -> new Verdict(Decision.SEND, title + " belongs to the library");
          case CONTROL -> new Verdict(Decision.TAKE, title + " belongs to the control");
          case MEASUREMENT -> measured(title, plan, agreed, control, planMoved, controlMoved);
        };
    String travelling = owned.decision() == Decision.TAKE ? control : plan;
    Verdict verdict =
        policy.questionable(field, travelling, nominal.get(field))
            ? new Verdict(
                Decision.LEAVE,
                "%s %s is far from nominal %s: measure again"
                    .formatted(title, travelling, nominal.get(field)))
            : owned;
    return new FieldReport(field, plan, agreed, control, verdict.decision(), verdict.reason());
  }

  private record Verdict(Decision decision, String reason) {}

  private static Verdict measured(
      String title,
      String plan,
      String agreed,
      String control,
      boolean planMoved,
      boolean controlMoved) {
    if (plan == null) {
      return new Verdict(Decision.TAKE, "%s was set at the machine".formatted(title));
    }
    if (control == null) {
      return new Verdict(Decision.SEND, "%s is not set at the machine".formatted(title));
    }
    if (agreed == null) {
      return new Verdict(
          Decision.TAKE, "%s was set at the machine; nothing was agreed before".formatted(title));
    }
    if (planMoved && controlMoved) {
      return new Verdict(
          Decision.LEAVE, "%s was changed on both sides: measure again".formatted(title));
    }
    return planMoved
        ? new Verdict(Decision.SEND, "%s was measured since the last agreement".formatted(title))
        : new Verdict(Decision.TAKE, "%s was set at the machine since then".formatted(title));
  }

  private static Decision row(List<FieldReport> fields) {
    Decision first = fields.getFirst().suggested();
    boolean mixed = false;
    for (FieldReport field : fields) {
      if (field.suggested() == Decision.LEAVE) {
        return Decision.LEAVE;
      }
      mixed |= field.suggested() != first;
    }
    return mixed ? Decision.OWNER : first;
  }

  private static String reason(List<FieldReport> fields, Decision suggested) {
    return fields.stream()
        .filter(each -> suggested == Decision.OWNER || each.suggested() == suggested)
        .map(FieldReport::reason)
        .distinct()
        .reduce((one, other) -> one + "; " + other)
        .orElseThrow();
  }

  private String controlPlaceOf(TableEntry tool) {
    if (controlPlaces == null) {
      controlPlaces = new HashMap<>();
      tables
          .control()
          .pockets()
          .forEach((place, entry) -> {
            if (!entry.empty()) {
              controlPlaces.put(key(entry), place);
            }
          });
    }
    return controlPlaces.get(key(tool));
  }

  private static String key(TableEntry entry) {
    return entry.get(TableField.TOOL).toUpperCase(Locale.ROOT);
  }
}
