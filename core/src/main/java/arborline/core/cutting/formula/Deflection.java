package arborline.core.cutting.formula;

import java.util.List;

/**
 * Bending of a stepped bar, clamped at its far end, under a force at its free end. Source: beam
 * theory of textbooks, the integral of F x^2 / (E I) from the free end.
 */
public final class Deflection {

  private static final int PANELS = 200;

  private Deflection() {}

  /**
   * Deflection at the free end in micrometres.
   *
   * @param force N
   * @param segments from the free end
   */
  public static double of(double force, List<Segment> segments) {
    double sum = 0;
    double at = 0;
    for (Segment segment : segments) {
      double end = at + segment.length();
      double modulus = segment.modulus() * 1000;
      sum +=
          segment.from() == segment.to()
              ? (end * end * end - at * at * at) / (3 * modulus * inertia(segment.from()))
              : tapered(segment, at) / modulus;
      at = end;
    }
    return force * sum * 1000;
  }

  private static double inertia(double diameter) {
    double square = diameter * diameter;
    return Math.PI * square * square / 64;
  }

  /** Simpson's rule over a conical stretch. */
  private static double tapered(Segment segment, double at) {
    double step = segment.length() / PANELS;
    double sum = 0;
    for (int i = 0; i <= PANELS; i++) {
      double share = (double) i / PANELS;
      double x = at + share * segment.length();
      double diameter = segment.from() + share * (segment.to() - segment.from());
      int weight = i == 0 || i == PANELS ? 1 : i % 2 == 1 ? 4 : 2;
      sum += weight * x * x / inertia(diameter);
    }
    return sum * step / 3;
  }
}
