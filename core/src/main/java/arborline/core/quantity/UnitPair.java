package arborline.core.quantity;

import java.math.BigDecimal;
import java.util.List;

/**
 * A metric unit and the one that stands in its place where somebody looks in inches.
 *
 * @param decimals more decimals that the inch unit needs to say as much
 */
public record UnitPair(Unit metric, Unit inch, int decimals) {

  private static final List<UnitPair> ALL =
      List.of(
          new UnitPair(Unit.MILLIMETRE, Unit.INCH, 2),
          new UnitPair(Unit.MICROMETRE, Unit.THOU, 2),
          new UnitPair(Unit.METRE_PER_MINUTE, Unit.FOOT_PER_MINUTE, 0),
          new UnitPair(Unit.MILLIMETRE_PER_MINUTE, Unit.INCH_PER_MINUTE, 1),
          new UnitPair(Unit.CUBIC_CENTIMETRE_PER_MINUTE, Unit.CUBIC_INCH_PER_MINUTE, 1),
          new UnitPair(Unit.KILOGRAM, Unit.POUND, 0),
          new UnitPair(Unit.NEWTON_METRE, Unit.POUND_FORCE_FOOT, 0),
          new UnitPair(Unit.KILOWATT, Unit.HORSEPOWER, 0));

  /** All pairs; a unit that is in none looks the same in both views. */
  public static List<UnitPair> all() {
    return ALL;
  }

  /** How many of the metric unit make one of the inch unit. */
  public BigDecimal factor() {
    return Conversion.convert(BigDecimal.ONE, inch, metric).amount();
  }
}
