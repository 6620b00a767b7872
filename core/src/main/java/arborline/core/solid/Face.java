package arborline.core.solid;

import arborline.core.solid.shape.Surface;
import java.util.ArrayList;
import java.util.List;

/**
 * A bounded piece of a surface.
 *
 * @param outward true where the surface's own normal points out of the solid
 * @param loops its boundaries; seen from outside the face lies on their left
 * @param line of the file on which it stands
 */
record Face(Surface surface, boolean outward, List<List<EdgeUse>> loops, long line) {

  Face {
    loops = List.copyOf(loops);
  }

  List<EdgeUse> edges() {
    if (loops.size() == 1) {
      return loops.getFirst();
    }
    List<EdgeUse> edges = new ArrayList<>();
    loops.forEach(edges::addAll);
    return edges;
  }
}
