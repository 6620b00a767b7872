package arborline.core.machine;

import java.math.BigDecimal;
import java.util.Map;

/** How the load of a round storage is spread. */
final class Balance {

  private Balance() {}

  /**
   * The largest difference of two opposite halves, kg: every half of neighbouring places against
   * the rest; with an odd number of places the one between belongs to neither.
   *
   * @param masses by place, from 0 up
   */
  static BigDecimal difference(int places, Map<Integer, BigDecimal> masses) {
    int half = places / 2;
    BigDecimal most = BigDecimal.ZERO;
    for (int first = 0; first < places; first++) {
      BigDecimal difference = BigDecimal.ZERO;
      for (int step = 0; step < half; step++) {
        difference =
            difference
                .add(masses.getOrDefault((first + step) % places, BigDecimal.ZERO))
                .subtract(
                    masses.getOrDefault((first + places - half + step) % places, BigDecimal.ZERO));
      }
      most = most.max(difference.abs());
    }
    return most;
  }
}
