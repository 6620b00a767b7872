package arborline.core.quantity;

import java.math.BigDecimal;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Reads numbers as people write them: {@code 12,7}, {@code 1/2}, {@code 1 1/4"}, {@code .5in},
 * {@code Ø12}.
 *
 * <p>A comma followed by other than exactly three digits is a decimal comma; followed by exactly
 * three it could mean thousands, so it is refused with both readings. Exponents, several signs and
 * anything else that a shop-floor field does not need are refused with a reason.
 */
public final class EntryParser {

  private static final Pattern SPLIT =
      Pattern.compile(
          "^[\u00d8\u2300\u00f8]?\\s*([+-]?[0-9.,/\\s-]*?[0-9.,])\\s*([^0-9.,/\\s-][^\\s]*)?$");
  private static final Pattern DECIMAL = Pattern.compile("[+-]?(\\d+\\.?\\d*|\\.\\d+)");
  private static final Pattern FRACTION =
      Pattern.compile("([+-]?)(?:(\\d+)(?:\\s+|-))?(\\d+)/(\\d+)");
  private static final Pattern AMBIGUOUS = Pattern.compile("([+-]?[1-9]\\d{0,2}),(\\d{3})");
  private static final Pattern EXPONENT = Pattern.compile("[+-]?[\\d.,]+[eE][+-]?\\d+.*");
  private static final int MAX_LENGTH = 40;

  private EntryParser() {}

  /**
   * Reads one entry.
   *
   * @param text what was typed; may carry its own unit
   * @param assumed the unit where the text names none
   */
  public static Entry parse(String text, Unit assumed) {
    String entry = text.strip();
    if (entry.isEmpty()) {
      return refused("empty", "type a number");
    }
    if (entry.length() > MAX_LENGTH) {
      return refused("longer than %d characters".formatted(MAX_LENGTH), "type one number");
    }
    if (DECIMAL.matcher(entry).matches()) {
      return understood(entry, new BigDecimal(entry), assumed);
    }
    if (EXPONENT.matcher(entry).matches()) {
      return refused("exponent form not accepted in shop-floor fields", "write the number out");
    }
    Matcher split = SPLIT.matcher(entry);
    if (!split.matches()) {
      return refused("not a number", "type a number such as 12.7 or 1/2");
    }
    Optional<Unit> unit =
        split.group(2) == null ? Optional.of(assumed) : Unit.named(split.group(2));
    if (unit.isEmpty()) {
      return refused(
          "'%s' is not a unit".formatted(split.group(2)), "use mm or in, or leave the unit out");
    }
    if (unit.get().kind() != assumed.kind()) {
      return refused(
          "%s does not measure what belongs here".formatted(unit.get().code()),
          "enter it in " + assumed.code());
    }
    return number(split.group(1).strip(), unit.get());
  }

  private static Entry number(String text, Unit unit) {
    Matcher ambiguous = AMBIGUOUS.matcher(text);
    if (ambiguous.matches()) {
      return refused(
          "comma: thousands or decimal separator?",
          "write %s.%s or %s%s"
              .formatted(
                  ambiguous.group(1), ambiguous.group(2), ambiguous.group(1), ambiguous.group(2)));
    }
    Matcher fraction = FRACTION.matcher(text);
    if (fraction.matches()) {
      return fraction(text, fraction, unit);
    }
    if (text.contains("/")) {
      return refused("bad fraction", "write it as 1/2 or 1 1/4");
    }
    String decimal =
        text.indexOf(',') == text.lastIndexOf(',') && !text.contains(".")
            ? text.replace(',', '.')
            : text;
    if (DECIMAL.matcher(decimal).matches()) {
      return understood(decimal, new BigDecimal(decimal), unit);
    }
    return refused(whyNotDecimal(text), "type a number such as 12.7");
  }

  private static Entry fraction(String text, Matcher parts, Unit unit) {
    BigDecimal denominator = new BigDecimal(parts.group(4));
    if (denominator.signum() == 0) {
      return refused("denominator zero", "write it as 1/2 or 1 1/4");
    }
    BigDecimal part;
    try {
      part = new BigDecimal(parts.group(3)).divide(denominator);
    } catch (ArithmeticException endless) {
      return refused(
          "%s/%s has no exact decimal".formatted(parts.group(3), parts.group(4)),
          "type the decimals you mean");
    }
    BigDecimal whole = parts.group(2) == null ? BigDecimal.ZERO : new BigDecimal(parts.group(2));
    BigDecimal amount = whole.add(part);
    return understood(text, parts.group(1).equals("-") ? amount.negate() : amount, unit);
  }

  private static String whyNotDecimal(String text) {
    if (text.indexOf('.') != text.lastIndexOf('.')) {
      return "two decimal points";
    }
    if (text.contains(",") && text.contains(".")) {
      return "comma and point in one number";
    }
    if (text.indexOf(',') != text.lastIndexOf(',')) {
      return "two commas";
    }
    if (text.matches("[+-]\\s.*")) {
      return "space after sign";
    }
    return "not one number";
  }

  private static Entry understood(String text, BigDecimal amount, Unit unit) {
    return new Entry.Understood(new Quantity(text, amount, unit));
  }

  private static Entry refused(String reason, String remedy) {
    return new Entry.Refused(reason, remedy);
  }
}
