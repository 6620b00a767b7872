package arborline.core.inspect.check;

import arborline.core.tool.Tool;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What solid tools look like: their lengths and shank as multiples of the diameter. Wide limits
 * hold for nearly every tool that is made, narrow ones for ordinary tools. Source: proportions of
 * standard series (short to extra long), generic values.
 *
 * @param limits by symbol: impossible below, unusual below, unusual above, impossible above
 */
record Shape(Map<String, double[]> limits) {

  private static final Set<String> MILLS =
      Set.of("end-mill-flat", "end-mill-ball", "end-mill-corner-radius");
  private static final Set<String> DRILLS = Set.of("drill-twist");
  private static final Set<String> REAMERS = Set.of("reamer");

  private static final Set<String> EDGES = Set.of("APMX", "LCF");

  /** Smaller tools are as long and as thick at the shank as one of this diameter, mm. */
  private static final double SMALL = 3;

  private static final Shape OF_MILLS =
      new Shape(
          Map.of(
              "APMX", new double[] {0.28, 0.8, 5.5, 14},
              "LCF", new double[] {0.28, 0.8, 6, 16},
              "OAL", new double[] {1.9, 3, 16, 45},
              "DMM", new double[] {0.35, 0.75, 2.1, 4.2}));
  private static final Shape OF_DRILLS =
      new Shape(
          Map.of(
              "LCF", new double[] {1.2, 2.5, 20, 60},
              "OAL", new double[] {2.2, 5, 40, 100},
              "DMM", new double[] {0.3, 0.6, 2.1, 4.2}));
  private static final Shape OF_REAMERS =
      new Shape(
          Map.of(
              "APMX", new double[] {0.4, 1, 10, 25},
              "LCF", new double[] {0.4, 1, 10, 25},
              "OAL", new double[] {2.2, 4, 30, 60},
              "DMM", new double[] {0.3, 0.6, 2.1, 4.2}));

  /** The shape of a class; nothing where its tools have no common one. */
  static Optional<Shape> of(String toolClass) {
    if (MILLS.contains(toolClass)) {
      return Optional.of(OF_MILLS);
    }
    if (DRILLS.contains(toolClass)) {
      return Optional.of(OF_DRILLS);
    }
    return REAMERS.contains(toolClass) ? Optional.of(OF_REAMERS) : Optional.empty();
  }

  /** The sizes of a tool that the shape speaks of, with its diameter, mm. */
  Map<String, Double> sizes(Tool tool) {
    Map<String, Double> sizes = new LinkedHashMap<>();
    double diameter = tool.approx("DC", 0);
    if (diameter > 0) {
      sizes.put("DC", diameter);
      for (String symbol : limits.keySet()) {
        double size = tool.approx(symbol, 0);
        if (size > 0) {
          sizes.put(symbol, size);
        }
      }
    }
    return sizes;
  }

  /** How many of the sizes are impossible beside the others. */
  int impossible(Map<String, Double> sizes) {
    return outside(sizes, 0, 3) + (inOrder(sizes) ? 0 : 1);
  }

  /** True where all sizes are those of an ordinary tool. */
  boolean ordinary(Map<String, Double> sizes) {
    return outside(sizes, 1, 2) == 0 && inOrder(sizes);
  }

  private int outside(Map<String, Double> sizes, int low, int high) {
    int outside = 0;
    double diameter = sizes.get("DC");
    for (Map.Entry<String, Double> size : sizes.entrySet()) {
      double[] limit = limits.get(size.getKey());
      double least = size.getValue() / diameter;
      boolean edges = EDGES.contains(size.getKey());
      double most = edges ? least : size.getValue() / Math.max(diameter, SMALL);
      outside += limit != null && (least < limit[low] || most > limit[high]) ? 1 : 0;
    }
    return outside;
  }

  /** Edges and flutes are shorter than the tool. */
  private static boolean inOrder(Map<String, Double> sizes) {
    double overall = sizes.getOrDefault("OAL", Double.MAX_VALUE);
    return sizes.getOrDefault("APMX", 0.0) < overall && sizes.getOrDefault("LCF", 0.0) < overall;
  }
}
