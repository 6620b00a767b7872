package arborline.core.tool;

import java.math.BigDecimal;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Diameter and pitch that a thread size names. Source: ISO 261 coarse series and ISO 725 (unified)
 * as usually tabulated.
 *
 * @param diameter nominal diameter, mm
 * @param pitch mm
 */
public record ThreadSize(BigDecimal diameter, BigDecimal pitch) {

  private static final Pattern METRIC =
      Pattern.compile("M(\\d+(?:\\.\\d+)?)(?:\\s*[x\u00d7]\\s*(\\d+(?:\\.\\d+)?))?");
  private static final Pattern UNIFIED = Pattern.compile("(\\d+)/(\\d+)-(\\d+)(?:\\s*UN[CF]?)?");
  private static final BigDecimal INCH = new BigDecimal("25.4");
  private static final Map<String, String> COARSE =
      Map.ofEntries(
          Map.entry("1.6", "0.35"),
          Map.entry("2", "0.4"),
          Map.entry("2.5", "0.45"),
          Map.entry("3", "0.5"),
          Map.entry("4", "0.7"),
          Map.entry("5", "0.8"),
          Map.entry("6", "1"),
          Map.entry("8", "1.25"),
          Map.entry("10", "1.5"),
          Map.entry("12", "1.75"),
          Map.entry("14", "2"),
          Map.entry("16", "2"),
          Map.entry("18", "2.5"),
          Map.entry("20", "2.5"),
          Map.entry("22", "2.5"),
          Map.entry("24", "3"),
          Map.entry("27", "3"),
          Map.entry("30", "3.5"),
          Map.entry("33", "3.5"),
          Map.entry("36", "4"),
          Map.entry("39", "4"),
          Map.entry("42", "4.5"),
          Map.entry("48", "5"));

  /** Reads {@code M10}, {@code M10x1}, {@code 1/4-20}; anything else is not judged. */
  public static Optional<ThreadSize> parse(String text) {
    Matcher metric = METRIC.matcher(text.strip());
    if (metric.matches()) {
      String pitch = metric.group(2) == null ? COARSE.get(metric.group(1)) : metric.group(2);
      return Optional.ofNullable(pitch)
          .map(each -> new ThreadSize(new BigDecimal(metric.group(1)), new BigDecimal(each)));
    }
    Matcher unified = UNIFIED.matcher(text.strip());
    return unified.matches() ? Optional.of(unified(unified)) : Optional.empty();
  }

  private static ThreadSize unified(Matcher parts) {
    BigDecimal diameter =
        new BigDecimal(parts.group(1))
            .multiply(INCH)
            .divide(new BigDecimal(parts.group(2)), 6, java.math.RoundingMode.HALF_UP);
    BigDecimal pitch =
        INCH.divide(new BigDecimal(parts.group(3)), 6, java.math.RoundingMode.HALF_UP);
    return new ThreadSize(diameter.stripTrailingZeros(), pitch.stripTrailingZeros());
  }
}
