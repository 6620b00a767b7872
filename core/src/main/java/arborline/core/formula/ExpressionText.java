package arborline.core.formula;

import arborline.core.quantity.Unit;
import java.util.stream.Collectors;

/** Writes an expression as the parser reads it. */
final class ExpressionText {

  private ExpressionText() {}

  static String of(Expression expression) {
    return switch (expression) {
      case Expression.Literal literal ->
          literal.value().toPlainString()
              + literal.unit().map(Unit::code).map(code -> " " + code).orElse("");
      case Expression.Symbol symbol -> symbol.name();
      case Expression.Negative negative -> "-" + operand(negative.of());
      case Expression.Joined joined -> joined(joined);
      case Expression.Extreme extreme ->
          extreme.of().stream()
              .map(ExpressionText::of)
              .collect(Collectors.joining(", ", extreme.smallest() ? "min(" : "max(", ")"));
    };
  }

  private static String joined(Expression.Joined joined) {
    boolean sum = joined.operator() == '+' || joined.operator() == '-';
    String left = sum ? of(joined.left()) : operand(joined.left());
    boolean plus = joined.operator() == '+';
    boolean bracketed =
        sum ? !plus && sum(joined.right()) : joined.right() instanceof Expression.Joined;
    String right = bracketed ? "(" + of(joined.right()) + ")" : of(joined.right());
    return "%s %c %s".formatted(left, joined.operator(), right);
  }

  /** A factor: sums and products in it stand in brackets. */
  private static String operand(Expression expression) {
    return sum(expression) ? "(" + of(expression) + ")" : of(expression);
  }

  private static boolean sum(Expression expression) {
    return expression instanceof Expression.Joined joined
        && (joined.operator() == '+' || joined.operator() == '-');
  }
}
