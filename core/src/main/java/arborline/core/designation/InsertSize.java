package arborline.core.designation;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Size of an insert. The metric code is the edge length, rounded to 0.1 mm and cut to whole
 * millimetres; the inch code counts eighths of the inscribed circle. Source: ISO 1832 and ANSI
 * B212.4, position 5.
 *
 * <p>Where two small circles share a metric code, it is read as the larger.
 *
 * @param metric two characters
 * @param inch eighths of an inch as written; empty where the inch system has none
 * @param circle inscribed circle IC in mm; empty where only a table of the maker knows it
 * @param edge edge length L in mm, five decimals
 */
public record InsertSize(
    String metric, Optional<String> inch, Optional<BigDecimal> circle, BigDecimal edge) {

  private static final String[][] CIRCLES = {
    {"1.2", "3.96875"},
    {"1.5", "4.7625"},
    {"1.8", "5.55625"},
    {"2", "6.35"},
    {"2.5", "7.9375"},
    {"3", "9.525"},
    {"4", "12.7"},
    {"5", "15.875"},
    {"6", "19.05"},
    {"8", "25.4"},
    {"10", "31.75"}
  };
  private static final List<String> ROUND_INCH = List.of("3", "4", "5", "6", "8", "10");
  private static final List<String> ROUND_METRIC =
      List.of("05", "06", "07", "08", "10", "12", "16", "20", "25", "32");

  private static final Map<InsertShape, Map<String, InsertSize>> METRIC =
      new EnumMap<>(InsertShape.class);
  private static final Map<InsertShape, Map<String, InsertSize>> INCH =
      new EnumMap<>(InsertShape.class);
  private static final Map<String, InsertSize> METRIC_ROUND = new HashMap<>();
  private static final BigDecimal TOLERANCE = new BigDecimal("0.02");
  private static final List<String> INCH_CODES = new ArrayList<>();

  static {
    for (String[] circle : CIRCLES) {
      INCH_CODES.add(circle[0]);
    }
    for (InsertShape shape : InsertShape.values()) {
      if (shape.regular()) {
        fill(shape);
      }
    }
    for (String code : ROUND_METRIC) {
      BigDecimal circle = new BigDecimal(Integer.parseInt(code));
      METRIC_ROUND.put(code, new InsertSize(code, Optional.empty(), Optional.of(circle), circle));
    }
  }

  private static void fill(InsertShape shape) {
    Map<String, InsertSize> metric = new HashMap<>();
    Map<String, InsertSize> inch = new HashMap<>();
    for (String[] row : CIRCLES) {
      if (shape.round() && !ROUND_INCH.contains(row[0])) {
        continue;
      }
      BigDecimal circle = new BigDecimal(row[1]);
      BigDecimal edge =
          shape.edgePerCircle() == 1
              ? circle
              : BigDecimal.valueOf(shape.edgePerCircle() * circle.doubleValue())
                  .setScale(5, RoundingMode.HALF_UP);
      InsertSize size =
          new InsertSize(code(shape, row[0], edge), Optional.of(row[0]), Optional.of(circle), edge);
      metric.put(size.metric, size);
      inch.put(row[0], size);
    }
    METRIC.put(shape, metric);
    INCH.put(shape, inch);
  }

  private static String code(InsertShape shape, String inch, BigDecimal edge) {
    if (shape == InsertShape.C && inch.equals("1.2")) {
      return "S4";
    }
    if (shape == InsertShape.W && inch.equals("1.5")) {
      return "L3";
    }
    int whole = edge.setScale(1, RoundingMode.HALF_UP).intValue();
    return whole < 10 ? "0" + whole : Integer.toString(whole);
  }

  static Optional<InsertSize> metric(InsertShape shape, String code) {
    return Optional.ofNullable(METRIC.get(shape).get(code));
  }

  /** Rounds that are whole millimetres across. */
  static Optional<InsertSize> metricRound(String code) {
    return Optional.ofNullable(METRIC_ROUND.get(code));
  }

  static Optional<InsertSize> inch(InsertShape shape, String code) {
    return Optional.ofNullable(INCH.getOrDefault(shape, Map.of()).get(code));
  }

  /** The size with an inscribed circle, within 0.02 mm. */
  static Optional<InsertSize> ofCircle(InsertShape shape, BigDecimal circle) {
    return INCH.getOrDefault(shape, Map.of()).values().stream()
        .filter(size -> size.circle.orElseThrow().subtract(circle).abs().compareTo(TOLERANCE) <= 0)
        .findFirst();
  }

  /** Shapes whose inscribed circle no formula gives: the code is the cut edge length. */
  static InsertSize edgeOnly(String code) {
    return new InsertSize(
        code, Optional.empty(), Optional.empty(), new BigDecimal(Integer.parseInt(code)));
  }

  static List<String> metricCodes(InsertShape shape) {
    return METRIC.get(shape).keySet().stream().sorted().toList();
  }

  static List<String> inchCodes() {
    return INCH_CODES;
  }
}
