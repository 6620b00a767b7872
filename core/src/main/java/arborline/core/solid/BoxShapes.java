package arborline.core.solid;

import arborline.core.solid.shape.Cylinder;
import arborline.core.solid.shape.Vector3;
import java.util.Arrays;
import java.util.List;

/** Shanks of turning tools and inserts among parts that are not turned. */
final class BoxShapes {

  private BoxShapes() {}

  static List<SolidProposal> of(Vector3 box, List<Body> bodies) {
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
      return List.of(sizes.as("insert", "insert", hole > 0 ? 0.85 : 0.6));
    }
    if (sides[2] > 2.5 * sides[1] && sides[1] < 3 * sides[0]) {
      return List.of(
          sizes.add("B", sides[0]).add("H", sides[1]).add("OAL", sides[2]).as("shank", "", 0.8));
    }
    return List.of(sizes.as("other", "", 0.5));
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
