package arborline.core.formula;

import arborline.core.quantity.Unit;
import java.util.Optional;
import java.util.function.Function;

/**
 * Puts the unit behind bare numbers that are added to or compared with something measured in it, so
 * that a formula comes to the same when its result is stated in another unit.
 */
final class StatedUnits {

  private final Calculation samples;
  private final Unit assumed;
  private boolean changed;

  /**
   * Prepares it.
   *
   * @param samples any amount of a symbol, of its dimension
   * @param assumed unit of bare numbers so far
   */
  StatedUnits(Function<String, Amount> samples, Unit assumed) {
    this.samples = new Calculation(samples, assumed);
    this.assumed = assumed;
  }

  /** The text with units; nothing where none was missing. */
  Optional<String> text(Expression expression) {
    Expression stated = samples.of(expression).bare() ? stated(expression) : in(expression);
    return changed ? Optional.of(ExpressionText.of(stated)) : Optional.empty();
  }

  private Expression in(Expression expression) {
    return switch (expression) {
      case Expression.Negative negative -> new Expression.Negative(in(negative.of()));
      case Expression.Joined joined when joined.operator() == '+' || joined.operator() == '-' ->
          new Expression.Joined(
              joined.operator(),
              beside(joined.left(), joined.right()),
              beside(joined.right(), joined.left()));
      case Expression.Joined joined ->
          new Expression.Joined(joined.operator(), in(joined.left()), in(joined.right()));
      case Expression.Extreme extreme -> {
        Optional<Expression> measured =
            extreme.of().stream().filter(one -> !samples.of(one).bare()).findFirst();
        yield new Expression.Extreme(
            extreme.smallest(),
            extreme.of().stream()
                .map(one -> measured.map(other -> beside(one, other)).orElseGet(() -> in(one)))
                .toList());
      }
      case Expression.Literal literal -> literal;
      case Expression.Symbol symbol -> symbol;
    };
  }

  private Expression beside(Expression one, Expression other) {
    Amount amount = samples.of(one);
    Amount measured = samples.of(other);
    boolean takesUnit =
        amount.bare() && !measured.bare() && measured.dimension().equals(Dimension.of(assumed));
    return takesUnit ? stated(one) : in(one);
  }

  /** A bare expression with the unit in it, once in each of its products. */
  private Expression stated(Expression bare) {
    return switch (bare) {
      case Expression.Literal literal -> {
        changed = true;
        yield new Expression.Literal(literal.value(), Optional.of(assumed));
      }
      case Expression.Negative negative -> new Expression.Negative(stated(negative.of()));
      case Expression.Joined joined when joined.operator() == '+' || joined.operator() == '-' ->
          new Expression.Joined(joined.operator(), stated(joined.left()), stated(joined.right()));
      case Expression.Joined joined ->
          new Expression.Joined(joined.operator(), stated(joined.left()), joined.right());
      case Expression.Extreme extreme ->
          new Expression.Extreme(
              extreme.smallest(), extreme.of().stream().map(this::stated).toList());
      case Expression.Symbol symbol -> symbol;
    };
  }
}
