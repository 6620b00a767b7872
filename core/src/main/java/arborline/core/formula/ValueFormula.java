package arborline.core.formula;

import arborline.core.quantity.Quantity;
import arborline.core.quantity.Unit;
import java.util.LinkedHashSet;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;

/**
 * A value that follows from others by a formula that somebody wrote: {@code APMX + 2}.
 *
 * <p>Property symbols in any letter case, + - * /, brackets, min and max; decimals with a point. A
 * number may carry its unit ({@code 0.5 in}); without one it is in the unit of what it is added to.
 * Stateless and safe between threads.
 */
public final class ValueFormula {

  private final String text;
  private final Expression expression;

  private ValueFormula(String text, Expression expression) {
    this.text = text;
    this.expression = expression;
  }

  /**
   * A formula after reading.
   *
   * @param formula nothing where it cannot be read
   * @param fault why not, in words; empty where nothing is wrong
   */
  public record Read(Optional<ValueFormula> formula, String fault) {}

  /**
   * What a formula comes to.
   *
   * @param quantity nothing where it comes to nothing
   * @param fault why not, in words
   */
  public record Result(Optional<Quantity> quantity, String fault) {}

  /** Reads a formula; an equals sign before it is passed over. */
  public static Read read(String text) {
    String plain = text.strip();
    plain = plain.startsWith("=") ? plain.substring(1).strip() : plain;
    try {
      return new Read(Optional.of(new ValueFormula(plain, ExpressionParser.parse(plain))), "");
    } catch (FormulaException fault) {
      return new Read(Optional.empty(), fault.getMessage());
    }
  }

  /** As it was written. */
  public String text() {
    return text;
  }

  /** The symbols that it follows, in upper case, in the order of the formula. */
  public Set<String> symbols() {
    Set<String> symbols = new LinkedHashSet<>();
    expression.symbols(symbols);
    return symbols;
  }

  /**
   * Works it out.
   *
   * @param values the value of a symbol; nothing where it has none
   * @param unit of the result, and of bare numbers that are added to something measured; six
   *     decimals
   */
  public Result evaluate(Function<String, Optional<Quantity>> values, Unit unit) {
    try {
      Amount amount =
          new Calculation(symbol -> Amounts.of(value(values, symbol)), unit).of(expression);
      return new Result(Optional.of(Amounts.in(amount, unit)), "");
    } catch (FormulaException | ArithmeticException fault) {
      return new Result(Optional.empty(), fault.getMessage());
    }
  }

  /**
   * The same with the unit written behind each bare number that is added to something measured, so
   * that its result may be stated in another unit.
   *
   * @param assumed unit of these numbers so far
   * @param units unit of a symbol; nothing for one that is not known
   */
  public ValueFormula stating(Unit assumed, Function<String, Optional<Unit>> units) {
    try {
      return new StatedUnits(symbol -> Amounts.of(sample(units, symbol)), assumed)
          .text(expression)
          .flatMap(stated -> read(stated).formula())
          .orElse(this);
    } catch (FormulaException | ArithmeticException unknown) {
      return this;
    }
  }

  private static Quantity sample(Function<String, Optional<Unit>> units, String symbol) {
    return units
        .apply(symbol)
        .map(unit -> Quantity.of("1", unit))
        .orElseThrow(() -> new FormulaException("%s is not known".formatted(symbol)));
  }

  /** Equal where they are written alike. */
  @Override
  public boolean equals(Object other) {
    return other instanceof ValueFormula formula && text.equals(formula.text);
  }

  @Override
  public int hashCode() {
    return text.hashCode();
  }

  @Override
  public String toString() {
    return text;
  }

  private static Quantity value(Function<String, Optional<Quantity>> values, String symbol) {
    return values
        .apply(symbol)
        .orElseThrow(() -> new FormulaException("%s has no number".formatted(symbol)));
  }
}
