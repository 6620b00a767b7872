package arborline.core.table;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Judges what a tool measures and what numbers it has, field by field: whose change it is, and
 * whether it can be right. Every value is compared with what the tool should measure before it goes
 * or comes.
 */
final class ValueJudge {

  private static final List<TableField> IDENTITY =
      List.of(TableField.NUMBER, TableField.OFFSET, TableField.NAME);

  private final ToolTables tables;
  private final ControlTerms terms;
  private final TableIndex index;

  ValueJudge(ToolTables tables, ControlTerms terms, TableIndex index) {
    this.tables = tables;
    this.terms = terms;
    this.index = index;
  }

  /** All three say just the same, in terms in which the same text is the same value. */
  boolean unchanged(TableEntry plan, TableEntry agreed, TableEntry control) {
    return terms.plain() && plan.equals(control) && agreed.equals(plan);
  }

  /** Plan and control say the same, wear apart. */
  boolean equal(TableEntry plan, TableEntry control) {
    boolean tool =
        !control.named() && !plan.empty() && !control.empty() && unseen()
            || plan.identity().equals(control.identity());
    return tool
        && terms.same(
            TableField.NUMBER, plan.get(TableField.NUMBER), control.get(TableField.NUMBER))
        && shows(TableField.OFFSET, plan, control)
        && shows(TableField.NAME, plan, control)
        && statements(plan, control)
        && sizes(plan, control);
  }

  private boolean unseen() {
    return !terms.identityShown();
  }

  /** Where the control keeps a field, it shows what the plan says, if that says anything. */
  private boolean shows(TableField field, TableEntry plan, TableEntry control) {
    String planned = plan.get(field);
    return planned == null
        || terms.declared(field).isEmpty()
        || terms.same(field, planned, control.get(field));
  }

  /** What the plan says of the tool itself is what the control shows. */
  private boolean statements(TableEntry plan, TableEntry control) {
    for (TableField field : terms.statements()) {
      String planned = plan.get(field);
      if (planned != null && !terms.same(field, planned, control.get(field))) {
        return false;
      }
    }
    return true;
  }

  /** Every size of one side is what the control shows. */
  boolean sizes(TableEntry plain, TableEntry control) {
    for (TableField field : terms.sizes()) {
      if (!terms.same(field, plain.get(field), control.get(field))) {
        return false;
      }
    }
    return true;
  }

  /** Plan and agreed state are the same for the control. */
  boolean alike(TableEntry plan, TableEntry agreed) {
    return plan.identity().equals(agreed.identity())
        && IDENTITY.stream()
            .allMatch(field -> terms.same(field, plan.get(field), agreed.get(field)))
        && terms.sizes().stream()
            .allMatch(field -> terms.alike(field, plan.get(field), agreed.get(field)));
  }

  boolean onlyControlHasSizes(TableEntry plan, TableEntry control) {
    boolean noneHere = terms.sizes().stream().noneMatch(field -> plan.get(field) != null);
    return noneHere
        && terms.same(
            TableField.NUMBER, plan.get(TableField.NUMBER), control.get(TableField.NUMBER));
  }

  /** What is odd about the control's values of a planned tool. */
  Optional<Verdict> question(TableEntry plan, TableEntry control) {
    for (TableField field : terms.sizes()) {
      String told = control.get(field);
      if (told != null && !terms.same(field, plan.get(field), told)) {
        Optional<Verdict> odd = oddAtControl(field, told, tables.nominal(plan));
        if (odd.isPresent()) {
          return odd;
        }
      }
    }
    return Optional.empty();
  }

  /** What stands against sending a tool with the values that the plan has. */
  Optional<Verdict> before(String place, TableEntry plan) {
    Nominal nominal = tables.nominal(plan);
    List<TableField> needed =
        terms.sizes().stream()
            .filter(field -> field.edge() == 1 || plan.get(field) != null)
            .toList();
    for (TableField field : needed) {
      if (plan.get(field) == null && !nominal.unneeded().contains(field)) {
        return Optional.of(
            Verdict.of(
                Why.NOT_MEASURED,
                "%s of %s is not measured: the row waits for it",
                field.title(),
                plan.get(TableField.TOOL)));
      }
    }
    for (TableField field : needed) {
      Optional<Verdict> odd = oddInPlan(field, plan.get(field), nominal);
      if (odd.isPresent()) {
        return odd;
      }
    }
    return numberTaken(place, plan);
  }

