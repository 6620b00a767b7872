package arborline.core.quantity;

import java.math.BigDecimal;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Reads numbers as people write them: {@code 12,7}, {@code 1/2}, {@code 1 1/4"}, {@code ½ in},
 * {@code .5in}, {@code Ø12}.
 *
 * <p>A comma followed by other than exactly three digits is a decimal comma; followed by exactly
 * three it could mean thousands, so it is refused with both readings. Exponents, several signs,
 * improper fractions behind a whole number and more digits than any shop needs are refused with a
 * reason.
 */
public final class EntryParser {

  private static final Pattern SPLIT =
      Pattern.compile(
          "^[\u00d8\u2300\u00f8]?\\s*([+-]?[0-9.,/\\s-]*[0-9.,])\\s*([^0-9.,/\\s-]\\S*)?$");

  /** Units that begin with a digit. */
  private static final Pattern RECIPROCAL =
      Pattern.compile("([+-]?[0-9.,]*[0-9])\\s+(1/(?:min|in))");

  private static final Pattern FRACTION =
      Pattern.compile("([+-]?)(?:(\\d+)(?:\\s+|-))?(\\d+)/(\\d+)");
  private static final Pattern AMBIGUOUS = Pattern.compile("([+-]?[1-9]\\d{0,2}),(\\d{3})");
  private static final Pattern EXPONENT = Pattern.compile("[+-]?[\\d.,]+[eE][+-]?\\d+.*");
  private static final Pattern VULGAR = Pattern.compile("[\u00bc-\u00be\u2150-\u215e]");
  private static final Map<String, String> VULGAR_FRACTIONS =
      Map.ofEntries(
          Map.entry("\u00bc", "1/4"),
          Map.entry("\u00bd", "1/2"),
          Map.entry("\u00be", "3/4"),
          Map.entry("\u2155", "1/5"),
          Map.entry("\u2156", "2/5"),
          Map.entry("\u2157", "3/5"),
          Map.entry("\u2158", "4/5"),
          Map.entry("\u215b", "1/8"),
          Map.entry("\u215c", "3/8"),
          Map.entry("\u215d", "5/8"),
          Map.entry("\u215e", "7/8"));
  private static final int MAX_LENGTH = 40;
  private static final int MOST_WHOLE_DIGITS = 9;
  private static final int MOST_DECIMALS = 15;

  private EntryParser() {}

  /**
   * Reads one entry.
   *
   * @param text what was typed; may carry its own unit of the assumed unit's kind
   * @param assumed the unit where the text names none
   */
  public static Entry parse(String text, Unit assumed) {
    return parse(text, assumed, unit -> unit.kind() == assumed.kind());
  }

  /**
   * As {@link #parse(String, Unit)}, where other units are possible as well.
   *
   * @param possible which units the text may name
   */
  public static Entry parse(String text, Unit assumed, Predicate<Unit> possible) {
    String entry = plainFractions(text.strip());
    if (entry.isEmpty()) {
      return refused("empty", "type a number");
    }
    if (entry.length() > MAX_LENGTH) {
      return refused("longer than %d characters".formatted(MAX_LENGTH), "type one number");
    }
    if (isDecimal(entry)) {
      return decimal(entry, assumed);
    }
    if (EXPONENT.matcher(entry).matches()) {
      return refused("exponent form not accepted in shop-floor fields", "write the number out");
    }
    Matcher reciprocal = RECIPROCAL.matcher(entry);
    Matcher split = reciprocal.matches() ? reciprocal : SPLIT.matcher(entry);
    if (!split.matches()) {
      return refused("not a number", "type a number such as 12.7 or 1/2");
    }
    Optional<Unit> unit =
        split.group(2) == null ? Optional.of(assumed) : Unit.named(split.group(2));
    if (unit.isEmpty()) {
      return refused(
          "'%s' is not a unit".formatted(split.group(2)), "use mm or in, or leave the unit out");
    }
    if (!possible.test(unit.get())) {
      return refused(
          "%s does not measure what belongs here".formatted(unit.get().code()),
          "enter it in " + assumed.code());
    }
    return number(split.group(1).strip(), unit.get());
  }

  /** True for digits with at most one point among them and at most one sign before. */
  private static boolean isDecimal(String text) {
    boolean signed = text.startsWith("+") || text.startsWith("-");
    boolean digit = false;
    boolean point = false;
    for (int i = signed ? 1 : 0; i < text.length(); i++) {
      char sign = text.charAt(i);
      if (sign >= '0' && sign <= '9') {
        digit = true;
      } else if (sign == '.' && !point) {
        point = true;
      } else {
        return false;
      }
    }
    return digit;
  }

  /** One-character fractions written out: {@code 1½} as {@code 1 1/2}. */
  private static String plainFractions(String text) {
    return plain(text) ? text : spelled(text);
  }

  /** True where no character is a fraction, as with almost every number. */
  private static boolean plain(String text) {
    for (int i = 0; i < text.length(); i++) {
      if (text.charAt(i) >= '\u00bc') {
        return false;
      }
    }
    return true;
  }

  private static String spelled(String text) {
    return VULGAR
        .matcher(text)
        .replaceAll(sign -> {
          String written = VULGAR_FRACTIONS.getOrDefault(sign.group(), sign.group());
          boolean behindDigit =
              sign.start() > 0 && Character.isDigit(text.charAt(sign.start() - 1));
          return Matcher.quoteReplacement(behindDigit ? " " + written : written);
        });
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
    return isDecimal(decimal)
        ? decimal(decimal, unit)
        : refused(whyNotDecimal(text), "type a number such as 12.7");
  }

  private static Entry decimal(String text, Unit unit) {
    int point = text.indexOf('.');
    int signs = text.startsWith("+") || text.startsWith("-") ? 1 : 0;
    int whole = (point < 0 ? text.length() : point) - signs;
    int decimals = point < 0 ? 0 : text.length() - point - 1;
    if (whole > MOST_WHOLE_DIGITS || decimals > MOST_DECIMALS) {
      return refused(
          "more than %d digits before the point or %d behind it"
              .formatted(MOST_WHOLE_DIGITS, MOST_DECIMALS),
          "type the size that is meant");
    }
    return understood(text, new BigDecimal(text), unit);
  }

  private static Entry fraction(String text, Matcher parts, Unit unit) {
    if (parts.group(3).length() > MOST_WHOLE_DIGITS
        || parts.group(4).length() > MOST_WHOLE_DIGITS
        || parts.group(2) != null && parts.group(2).length() > MOST_WHOLE_DIGITS) {
      return refused("too many digits in the fraction", "write it as 1/2 or 1 1/4");
    }
    BigDecimal numerator = new BigDecimal(parts.group(3));
    BigDecimal denominator = new BigDecimal(parts.group(4));
    if (denominator.signum() == 0) {
      return refused("denominator zero", "write it as 1/2 or 1 1/4");
    }
    if (parts.group(2) != null && numerator.compareTo(denominator) >= 0) {
      return refused(
          "%s %s/%s: is it %s and %s/%s, or %s/%s?"
              .formatted(
                  parts.group(2),
                  numerator,
                  denominator,
                  parts.group(2),
                  numerator,
                  denominator,
                  parts.group(2) + numerator,
                  denominator),
          "write the decimals you mean");
    }
    BigDecimal part;
    try {
      part = numerator.divide(denominator);
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
