package arborline.core.cutting;

import java.util.OptionalDouble;

/**
 * Estimates specific cutting force from Brinell hardness where nobody measured it: for steel by
 * straight lines between generic values of textbooks; elsewhere the value of the group grows with
 * the 0.4th power of its hardness. An estimate, to be replaced by a measured value.
 */
final class Hardness {

  /** Brinell hardness and kc1.1 in N/mm2, from soft to hard steel. */
  private static final double[][] STEEL = {
    {125, 1500}, {150, 1600}, {180, 1700}, {300, 1950}, {475, 3100}, {650, 4700}
  };

  private static final double GROWTH = 0.4;

  private Hardness() {}

  /** kc1.1 in N/mm2; empty for wood and plastics, of which hardness says little. */
  static OptionalDouble force(String group, double brinell) {
    return switch (group) {
      case "P", "H" -> OptionalDouble.of(steel(brinell));
      case "M" -> OptionalDouble.of(grown(2000, 180, brinell));
      case "K" -> OptionalDouble.of(grown(1100, 200, brinell));
      case "N" -> OptionalDouble.of(grown(600, 90, brinell));
      case "S" -> OptionalDouble.of(grown(2400, 350, brinell));
      default -> OptionalDouble.empty();
    };
  }

  private static double grown(double force, double reference, double brinell) {
    return Math.rint(force * Math.pow(brinell / reference, GROWTH));
  }

  private static double steel(double brinell) {
    int upper = 1;
    while (upper < STEEL.length - 1 && brinell > STEEL[upper][0]) {
      upper++;
    }
    double[] low = STEEL[upper - 1];
    double[] high = STEEL[upper];
    double share = (brinell - low[0]) / (high[0] - low[0]);
    return Math.rint(Math.max(1000, low[1] + share * (high[1] - low[1])));
  }
}
