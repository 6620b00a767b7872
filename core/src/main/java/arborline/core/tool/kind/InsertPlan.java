package arborline.core.tool.kind;

import arborline.core.designation.InsertShape;
import arborline.core.tool.outline.Point;
import java.util.ArrayList;
import java.util.List;

/** The plan of an insert in its seat, as a polygon that starts at the corner that cuts. */
final class InsertPlan {

  private static final int ROUND_STEPS = 36;

  private InsertPlan() {}

  /**
   * The polygon.
   *
   * @param circle inscribed circle, mm
   * @param edgeAngle KAPR, degrees, from the feed direction to the major edge
   * @param feed unit vector of the feed in the plane of the drawing
   * @param inwards unit vector at a right angle to the feed, away from the work
   */
  static List<Point> of(
      InsertShape shape, double circle, double edgeAngle, Point tip, Point feed, Point inwards) {
    if (shape.round()) {
      return round(circle / 2, tip, feed, inwards);
    }
    double length = shape.regular() ? shape.edgePerCircle() * circle : circle;
    List<Point> corners = new ArrayList<>();
    double z = tip.z();
    double r = tip.r();
    double heading = Math.toRadians(edgeAngle);
    double[] turns = turns(shape);
    for (int i = 0; i < turns.length; i++) {
      corners.add(new Point(z, r));
      double side = i % 2 == 1 && shape == InsertShape.L ? 0.6 * length : length;
      z += side * (Math.cos(heading) * feed.z() + Math.sin(heading) * inwards.z());
      r += side * (Math.cos(heading) * feed.r() + Math.sin(heading) * inwards.r());
      heading += Math.toRadians(180 - turns[(i + 1) % turns.length]);
    }
    return corners;
  }

  /** Interior angles, the cutting corner first. */
  private static double[] turns(InsertShape shape) {
    double corner = shape.angle();
    return switch (shape) {
      case T -> new double[] {60, 60, 60};
      case W -> new double[] {80, 160, 80, 160, 80, 160};
      case H -> new double[] {120, 120, 120, 120, 120, 120};
      case P -> new double[] {108, 108, 108, 108, 108};
      case O -> new double[] {135, 135, 135, 135, 135, 135, 135, 135};
      default -> new double[] {corner, 180 - corner, corner, 180 - corner};
    };
  }

  private static List<Point> round(double radius, Point tip, Point feed, Point inwards) {
    List<Point> points = new ArrayList<>();
    double centreZ = tip.z() + radius * (inwards.z() - feed.z());
    double centreR = tip.r() + radius * (inwards.r() - feed.r());
    for (int step = 0; step < ROUND_STEPS; step++) {
      double turn = 2 * Math.PI * step / ROUND_STEPS;
      points.add(new Point(centreZ + radius * Math.cos(turn), centreR + radius * Math.sin(turn)));
    }
    return points;
  }
}
