package arborline.core.formula;

import arborline.core.quantity.Unit;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Reads formulas by recursive descent.
 *
 * <pre>
 * sum     = product { (+ | -) product }
 * product = part { (* | /) part }
 * part    = number [unit] | symbol | - part | ( sum ) | (min | max) ( sum { , sum } )
 * </pre>
 */
final class ExpressionParser {

  private static final Pattern TOKEN =
      Pattern.compile(
          "\\s*(?:(?<number>\\d{1,9}(?:\\.\\d{1,9})?|\\.\\d{1,9})|(?<word>[A-Za-z][A-Za-z0-9_]*)"
              + "|(?<sign>[-+*/(),;\"]))");
  private static final int LONGEST = 200;
  private static final int DEEPEST = 30;

  private final String text;
  private final Matcher tokens;
  private int at;
  private int depth;
  private String number;
  private String word;
  private char sign;

  private ExpressionParser(String text) {
    this.text = text;
    this.tokens = TOKEN.matcher(text);
  }

  /**
   * Reads a whole formula.
   *
   * @throws FormulaException with the reason and the place
   */
  static Expression parse(String text) {
    if (text.length() > LONGEST) {
      throw new FormulaException("the formula is longer than %d characters".formatted(LONGEST));
    }
    ExpressionParser parser = new ExpressionParser(text);
    parser.advance();
    Expression whole = parser.sum();
    if (!parser.ended()) {
      throw parser.unexpected();
    }
    return whole;
  }

  private boolean ended() {
    return number == null && word == null && sign == 0;
  }

  private void advance() {
    number = null;
    word = null;
    sign = 0;
    if (text.substring(at).isBlank()) {
      at = text.length();
      return;
    }
    if (!tokens.find(at) || tokens.start() != at) {
      String rest = text.substring(at);
      int blanks = rest.length() - rest.stripLeading().length();
      throw new FormulaException(
          "'%s' at character %d is not part of a formula"
              .formatted(rest.charAt(blanks), at + blanks + 1));
    }
    at = tokens.end();
    number = tokens.group("number");
    word = tokens.group("word");
    sign = tokens.group("sign") == null ? 0 : tokens.group("sign").charAt(0);
  }

  private FormulaException unexpected() {
    if (ended()) {
      return new FormulaException("the formula ends too early");
    }
    String found = number != null ? number : word != null ? word : String.valueOf(sign);
    if (sign == ',' && Character.isDigit(at < text.length() ? text.charAt(at) : ' ')) {
      return new FormulaException("write the decimal point: a comma parts values in min and max");
    }
    return new FormulaException(
        "'%s' does not belong before character %d".formatted(found, at + 1));
  }

  private Expression sum() {
    Expression left = product();
    while (sign == '+' || sign == '-') {
      char operator = sign;
      advance();
      left = new Expression.Joined(operator, left, product());
    }
    return left;
  }

  private Expression product() {
    Expression left = part();
    while (sign == '*' || sign == '/') {
      char operator = sign;
      advance();
      left = new Expression.Joined(operator, left, part());
    }
    return left;
  }

  private Expression part() {
    if (++depth > DEEPEST) {
      throw new FormulaException(
          "more than %d brackets or signs in one another".formatted(DEEPEST));
    }
    try {
      return counted();
    } finally {
      depth--;
    }
  }

  private Expression counted() {
    if (number != null) {
      return literal();
    }
    if (word != null) {
      return named();
    }
    if (sign == '-') {
      advance();
      return new Expression.Negative(part());
    }
    if (sign == '(') {
      advance();
      Expression inner = sum();
      expect(')');
      return inner;
    }
    throw unexpected();
  }

  private Expression literal() {
    BigDecimal value = new BigDecimal(number);
    advance();
    Optional<Unit> unit = unit();
    unit.ifPresent(known -> advance());
    return new Expression.Literal(value, unit);
  }

  /** A unit right behind a number; what is a symbol as well is the unit there. */
  private Optional<Unit> unit() {
    if (sign == '"') {
      return Optional.of(Unit.INCH);
    }
    return word == null ? Optional.empty() : Unit.named(word);
  }

  private Expression named() {
    String name = word.toUpperCase(Locale.ROOT);
    advance();
    if (sign != '(') {
      return new Expression.Symbol(name);
    }
    if (!name.equals("MIN") && !name.equals("MAX")) {
      throw new FormulaException("'%s' is no function: min and max are".formatted(name));
    }
    advance();
    List<Expression> of = new ArrayList<>();
    of.add(sum());
    while (sign == ',' || sign == ';') {
      advance();
      of.add(sum());
    }
    expect(')');
    return new Expression.Extreme(name.equals("MIN"), of);
  }

  private void expect(char wanted) {
    if (sign != wanted) {
      throw ended() ? new FormulaException("a closing bracket is missing") : unexpected();
    }
    advance();
  }
}
