package arborline.core.formula;

import arborline.core.quantity.Unit;
import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** A formula after parsing. */
sealed interface Expression {

  /** Adds the symbols that it names. */
  void symbols(Set<String> into);

  /** A number, perhaps with its unit: {@code 2}, {@code 0.5 in}. */
  record Literal(BigDecimal value, Optional<Unit> unit) implements Expression {
    @Override
    public void symbols(Set<String> into) {}
  }

  /** The value of a property. */
  record Symbol(String name) implements Expression {
    @Override
    public void symbols(Set<String> into) {
      into.add(name);
    }
  }

  record Negative(Expression of) implements Expression {
    @Override
    public void symbols(Set<String> into) {
      of.symbols(into);
    }
  }

  /**
   * Two expressions and what joins them.
   *
   * @param operator one of + - * /
   */
  record Joined(char operator, Expression left, Expression right) implements Expression {
    @Override
    public void symbols(Set<String> into) {
      left.symbols(into);
      right.symbols(into);
    }
  }

  /**
   * The smallest or the largest of several.
   *
   * @param smallest true for min
   */
  record Extreme(boolean smallest, List<Expression> of) implements Expression {
    @Override
    public void symbols(Set<String> into) {
      of.forEach(one -> one.symbols(into));
    }
  }
}
