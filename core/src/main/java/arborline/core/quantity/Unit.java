package arborline.core.quantity;

import java.math.BigDecimal;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * A unit with its exact factor to the base unit of its kind.
 *
 * <p>Factors are fractions of exact decimals (1 in = 25.4 mm, 1 lb = 0.45359237 kg, standard
 * gravity 9.80665 m/s2), so that a conversion is exact whenever the result has a finite decimal
 * form.
 */
public enum Unit {
  MILLIMETRE("mm", UnitKind.LENGTH, "1", "1", "millimetre", "millimeter"),
  INCH("in", UnitKind.LENGTH, "25.4", "1", "inch", "\"", "''", "\u2033", "\u201d"),
  METRE("m", UnitKind.LENGTH, "1000", "1", "metre", "meter"),
  CENTIMETRE("cm", UnitKind.LENGTH, "10", "1", "centimetre", "centimeter"),
  FOOT("ft", UnitKind.LENGTH, "304.8", "1", "foot", "feet"),
  THOU("thou", UnitKind.LENGTH, "0.0254", "1", "mil"),
  MICROMETRE("um", UnitKind.LENGTH, "0.001", "1", "\u00b5m", "\u03bcm"),
  MICROINCH("uin", UnitKind.LENGTH, "0.0000254", "1", "\u00b5in", "\u03bcin"),
  /** Threads per inch: the reciprocal of a pitch. */
  THREADS_PER_INCH("tpi", UnitKind.THREADS, "25.4", "1", "1/in"),
  DEGREE("deg", UnitKind.ANGLE, "1", "1", "\u00b0"),
  ONE("1", UnitKind.COUNT, "1", "1", "-"),
  METRE_PER_MINUTE("m/min", UnitKind.SURFACE_SPEED, "1", "1"),
  METRE_PER_SECOND("m/s", UnitKind.SURFACE_SPEED, "60", "1"),
  FOOT_PER_MINUTE("ft/min", UnitKind.SURFACE_SPEED, "0.3048", "1", "sfm"),
  MILLIMETRE_PER_MINUTE("mm/min", UnitKind.FEED_RATE, "1", "1"),
  INCH_PER_MINUTE("in/min", UnitKind.FEED_RATE, "25.4", "1", "ipm"),
  MILLIMETRE_PER_REVOLUTION("mm/rev", UnitKind.FEED_PER_REVOLUTION, "1", "1"),
  INCH_PER_REVOLUTION("in/rev", UnitKind.FEED_PER_REVOLUTION, "25.4", "1", "ipr"),
  REVOLUTION_PER_MINUTE("1/min", UnitKind.ROTATION, "1", "1", "rpm"),
  KILOGRAM("kg", UnitKind.MASS, "1", "1"),
  GRAM("g", UnitKind.MASS, "0.001", "1"),
  POUND("lb", UnitKind.MASS, "0.45359237", "1"),
  NEWTON_METRE("N.m", UnitKind.TORQUE, "1", "1", "Nm", "N\u00b7m"),
  POUND_FORCE_FOOT("lbf.ft", UnitKind.TORQUE, "1.3558179483314004", "1", "ft.lbf"),
  KILOWATT("kW", UnitKind.POWER, "1", "1"),
  HORSEPOWER("hp", UnitKind.POWER, "0.74569987158227022", "1"),
  BAR("bar", UnitKind.PRESSURE, "1", "1"),
  /** Pound-force per square inch: 0.45359237 * 9.80665 / 0.0254^2 Pa. */
  PSI("psi", UnitKind.PRESSURE, "0.0000444822161526050", "0.00064516"),
  CUBIC_CENTIMETRE_PER_MINUTE("cm3/min", UnitKind.REMOVAL_RATE, "1", "1"),
  CUBIC_INCH_PER_MINUTE("in3/min", UnitKind.REMOVAL_RATE, "16.387064", "1"),
  MINUTE("min", UnitKind.TIME, "1", "1");

  private static final Map<String, Unit> BY_NAME = byName();

  private final String code;
  private final UnitKind kind;
  private final BigDecimal numerator;
  private final BigDecimal denominator;
  private final List<String> aliases;

  Unit(String code, UnitKind kind, String numerator, String denominator, String... aliases) {
    this.code = code;
    this.kind = kind;
    this.numerator = new BigDecimal(numerator);
    this.denominator = new BigDecimal(denominator);
    this.aliases = List.of(aliases);
  }

  /** The text written in column heads and files: {@code mm}, {@code in}, {@code deg}. */
  public String code() {
    return code;
  }

  public UnitKind kind() {
    return kind;
  }

  BigDecimal numerator() {
    return numerator;
  }

  BigDecimal denominator() {
    return denominator;
  }

  boolean reciprocal() {
    return this == THREADS_PER_INCH;
  }

  /** True where amounts in this unit can be stated in the other: one kind, or pitch and threads. */
  public boolean convertsTo(Unit other) {
    return kind == other.kind
        || reciprocal() && other.kind == UnitKind.LENGTH
        || other.reciprocal() && kind == UnitKind.LENGTH;
  }

  /** Finds a unit by its code or one of its usual spellings, in any letter case. */
  public static Optional<Unit> named(String text) {
    return Optional.ofNullable(BY_NAME.get(text.strip().toLowerCase(Locale.ROOT)));
  }

  private static Map<String, Unit> byName() {
    Map<String, Unit> names = new HashMap<>();
    for (Unit unit : values()) {
      names.put(unit.code.toLowerCase(Locale.ROOT), unit);
      unit.aliases.forEach(alias -> names.put(alias.toLowerCase(Locale.ROOT), unit));
    }
    return Map.copyOf(names);
  }
}
