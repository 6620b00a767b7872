package arborline.core.table;

import arborline.core.machine.Machine;
import arborline.core.quantity.Conversion;
import arborline.core.quantity.Unit;
import arborline.core.table.ControlField.Shown;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * How a control states what it keeps: its unit, its fields and what their registers hold.
 * Everything is compared in these terms, rounded half up, so that no difference is seen which the
 * control could not show.
 */
public final class ControlTerms {

  private static final int USUAL_DECIMALS = 3;

  /** What most controls call a place; sentences are written with it. */
  private static final String POCKET = "pocket";

  private final Unit unit;
  private final List<TableField> fields;
  private final List<TableField> sizes;
  private final List<TableField> statements;
  private final Map<TableField, ControlField> kept = new HashMap<>();
  private final boolean identityShown;
  private final boolean randomPlaces;
  private final boolean plain;
  private final String placeWord;

  /**
   * Terms of a control.
   *
   * @param unit of its lengths
   * @param declared the fields that it keeps
   * @param identityShown true where it shows tools, false where number, pocket and offset are one
   * @param randomPlaces true where it decides which pocket a tool returns to
   */
  public ControlTerms(
      Unit unit, List<ControlField> declared, boolean identityShown, boolean randomPlaces) {
    this(unit, declared, identityShown, randomPlaces, POCKET);
  }

  private ControlTerms(
      Unit unit,
      List<ControlField> declared,
      boolean identityShown,
      boolean randomPlaces,
      String placeWord) {
    this.placeWord = placeWord;
    this.unit = unit;
    this.identityShown = identityShown;
    this.randomPlaces = randomPlaces;
    declared.forEach(field -> kept.put(field.field(), field));
    this.fields = declared.stream().map(ControlField::field).sorted().toList();
    this.sizes = fields.stream().filter(TableField::measured).toList();
    this.statements = fields.stream().filter(TableField::stated).toList();
    this.plain = fields.stream().allMatch(this::plainly);
  }

  /** The terms of a machine's control. */
  public static ControlTerms of(Machine machine, ControlDialect dialect) {
    return new ControlTerms(
        machine.habits().lengths(),
        dialect.fields(machine),
        shown(machine, dialect),
        machine.random(),
        machine.placeWord());
  }

  /** It shows a tool by its code, or by a number that is not that of the place. */
  private static boolean shown(Machine machine, ControlDialect dialect) {
    return !machine.numbering().numberIsPlace()
        || dialect.fields(machine).stream().anyMatch(kept -> kept.field().equals(TableField.TOOL));
  }

  /** What people call a place of the machine. */
  public String placeWord() {
    return placeWord;
  }

  /**
   * A sentence in the words of this machine.
   *
   * @param pattern that speaks of pockets, with nothing filled in yet
   */
  String worded(String pattern) {
    return pattern.replace(POCKET, placeWord);
  }

  /** The fields that the control keeps, in their order. */
  public List<TableField> fields() {
    return fields;
  }

  /** Those of them that are measured. */
  public List<TableField> sizes() {
    return sizes;
  }

  /** Those that the library states of the tool itself, its numbers and name apart. */
  List<TableField> statements() {
    return statements;
  }

  /** How it keeps a field; empty where it does not. */
  public Optional<ControlField> declared(TableField field) {
    return Optional.ofNullable(kept.get(field));
  }

  public Unit unit() {
    return unit;
  }

  /** True where it shows which tool is in a place. */
  public boolean identityShown() {
    return identityShown;
  }

  /** True where it tells tools apart by their numbers, and shows no codes. */
  public boolean onlyNumbersShown() {
    return identityShown && !kept.containsKey(TableField.TOOL);
  }

  /** True where it decides which pocket a tool returns to. */
  public boolean randomPlaces() {
    return randomPlaces;
  }

  int decimals(TableField field) {
    ControlField declared = kept.get(field);
    return declared == null ? USUAL_DECIMALS : declared.decimals();
  }

  /** A size in mm and diameters as the control would show it; null stays null. */
  public String shown(TableField field, String millimetres) {
    if (millimetres == null || field.form() != TableField.Form.SIZE) {
      return millimetres;
    }
    return shownNumber(field, millimetres).toPlainString();
  }

  private BigDecimal shownNumber(TableField field, String millimetres) {
    return inUnit(factored(field, new BigDecimal(millimetres)))
        .setScale(decimals(field), RoundingMode.HALF_UP);
  }

  private BigDecimal inUnit(BigDecimal millimetres) {
    return unit == Unit.MILLIMETRE
        ? millimetres
        : Conversion.convert(millimetres, Unit.MILLIMETRE, unit).amount();
  }

