package arborline.core.formula;

import arborline.core.quantity.Unit;
import java.math.BigDecimal;
import java.math.MathContext;
import java.util.function.Function;

/** Works out one formula. */
final class Calculation {

  private static final MathContext DIGITS = MathContext.DECIMAL128;

  private final Function<String, Amount> values;
  private final Unit assumed;

  /**
   * Prepares it.
   *
   * @param values the amount of a symbol
   * @param assumed unit of a bare number that is added to something measured
   */
  Calculation(Function<String, Amount> values, Unit assumed) {
    this.values = values;
    this.assumed = assumed;
  }

  Amount of(Expression expression) {
    return switch (expression) {
      case Expression.Literal literal -> literal(literal);
      case Expression.Symbol symbol -> values.apply(symbol.name());
      case Expression.Negative negative -> {
        Amount amount = of(negative.of());
        yield new Amount(amount.value().negate(), amount.dimension(), amount.bare());
      }
      case Expression.Joined joined ->
          joined(joined.operator(), of(joined.left()), of(joined.right()));
      case Expression.Extreme extreme -> extreme(extreme);
    };
  }

  private static Amount literal(Expression.Literal literal) {
    return literal
        .unit()
        .map(unit -> Amounts.of(literal.value(), unit))
        .orElseGet(() -> Amount.bare(literal.value()));
  }

  private Amount joined(char operator, Amount left, Amount right) {
    return switch (operator) {
      case '+' -> added(left, right, false);
      case '-' -> added(left, right, true);
      case '*' -> multiplied(left, right);
      default -> divided(left, right);
    };
  }

  private Amount added(Amount left, Amount right, boolean negative) {
    Amount one = measured(left, right);
    Amount other = measured(right, left);
    refuseUnlike(one, other, negative ? "taken from" : "added to");
    BigDecimal value =
        negative ? one.value().subtract(other.value()) : one.value().add(other.value());
    return new Amount(value, one.dimension(), one.bare());
  }

  /** A bare number beside something measured is in its unit. */
  private Amount measured(Amount amount, Amount beside) {
    if (!amount.bare() || beside.bare()) {
      return amount;
    }
    return beside.dimension().equals(Dimension.of(assumed))
        ? Amounts.of(amount.value(), assumed)
        : new Amount(amount.value(), beside.dimension(), false);
  }

  private static void refuseUnlike(Amount left, Amount right, String how) {
    if (!left.dimension().equals(right.dimension())) {
      throw new FormulaException(
          "%s cannot be %s %s".formatted(right.dimension().text(), how, left.dimension().text()));
    }
  }

  private static Amount multiplied(Amount left, Amount right) {
    refuseMixed(left, right);
    return new Amount(
        left.value().multiply(right.value(), DIGITS),
        left.dimension().times(right.dimension()),
        left.bare() && right.bare());
  }

  private static Amount divided(Amount left, Amount right) {
    refuseMixed(left, right);
    if (right.value().signum() == 0) {
      throw new FormulaException("it divides by zero");
    }
    return new Amount(
        left.value().divide(right.value(), DIGITS),
        left.dimension().equals(right.dimension())
            ? Dimension.NUMBER
            : left.dimension().times(right.dimension().inverse()),
        left.bare() && right.bare());
  }

  private static void refuseMixed(Amount left, Amount right) {
    boolean ratio = left.dimension().equals(right.dimension());
    if (!ratio && !left.dimension().combines(right.dimension())) {
      throw new FormulaException(
          "%s and %s cannot be multiplied or divided"
              .formatted(left.dimension().text(), right.dimension().text()));
    }
  }

  private Amount extreme(Expression.Extreme extreme) {
    Amount best = of(extreme.of().getFirst());
    for (Expression next : extreme.of().subList(1, extreme.of().size())) {
      Amount other = of(next);
      Amount here = measured(best, other);
      Amount there = measured(other, best);
      refuseUnlike(here, there, "compared with");
      boolean smaller = there.value().compareTo(here.value()) < 0;
      best = smaller == extreme.smallest() ? there : here;
    }
    return best;
  }
}