  private Optional<Verdict> numberTaken(String place, TableEntry plan) {
    return index
        .numberElsewhere(place, plan)
        .map(other ->
            Verdict.of(
                Why.NUMBER_TAKEN,
                terms.worded("number %s is the number of pocket %s at the control"),
                plan.get(TableField.NUMBER),
                other));
  }

  private Optional<Verdict> oddInPlan(TableField field, String planned, Nominal nominal) {
    if (planned == null) {
      return Optional.empty();
    }
    BigDecimal size = new BigDecimal(planned);
    if (size.signum() == 0 && !nominal.zero(field)) {
      return Optional.of(Verdict.of(Why.ZERO, "%s is zero: is that meant?", field.title()));
    }
    if (!nominal.plausible(field, size)) {
      return Optional.of(far(field, size, nominal));
    }
    return terms
        .most(field)
        .filter(most -> size.compareTo(most) > 0)
        .map(most ->
            Verdict.of(
                Why.BEYOND_MACHINE,
                "%s %s is more than the machine takes (%s)",
                field.title(),
                planned,
                most.toPlainString()));
  }

  private Optional<Verdict> oddAtControl(TableField field, String told, Nominal nominal) {
    BigDecimal shown = new BigDecimal(told);
    if (shown.signum() == 0) {
      return nominal.zero(field)
          ? Optional.empty()
          : Optional.of(
              Verdict.of(Why.ZERO, "%s at the control is zero: was it forgotten?", field.title()));
    }
    BigDecimal plain = new BigDecimal(terms.plain(field, told));
    if (nominal.plausible(field, plain)) {
      return Optional.empty();
    }
    if (terms.halved(field) && nominal.plausible(field, half(plain))) {
      return Optional.of(
          Verdict.of(
              Why.DIAMETER_IN_RADIUS_REGISTER,
              "the control keeps radii, but %s would be right as a diameter",
              told));
    }
    if (terms.doubled(field) && nominal.plausible(field, plain.multiply(BigDecimal.TWO))) {
      return Optional.of(
          Verdict.of(
              Why.RADIUS_IN_DIAMETER_REGISTER,
              "the control keeps X as a diameter, but %s would be right as a radius",
              told));
    }
    return Optional.of(far(field, plain, nominal));
  }

  private static BigDecimal half(BigDecimal size) {
    return size.multiply(new BigDecimal("0.5"));
  }

  private static Verdict far(TableField field, BigDecimal size, Nominal nominal) {
    return new Verdict(Why.FAR_FROM_NOMINAL, nominal.question(field, size).orElseThrow());
  }

  /** The fields that differ for a tool that is where plan, agreed state and control have it. */
  List<FieldReport> fields(String place, TableEntry plan, TableEntry agreed, TableEntry control) {
    List<FieldReport> reports = new ArrayList<>(2);
    for (TableField field : terms.fields()) {
      verdict(place, field, plan, agreed, control)
          .ifPresent(verdict ->
              reports.add(
                  new FieldReport(
                      field,
                      plan.get(field),
                      agreed.get(field),
                      control.get(field),
                      verdict.why(),
                      verdict.reason())));
    }
    return reports;
  }

  private Optional<Verdict> verdict(
      String place, TableField field, TableEntry plan, TableEntry agreed, TableEntry control) {
    String planned = plan.get(field);
    String told = control.get(field);
    if (field == TableField.TOOL || field == TableField.SISTER) {
      return Optional.empty();
    }
    if (field == TableField.NUMBER || field == TableField.OFFSET) {
      return number(place, field, plan, agreed.get(field), told);
    }
    if (field == TableField.NAME) {
      return planned == null || terms.same(field, planned, told)
          ? Optional.empty()
          : Optional.of(Verdict.of(Why.RENAMED_IN_PLAN, "the name belongs to the library"));
    }
    return switch (field.owner()) {
      case LIBRARY -> statement(field, planned, agreed.get(field), told);
      case MEASUREMENT ->
          terms.same(field, planned, told)
              ? Optional.empty()
              : Optional.of(size(field, plan, agreed.get(field), control));
      case CONTROL ->
          agreed.empty() || terms.same(field, agreed.get(field), told)
              ? Optional.empty()
              : Optional.of(
                  Verdict.of(Why.WEAR_OF_CONTROL, "%s belongs to the control", field.title()));
    };
  }

