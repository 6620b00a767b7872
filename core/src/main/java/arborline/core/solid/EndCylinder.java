package arborline.core.solid;

import java.util.List;
import java.util.Optional;

/** The cylinder at an end of a contour, behind a chamfer at most: a shank is one. */
final class EndCylinder {

  private static final double SHORTEST_LOOKED_AT = 3;
  private static final double SHARE_LOOKED_AT = 0.04;
  private static final double NEAR = 1e-6;

  private EndCylinder() {}

  /**
   * The cylinder; nothing where what lies before it is longer than a chamfer, or wider than it as a
   * cutting head is.
   *
   * @param fromEnd the contour, beginning at the end that is looked at
   * @param length of the whole contour, mm
   */
  static Optional<Span> of(List<Span> fromEnd, double length) {
    double passed = 0;
    double widest = 0;
    for (Span span : fromEnd) {
      if (span.cylinder()) {
        return span.r0() < widest - NEAR ? Optional.empty() : Optional.of(span);
      }
      passed += span.length();
      widest = Math.max(widest, span.largest());
      if (passed > Math.max(SHORTEST_LOOKED_AT, SHARE_LOOKED_AT * length)) {
        return Optional.empty();
      }
    }
    return Optional.empty();
  }
}
