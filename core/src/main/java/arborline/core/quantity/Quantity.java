package arborline.core.quantity;

import java.math.BigDecimal;
import java.math.RoundingMode;

/**
 * A number with a unit, as it was authored.
 *
 * @param text the number as written, decimal comma turned into a point: {@code 12.70}, {@code 1/2}
 * @param amount the same number as an exact decimal, in {@code unit}
 * @param unit the authored unit
 */
public record Quantity(String text, BigDecimal amount, Unit unit) {

  /** A quantity from decimal text that is known to be good. */
  public static Quantity of(String decimal, Unit unit) {
    return new Quantity(decimal, new BigDecimal(decimal), unit);
  }

  /** The amount in another unit of the same kind; exact from inch to millimetre. */
  public BigDecimal in(Unit target) {
    return unit == target ? amount : Conversion.convert(amount, unit, target).amount();
  }

  /** The amount in another unit, rounded half-up for showing. */
  public String shown(Unit target, int decimals) {
    BigDecimal value = in(target);
    return value.scale() <= decimals
        ? value.toPlainString()
        : value.setScale(decimals, RoundingMode.HALF_UP).stripTrailingZeros().toPlainString();
  }

  /** Exactly equal in size, however it was written. */
  public boolean sameAs(Quantity other) {
    return Conversion.sameSize(amount, unit, other.amount, other.unit);
  }

  /** Number and unit code: {@code 1/2 in}. */
  @Override
  public String toString() {
    return unit == Unit.ONE ? text : text + " " + unit.code();
  }
}
