package arborline.core.table;

import arborline.core.machine.Machine;
import arborline.core.quantity.Conversion;
import arborline.core.quantity.Unit;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Collections;
import java.util.EnumMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * How a control states what it keeps: its unit, what its registers hold, how many decimals it
 * shows. Everything is compared in these terms, rounded half up, so that no difference is seen
 * which the control could not show.
 *
 * @param decimals decimals of a size; a field that is not named has three
 * @param identityShown true where it shows tools, false where number, pocket and offset are one
 * @param wear true where it keeps wear apart from geometry
 * @param randomPlaces true where it decides which pocket a tool returns to
 * @param most largest size it can take, by field, mm; what is not named has no limit
 */
public record ControlTerms(
    Unit unit,
    Register register,
    Map<TableField, Integer> decimals,
    boolean identityShown,
    boolean wear,
    boolean randomPlaces,
    Map<TableField, BigDecimal> most) {

  private static final int USUAL_DECIMALS = 3;

  public ControlTerms {
    EnumMap<TableField, Integer> stated = new EnumMap<>(TableField.class);
    stated.putAll(decimals);
    decimals = Collections.unmodifiableMap(stated);
  }

  /** What the registers of a control hold. */
  public enum Register {
    /** Length and diameter. */
    DIAMETER,
    /** Length and radius. */
    RADIUS,
    /** X as a diameter, Z, nose radius and tip orientation. */
    X_DIAMETER
  }

  /** The terms of a machine's control. */
  public static ControlTerms of(Machine machine) {
    int decimals = machine.habits().decimals();
    return new ControlTerms(
        Unit.MILLIMETRE,
        machine.habits().diameterShown() ? Register.DIAMETER : Register.RADIUS,
        Map.of(TableField.LENGTH, decimals, TableField.DIAMETER, decimals),
        !machine.numbering().numberIsPlace(),
        machine.habits().wearApart(),
        machine.random(),
        most(machine));
  }

  private static Map<TableField, BigDecimal> most(Machine machine) {
    Map<TableField, BigDecimal> most = new EnumMap<>(TableField.class);
    machine.longest().ifPresent(length -> most.put(TableField.LENGTH, length));
    machine.widest().ifPresent(diameter -> most.put(TableField.DIAMETER, diameter));
    return most;
  }

  int decimals(TableField field) {
    return decimals.getOrDefault(field, USUAL_DECIMALS);
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
      case WEAR -> alikeShown(field, plan, control);
    };
  }

  /** True where everything that is planned is what the control shows, but for decimals. */
  boolean plain() {
    return unit == Unit.MILLIMETRE && register == Register.DIAMETER;
  }

  /** True where a size in mm is what the control shows, but for its decimals. */
  private boolean plainly(TableField field) {
    return unit == Unit.MILLIMETRE && !halved(field) && !doubled(field);
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
      case SIZE, WEAR -> alikeShown(field, one, other);
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

  /** The largest size of a field that the machine takes. */
  Optional<BigDecimal> most(TableField field) {
    return Optional.ofNullable(most.get(field));
  }

  /** True where the control shows half of the plain size. */
  boolean halved(TableField field) {
    return register == Register.RADIUS && field == TableField.DIAMETER;
  }

  /** True where the control shows twice the plain size. */
  boolean doubled(TableField field) {
    return register == Register.X_DIAMETER && field == TableField.X;
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
