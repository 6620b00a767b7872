package arborline.core.solid;

import arborline.core.solid.shape.Cylinder;
import arborline.core.solid.shape.Vector3;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** Shanks of turning tools and inserts among parts that are not turned. */
final class BoxShapes {

  private BoxShapes() {}

  static List<SolidProposal> of(Extents extents, List<Body> bodies) {
    Vector3 box = extents.size();
    double[] sides = {box.x(), box.y(), box.z()};
    Arrays.sort(sides);
    Dimensions sizes = new Dimensions();
    if (bodies.size() == 1
        && sides[0] < 0.55 * sides[1]
        && sides[2] < 2.6 * sides[1]
        && sides[2] < 60) {
      sizes.add("S", sides[0]);
      double hole = hole(bodies.getFirst());
      if (hole > 0) {
        sizes.add("D1", hole);
      }
      Optional<InsertPlanes> plan = plan(extents, sides[0], bodies.getFirst());
      plan.ifPresent(known -> {
        sizes.add("IC", known.circle()).add("RE", known.corner());
        if (!known.shape().isEmpty()) {
          sizes.text("SC", known.shape());
        }
      });
      double sure = hole > 0 ? 0.85 : plan.isPresent() ? 0.6 : 0.4;
      return List.of(sizes.as("insert", "insert", sure));
    }
    if (sides[2] > 2.5 * sides[1] && sides[1] < 3 * sides[0]) {
      return List.of(
          sizes
              .add("B", sides[0])
              .add("H", sides[1])
              .add("OAL", sides[2])
              .as("shank", "turning-external", 0.55));
    }
    return List.of(sizes.as("other", "", 0.5));
  }

  private static Optional<InsertPlanes> plan(Extents extents, double thickness, Body body) {
    Vector3 size = extents.size();
    Vector3 across =
        size.x() == thickness
            ? extents.frame().x()
            : size.y() == thickness ? extents.frame().y() : extents.frame().z();
    Vector3 middle = extents.frame().point(extents.low().plus(extents.high()).times(0.5));
    return InsertPlanes.of(
        body, body.placement().localDirection(across), body.placement().local(middle));
  }

  /** The largest diameter of a round hole; 0 where there is none. */
  private static double hole(Body body) {
    return body.faces().stream()
        .filter(face -> !face.outward() && face.surface() instanceof Cylinder)
        .mapToDouble(face -> 2 * ((Cylinder) face.surface()).radius())
        .max()
        .orElse(0);
  }
}