  /** A size that the control shows, in mm and diameters; null stays null. */
  public String plain(TableField field, String shown) {
    if (shown == null || field.form() != TableField.Form.SIZE) {
      return shown;
    }
    BigDecimal millimetres =
        Conversion.convert(new BigDecimal(shown), unit, Unit.MILLIMETRE).amount();
    BigDecimal plain =
        halved(field)
            ? millimetres.multiply(BigDecimal.TWO)
            : doubled(field) ? half(millimetres) : millimetres;
    return plain.stripTrailingZeros().scale() < 0
        ? plain.setScale(0, RoundingMode.UNNECESSARY).toPlainString()
        : plain.toPlainString();
  }

  /** Equal as far as the control can tell: a planned text against what it shows. */
  public boolean same(TableField field, String plan, String control) {
    if (plan == null || control == null) {
      return plan == control || zeroWear(field, plan) && zeroWear(field, control);
    }
    return switch (field.form()) {
      case WORD -> alikeWords(plan, control);
      case COUNT -> alikeCounts(plan, control);
      case SIZE -> plainly(field) && plan.equals(control) || shownSame(field, plan, control);
      case WEAR, AMOUNT -> alikeShown(field, plan, control);
    };
  }

  /** True where everything that is planned is what the control shows, but for decimals. */
  boolean plain() {
    return plain;
  }

  /** True where a value of a plan is what the control shows, but for its decimals. */
  public boolean plainly(TableField field) {
    return field.form() != TableField.Form.SIZE
        || unit == Unit.MILLIMETRE && !halved(field) && !doubled(field);
  }

  private boolean shownSame(TableField field, String plan, String control) {
    return shownNumber(field, plan).compareTo(rounded(field, control)) == 0;
  }

  /** Equal for the control: two texts in mm and diameters. */
  boolean alike(TableField field, String one, String other) {
    return field.form() == TableField.Form.SIZE
        ? same(field, one, shown(field, other))
        : same(field, one, other);
  }

  /** Equal for the control: two texts as it shows them. */
  boolean shownAlike(TableField field, String one, String other) {
    if (one == null || other == null) {
      return one == other || zeroWear(field, one) && zeroWear(field, other);
    }
    return switch (field.form()) {
      case WORD -> alikeWords(one, other);
      case COUNT -> alikeCounts(one, other);
      case SIZE, WEAR, AMOUNT -> alikeShown(field, one, other);
    };
  }

  private static boolean alikeWords(String one, String other) {
    return one.equals(other) || one.toUpperCase(Locale.ROOT).equals(other.toUpperCase(Locale.ROOT));
  }

  private static boolean alikeCounts(String one, String other) {
    return one.equals(other) || new BigDecimal(one).compareTo(new BigDecimal(other)) == 0;
  }

  private boolean alikeShown(TableField field, String one, String other) {
    return one.equals(other) || rounded(field, one).compareTo(rounded(field, other)) == 0;
  }

  /** True where the plan knows just what the control shows, not more. */
  boolean exact(TableField field, String plan, String control) {
    return field.form() != TableField.Form.SIZE
        || plan == null
        || control == null
        || plainly(field) && plan.equals(control)
        || inUnit(factored(field, new BigDecimal(plan))).compareTo(new BigDecimal(control)) == 0;
  }

  /** What the control keeps of a field: a radius where the field is a diameter. */
  public String title(TableField field) {
    return halved(field)
        ? field.title().replace("diameter", "radius")
        : doubled(field) ? field.title() + " as a diameter" : field.title();
  }

  /** The largest size of a field that the machine takes. */
  Optional<BigDecimal> most(TableField field) {
    return declared(field).flatMap(ControlField::most);
  }

  /** True where the control shows half of the plain size. */
  public boolean halved(TableField field) {
    return shown(field) == Shown.HALF;
  }

  /** True where the control shows twice the plain size. */
  public boolean doubled(TableField field) {
    return shown(field) == Shown.TWICE;
  }

  private Shown shown(TableField field) {
    ControlField declared = kept.get(field);
    return declared == null ? Shown.AS_IS : declared.shown();
  }

  private BigDecimal factored(TableField field, BigDecimal plain) {
    if (halved(field)) {
      return half(plain);
    }
    return doubled(field) ? plain.multiply(BigDecimal.TWO) : plain;
  }

  private static BigDecimal half(BigDecimal size) {
    return size.multiply(new BigDecimal("0.5"));
  }

  private BigDecimal rounded(TableField field, String text) {
    return new BigDecimal(text).setScale(decimals(field), RoundingMode.HALF_UP);
  }

  /** A wear that is not set is a wear of zero. */
  private static boolean zeroWear(TableField field, String text) {
    return field.form() == TableField.Form.WEAR
        && (text == null || new BigDecimal(text).signum() == 0);
  }
}
