package arborline.server.library;

import java.math.BigDecimal;

/** The bars of the diameter histogram: narrow where tools are many, wide where they are few. */
final class DiameterBars {

  private static final int[] EDGES = {
    0, 1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 12, 14, 16, 18, 20, 25, 32, 40, 50, 63, 80, 100, 1000
  };

  private DiameterBars() {}

  static int count() {
    return EDGES.length - 1;
  }

  /** The bar that a diameter in mm falls into; the last one takes all that are larger. */
  static int of(double diameter) {
    int bar = count() - 1;
    while (bar > 0 && diameter < EDGES[bar]) {
      bar--;
    }
    return bar;
  }

  static BigDecimal from(int bar) {
    return BigDecimal.valueOf(EDGES[bar]);
  }
}
