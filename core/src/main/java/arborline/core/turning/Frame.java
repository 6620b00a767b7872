package arborline.core.turning;

import arborline.core.tool.outline.Point;
import java.util.List;

/**
 * Which ways the axes of a drawing are turned: what is made once, looking one way, is placed for
 * every mounting.
 *
 * @param turnedZ true where the first axis runs the other way
 * @param turnedR true where the second axis runs the other way
 */
record Frame(boolean turnedZ, boolean turnedR) {

  Point at(double z, double r) {
    return new Point(turnedZ ? -z : z, turnedR ? -r : r);
  }

  /** The rectangle between two corners. */
  List<Point> box(double z1, double r1, double z2, double r2) {
    return List.of(at(z1, r1), at(z2, r1), at(z2, r2), at(z1, r2));
  }
}
