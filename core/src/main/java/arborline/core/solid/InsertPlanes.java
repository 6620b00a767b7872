package arborline.core.solid;

import arborline.core.solid.shape.Cylinder;
import arborline.core.solid.shape.Plane;
import arborline.core.solid.shape.Vector3;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * The plan of an insert by its flat sides around a hole. Source: ISO 1832, shapes.
 *
 * @param circle diameter of the circle that touches all sides, mm
 * @param shape letter of the shape; empty where none is known
 * @param corner radius of its corners, mm; 0 where they are sharp
 */
record InsertPlanes(double circle, String shape, double corner) {

  private static final double SAME = 0.01;
  private static final double LEVEL = 1e-4;

  /** The plan of a body that lies across a direction. */
  static Optional<InsertPlanes> of(Body body, Vector3 across, Vector3 centre) {
    List<Vector3> sides = new ArrayList<>();
    double distance = -1;
    double corner = 0;
    for (Face face : body.faces()) {
      if (face.surface() instanceof Plane plane
          && Math.abs(plane.frame().z().dot(across)) < LEVEL) {
        Vector3 normal = plane.frame().z().times(face.outward() ? 1 : -1);
        double from = plane.frame().origin().minus(centre).dot(normal);
        if (distance >= 0 && Math.abs(from - distance) > SAME) {
          return Optional.empty();
        }
        distance = from;
        sides.add(normal);
      } else if (face.surface() instanceof Cylinder cylinder
          && face.outward()
          && cylinder.frame().z().cross(across).length() < LEVEL) {
        corner = cylinder.radius();
      }
    }
    return sides.size() < 3 || distance <= 0
        ? Optional.empty()
        : Optional.of(new InsertPlanes(2 * distance, shape(sides), corner));
  }

  private static String shape(List<Vector3> sides) {
    if (sides.size() == 3) {
      return "T";
    }
    if (sides.size() != 4) {
      return "";
    }
    double least = 180;
    for (Vector3 side : sides) {
      double angle = Math.toDegrees(Math.acos(Math.clamp(side.dot(sides.getFirst()), -1.0, 1.0)));
      if (angle > 1 && angle < 179) {
        least = Math.min(least, Math.min(angle, 180 - angle));
      }
    }
    return switch ((int) Math.round(least)) {
      case 90 -> "S";
      case 80 -> "C";
      case 75 -> "E";
      case 55 -> "D";
      case 35 -> "V";
      default -> "";
    };
  }
}
