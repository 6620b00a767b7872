package arborline.core.solid;

import java.util.ArrayList;
import java.util.List;

/**
 * A stretch of a contour, mm.
 *
 * @param radius of its arc; 0 where it is straight
 */
record Span(double z0, double r0, double z1, double r1, double radius) {

  private static final double LEVEL = 1e-4;

  /** The stretches of a profile; steps across the axis are none. */
  static List<Span> of(List<ProfileElement> profile) {
    List<Span> spans = new ArrayList<>();
    double z = Double.NaN;
    double r = 0;
    for (ProfileElement element : profile) {
      if (!Double.isNaN(z) && element.endZ() - z > LEVEL / 10) {
        double radius = element instanceof ProfileElement.Arc arc ? arc.radius() : 0;
        spans.add(new Span(z, r, element.endZ(), element.endR(), radius));
      }
      z = element.endZ();
      r = element.endR();
    }
    return spans;
  }

  double length() {
    return z1 - z0;
  }

  boolean straight() {
    return radius == 0;
  }

  boolean cylinder() {
    return straight() && Math.abs(r1 - r0) < LEVEL;
  }

  boolean cone() {
    return straight() && !cylinder();
  }

  double largest() {
    return Math.max(r0, r1);
  }

  /** The angle between its line and the axis, degrees; above 0 where it gets wider. */
  double angle() {
    return Math.toDegrees(Math.atan2(r1 - r0, length()));
  }

  Span mirrored(double end) {
    return new Span(end - z1, r1, end - z0, r0, radius);
  }
}
