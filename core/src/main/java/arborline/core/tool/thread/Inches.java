package arborline.core.tool.thread;

import arborline.core.tool.ThreadSize;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Sizes of threads that are counted in inches. */
final class Inches {

  /** A whole number, a fraction or both: {@code 1}, {@code 3/8}, {@code 1 1/2}, {@code 1-1/2}. */
  static final String SIZE = "(\\d{1,2}[ -]\\d{1,2}/\\d{1,3}|\\d{1,2}/\\d{1,3}|\\d{1,2})";

  private static final BigDecimal INCH = new BigDecimal("25.4");
  private static final int DECIMALS = 6;
  private static final Pattern PARTS = Pattern.compile("(?:(\\d+)(?:[ -]|$))?(?:(\\d+)/(\\d+))?");

  private Inches() {}

  /** Millimetres of a size; empty where the fraction has no sense. */
  static Optional<BigDecimal> millimetres(String size) {
    Matcher parts = PARTS.matcher(size);
    if (!parts.matches()) {
      return Optional.empty();
    }
    BigDecimal whole = parts.group(1) == null ? BigDecimal.ZERO : new BigDecimal(parts.group(1));
    BigDecimal below = parts.group(3) == null ? BigDecimal.ONE : new BigDecimal(parts.group(3));
    BigDecimal above = parts.group(2) == null ? BigDecimal.ZERO : new BigDecimal(parts.group(2));
    return below.signum() == 0 || whole.signum() == 0 && above.signum() == 0
        ? Optional.empty()
        : Optional.of(
            whole
                .multiply(INCH)
                .add(above.multiply(INCH).divide(below, DECIMALS, RoundingMode.HALF_UP))
                .stripTrailingZeros());
  }

  static BigDecimal pitch(String threadsPerInch) {
    return INCH.divide(new BigDecimal(threadsPerInch), DECIMALS, RoundingMode.HALF_UP)
        .stripTrailingZeros();
  }

  static ThreadSize size(BigDecimal diameter, String threadsPerInch) {
    return new ThreadSize(diameter, pitch(threadsPerInch));
  }

  /** A table from {@code size=value} pairs that are separated by commas. */
  static Map<String, String> table(String pairs) {
    return Stream.of(pairs.split(","))
        .map(pair -> pair.split("="))
        .collect(Collectors.toUnmodifiableMap(sides -> sides[0], sides -> sides[1]));
  }
}
