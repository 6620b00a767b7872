package arborline.core.quantity;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Optional;

/** Converts amounts between units of one kind by exact factors. */
public final class Conversion {

  /** Decimals kept where the result has no finite decimal form. */
  public static final int INEXACT_DECIMALS = 12;

  private static final int MAX_EXACT_SCALE = 60;

  private Conversion() {}

  /**
   * An amount after conversion.
   *
   * @param amount in the target unit, without trailing zeros
   * @param exact false where it was rounded half-up to {@link #INEXACT_DECIMALS} decimals
   */
  public record Converted(BigDecimal amount, boolean exact) {}

  /**
   * Says why two units do not convert, or nothing where they do.
   *
   * @param amount needed because a reciprocal unit (threads per inch) has no zero
   */
  public static Optional<String> obstacle(BigDecimal amount, Unit from, Unit to) {
    if (!from.convertsTo(to)) {
      return Optional.of(
          "no conversion from %s to %s: different kinds of quantity"
              .formatted(from.code(), to.code()));
    }
    boolean reciprocal = from.reciprocal() != to.reciprocal();
    return reciprocal && amount.signum() <= 0
        ? Optional.of("pitch / tpi must be > 0")
        : Optional.empty();
  }

  /**
   * Converts an amount.
   *
   * @throws IllegalArgumentException where {@link #obstacle} names one
   */
  public static Converted convert(BigDecimal amount, Unit from, Unit to) {
    obstacle(amount, from, to)
        .ifPresent(why -> {
          throw new IllegalArgumentException(why);
        });
    if (from == to) {
      return new Converted(plain(amount), true);
    }
    if (from.reciprocal() != to.reciprocal()) {
      Unit perInch = from.reciprocal() ? from : to;
      Unit length = from.reciprocal() ? to : from;
      return quotient(
          perInch.numerator().multiply(length.denominator()), amount.multiply(length.numerator()));
    }
    return quotient(
        amount.multiply(from.numerator()).multiply(to.denominator()),
        from.denominator().multiply(to.numerator()));
  }

  /** True where two amounts are exactly the same size; false where the units do not convert. */
  public static boolean sameSize(
      BigDecimal amount, Unit unit, BigDecimal otherAmount, Unit otherUnit) {
    if (unit == otherUnit) {
      return amount.compareTo(otherAmount) == 0;
    }
    if (obstacle(amount, unit, otherUnit).isPresent()) {
      return false;
    }
    BigDecimal size = amount.multiply(unit.numerator());
    BigDecimal otherSize = otherAmount.multiply(otherUnit.numerator());
    return unit.reciprocal() == otherUnit.reciprocal()
        ? size.multiply(otherUnit.denominator()).compareTo(otherSize.multiply(unit.denominator()))
            == 0
        : reciprocalOf(unit, otherUnit, amount.multiply(otherAmount));
  }

  /** Threads per inch and a pitch are the same where their product is one inch. */
  private static boolean reciprocalOf(Unit unit, Unit otherUnit, BigDecimal product) {
    Unit perInch = unit.reciprocal() ? unit : otherUnit;
    Unit length = unit.reciprocal() ? otherUnit : unit;
    return product
            .multiply(length.numerator())
            .compareTo(perInch.numerator().multiply(length.denominator()))
        == 0;
  }

  private static Converted quotient(BigDecimal dividend, BigDecimal divisor) {
    BigDecimal rounded = dividend.divide(divisor, INEXACT_DECIMALS, RoundingMode.HALF_UP);
    if (rounded.multiply(divisor).compareTo(dividend) == 0) {
      return new Converted(plain(rounded), true);
    }
    BigDecimal longest = dividend.divide(divisor, MAX_EXACT_SCALE, RoundingMode.HALF_UP);
    return longest.multiply(divisor).compareTo(dividend) == 0
        ? new Converted(plain(longest), true)
        : new Converted(plain(rounded), false);
  }

  private static BigDecimal plain(BigDecimal amount) {
    BigDecimal stripped = amount.stripTrailingZeros();
    return stripped.scale() < 0 ? stripped.setScale(0) : stripped;
  }
}
