package arborline.core.designation;

import java.math.BigDecimal;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;

/**
 * Corner of an insert: a radius, a milling facet, or none on round inserts. Source: ISO 1832 and
 * ANSI B212.4, position 7. A radius keeps the value of the system it was written in.
 *
 * @param metric as written in the metric system; empty where that has none
 * @param inch as written in the inch system, blank on rounds; empty where that has none
 * @param radius RE in mm; empty for a facet
 */
public record Corner(Optional<String> metric, Optional<String> inch, Optional<BigDecimal> radius) {

  private static final String[][] PAIRS = {
    {"00", "0"},
    {"01", "0.2"},
    {"02", "0.5"},
    {"04", "1"},
    {"08", "2"},
    {"12", "3"},
    {"16", "4"},
    {"20", "5"},
    {"24", "6"},
    {"28", "7"},
    {"32", "8"}
  };
  private static final Map<String, Corner> METRIC = new HashMap<>();
  private static final Map<String, Corner> INCH = new HashMap<>();
  private static final int FINEST = 40;
  private static final BigDecimal SIXTY_FOURTH = new BigDecimal("0.396875");

  static {
    for (String[] pair : PAIRS) {
      Optional<String> metric = Optional.of(pair[0]);
      Optional<String> inch = Optional.of(pair[1]);
      METRIC.put(pair[0], new Corner(metric, inch, Optional.of(tenths(pair[0]))));
      INCH.put(
          pair[1],
          new Corner(
              metric,
              inch,
              Optional.of(new BigDecimal(pair[1]).multiply(SIXTY_FOURTH).stripTrailingZeros())));
    }
  }

  private static BigDecimal tenths(String digits) {
    return new BigDecimal(new java.math.BigInteger(digits), digits.length() == 3 ? 2 : 1);
  }

  /**
   * Two digits are tenths of a millimetre; three are hundredths, which only radii below 0.4 mm are
   * written in.
   */
  static Corner metric(String digits) {
    if (digits.length() == 3 && Integer.parseInt(digits) >= FINEST) {
      throw new WrongDesignation(
          "insert-corner",
          "position 7: corner code %s is in no series; allowed are two digits, or three below 040"
              .formatted(digits));
    }
    Corner paired = METRIC.get(digits);
    return paired != null
        ? paired
        : new Corner(Optional.of(digits), Optional.empty(), Optional.of(tenths(digits)));
  }

  static Optional<Corner> inch(String code) {
    return Optional.ofNullable(INCH.get(code));
  }

  /** A wiper facet: approach angle and wiper clearance as letters, the same in both systems. */
  static Corner facet(String letters) {
    return new Corner(Optional.of(letters), Optional.of(letters), Optional.empty());
  }

  /** The whole insert is the corner. */
  static Corner round(String metric, Optional<String> inch, BigDecimal radius) {
    return new Corner(Optional.of(metric), inch, Optional.of(radius));
  }

  /** The metric corner of a radius in mm. */
  static Optional<Corner> ofRadius(BigDecimal radius) {
    BigDecimal plain = radius.stripTrailingZeros();
    if (plain.signum() < 0 || plain.scale() > 2 || plain.compareTo(BigDecimal.TEN) >= 0) {
      return Optional.empty();
    }
    boolean hundredths = plain.scale() == 2;
    String digits = plain.movePointRight(hundredths ? 2 : 1).setScale(0).toPlainString();
    String padded = "0".repeat(Math.max(0, (hundredths ? 3 : 2) - digits.length())) + digits;
    return Optional.of(metric(padded));
  }
}