  private Optional<Verdict> number(
      String place, TableField field, TableEntry plan, String agreed, String told) {
    String planned = plan.get(field);
    if (planned == null && field == TableField.OFFSET || terms.same(field, planned, told)) {
      return Optional.empty();
    }
    boolean planMoved = !terms.same(field, planned, agreed);
    boolean controlMoved = !terms.same(field, agreed, told);
    if (planMoved && controlMoved) {
      return Optional.of(bothChanged(field, planned, agreed, told));
    }
    if (controlMoved) {
      return Optional.of(
          Verdict.of(
              Why.RENUMBERED_AT_CONTROL,
              "%s was %s and is %s at the control",
              field.title(),
              agreed,
              told));
    }
    return numberTaken(place, plan)
        .or(() ->
            Optional.of(
                Verdict.of(
                    Why.RENUMBERED_IN_PLAN,
                    "%s changed from %s to %s: offsets and wear go with it",
                    field.title(),
                    agreed,
                    planned)));
  }

  /** What the library says of a tool, such as its tip orientation; what it leaves open may be. */
  private Optional<Verdict> statement(
      TableField field, String planned, String agreed, String told) {
    if (planned == null || terms.same(field, planned, told)) {
      return Optional.empty();
    }
    if (terms.same(field, agreed, told)) {
      return Optional.of(
          Verdict.of(
              Why.PLANNED_CHANGE,
              "%s changed from %s to %s",
              field.title(),
              orUnset(agreed),
              planned));
    }
    if (field.equals(TableField.SET)) {
      return Optional.of(
          Verdict.of(
              Why.NOT_SET,
              "the control has forgotten that this tool is set: touch it off, or send its sizes"
                  + " again where nobody changed it"));
    }
    if (field.equals(TableField.ORIENTATION)) {
      return Optional.of(
          Verdict.of(
              Why.ORIENTATION_CHANGED_AT_CONTROL,
              "tip orientation was %s and is %s at the control: look how the tool stands",
              agreed,
              told));
    }
    return Optional.of(
        terms.alike(field, planned, agreed)
            ? Verdict.of(
                Why.CHANGED_AT_CONTROL,
                "%s was %s and is %s at the control",
                field.title(),
                orUnset(agreed),
                orUnset(told))
            : bothChanged(field, planned, agreed, told));
  }

  private Verdict size(TableField field, TableEntry plan, String agreed, TableEntry control) {
    String planned = plan.get(field);
    String told = control.get(field);
    Nominal nominal = tables.nominal(plan);
    boolean planMoved = !terms.alike(field, planned, agreed);
    boolean controlMoved = !terms.same(field, agreed, told);
    if (planMoved && controlMoved) {
      return bothChanged(field, planned, agreed, told);
    }
    if (controlMoved) {
      return told == null
          ? Verdict.of(
              Why.GONE_FROM_CONTROL,
              "%s is no longer set at the control: set it again or measure",
              field.title())
          : oddAtControl(field, told, nominal)
              .orElseGet(() ->
                  new Verdict(Why.MEASURED_AT_CONTROL, field.title() + " was set at the machine"));
    }
    if (planned == null) {
      return Verdict.of(Why.NOT_MEASURED, "the plan has no %s any more: measure it", field.title());
    }
    return oddInPlan(field, planned, nominal)
        .or(() -> oldWear(field, control))
        .orElseGet(() ->
            new Verdict(Why.MEASURED, field.title() + " was measured since the last agreement"));
  }

  private static Verdict bothChanged(TableField field, String planned, String agreed, String told) {
    return Verdict.of(
        Why.BOTH_CHANGED,
        "%s was %s; the plan says %s now and the control %s",
        field.title(),
        orUnset(agreed),
        orUnset(planned),
        orUnset(told));
  }

  private static String orUnset(String text) {
    return text == null ? "not set" : text;
  }

  private static Optional<Verdict> oldWear(TableField field, TableEntry control) {
    return field
        .wear()
        .map(control::number)
        .filter(wear -> wear.signum() != 0)
        .map(wear ->
            Verdict.of(
                Why.OLD_WEAR_WITH_NEW_LENGTH,
                "a new %s, while the control still adds wear of %s to it: it would count twice;"
                    + " send it with the wear at zero",
                field.title(),
                wear.toPlainString()));
  }
}
