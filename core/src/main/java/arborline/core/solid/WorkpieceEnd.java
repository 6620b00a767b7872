package arborline.core.solid;

import arborline.core.solid.shape.Axis;
import arborline.core.solid.shape.Closeness;
import arborline.core.solid.shape.Plane;
import arborline.core.solid.shape.Vector3;
import java.util.List;
import java.util.Optional;

/**
 * Which end of a contour is the workpiece's: by points and balls, connections, bores, shanks and
 * flutes, each with its weight.
 */
final class WorkpieceEnd {

  private static final double POINT = 6;
  private static final double CONNECTION = 10;
  private static final double GROOVE = 4;
  private static final double CONE_OF_COLLET = 3;
  private static final double FLUTES = 2;
  private static final double DRIVE = 1.5;
  private static final double SHANK = 3;

  private final Contour contour;
  private final List<Span> spans;
  private final double middle;

  private WorkpieceEnd(Contour contour, List<Span> spans) {
    this.contour = contour;
    this.spans = spans;
    this.middle = (contour.from() + contour.to()) / 2;
  }

  /** Above 0 where it is the low end of the contour, below 0 where it is the high end. */
  static double low(Contour contour, List<Body> bodies) {
    WorkpieceEnd ends = new WorkpieceEnd(contour, Span.of(ProfileElements.of(contour)));
    return ends.points() + ends.connection() + ends.hollow() + ends.shank() + ends.faces(bodies);
  }

  private double points() {
    boolean low = spans.getFirst().r0() < 1e-3;
    boolean high = spans.getLast().r1() < 1e-3;
    return low == high ? 0 : low ? POINT : -POINT;
  }

  private double connection() {
    double sum = 0;
    Optional<ConnectionCone> cone = ConnectionCone.of(spans);
    if (cone.isPresent()) {
      sum += cone.get().atHighEnd() ? CONNECTION : -CONNECTION;
    }
    for (int i = 0; i + 2 < spans.size(); i++) {
      if (groove(spans.get(i), spans.get(i + 1), spans.get(i + 2))) {
        sum += spans.get(i + 1).z0() > middle ? GROOVE : -GROOVE;
      }
    }
    return sum;
  }

  /** The groove by which a changer grips: flanks of 30 degrees down to its ground and up. */
  private static boolean groove(Span down, Span ground, Span up) {
    return down.cone()
        && ground.cylinder()
        && up.cone()
        && Math.abs(down.angle() + 60) < 1
        && Math.abs(up.angle() - 60) < 1;
  }

  /** A hollow body, as a collet, narrows towards the machine. */
  private double hollow() {
    if (Bore.atLowEnd(contour).isEmpty()) {
      return 0;
    }
    return spans.stream()
        .filter(span -> span.cone() && span.length() > 0.3 * contour.length())
        .mapToDouble(span -> span.angle() < 0 ? CONE_OF_COLLET : -CONE_OF_COLLET)
        .sum();
  }

  /** The longest cylinder at an end, behind a chamfer at most, is a shank. */
  private double shank() {
    return SHANK * (shankLength(spans.reversed()) - shankLength(spans)) / contour.length();
  }

  private double shankLength(List<Span> fromEnd) {
    return EndCylinder.of(fromEnd, contour.length()).map(Span::length).orElse(0.0);
  }

  /** Free faces are flutes, flat ones along the axis drive a tool. */
  private double faces(List<Body> bodies) {
    double flutes = 0;
    double freeArea = 0;
    double drives = 0;
    int flats = 0;
    for (Body body : bodies) {
      Axis axis = Generators.local(body, contour.axis());
      for (Face face : body.faces()) {
        if (face.edges().isEmpty() || face.surface().meridian(axis, Closeness.AXES).isPresent()) {
          continue;
        }
        double place = place(face, axis) - middle;
        if (!(face.surface() instanceof Plane plane)) {
          freeArea += 1;
          flutes += Math.signum(place);
        } else if (Math.abs(plane.frame().z().dot(axis.direction())) < 1e-6) {
          flats++;
          drives += Math.signum(place);
        }
      }
    }
    double sum = freeArea == 0 ? 0 : -FLUTES * flutes / freeArea;
    return flats == 0 ? sum : sum + DRIVE * drives / flats;
  }

  private static double place(Face face, Axis axis) {
    double sum = 0;
    for (EdgeUse use : face.edges()) {
      Vector3 point = use.at(0.5);
      sum += axis.z(point);
    }
    return sum / face.edges().size();
  }
}
