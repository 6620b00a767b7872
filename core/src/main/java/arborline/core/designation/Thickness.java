package arborline.core.designation;

import java.math.BigDecimal;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Insert thickness S. Source: ISO 1832 and ANSI B212.4, position 6; the inch code counts
 * sixteenths.
 *
 * @param metric two characters
 * @param inch sixteenths of an inch as written; empty where the inch system has none
 * @param size mm
 */
public record Thickness(String metric, Optional<String> inch, BigDecimal size) {

  private static final String[][] ROWS = {
    {"01", "1", "1.5875"},
    {"T0", "", "1.79"},
    {"T1", "1.2", "1.984375"},
    {"02", "1.5", "2.38125"},
    {"T2", "", "2.778125"},
    {"03", "2", "3.175"},
    {"T3", "2.5", "3.96875"},
    {"04", "3", "4.7625"},
    {"T4", "", "4.96"},
    {"05", "3.5", "5.55625"},
    {"T5", "", "5.95"},
    {"06", "4", "6.35"},
    {"T6", "", "6.75"},
    {"07", "5", "7.9375"},
    {"09", "6", "9.525"},
    {"T9", "", "9.72"},
    {"11", "7", "11.1125"},
    {"12", "8", "12.7"},
    {"19", "", "19.05"}
  };
  private static final Map<String, Thickness> METRIC = new LinkedHashMap<>();
  private static final Map<String, Thickness> INCH = new HashMap<>();
  private static final BigDecimal TOLERANCE = new BigDecimal("0.02");

  static {
    for (String[] row : ROWS) {
      Thickness thickness =
          new Thickness(
              row[0],
              row[1].isEmpty() ? Optional.empty() : Optional.of(row[1]),
              new BigDecimal(row[2]));
      METRIC.put(thickness.metric, thickness);
      thickness.inch.ifPresent(inch -> INCH.put(inch, thickness));
    }
  }

  static Optional<Thickness> metric(String code) {
    return Optional.ofNullable(METRIC.get(code));
  }

  static Optional<Thickness> inch(String code) {
    return Optional.ofNullable(INCH.get(code));
  }

  /** The thickness of a size in mm, within 0.02 mm. */
  static Optional<Thickness> of(BigDecimal size) {
    return METRIC.values().stream()
        .filter(code -> code.size.subtract(size).abs().compareTo(TOLERANCE) <= 0)
        .findFirst();
  }

  static List<String> metricCodes() {
    return List.copyOf(METRIC.keySet());
  }
}
