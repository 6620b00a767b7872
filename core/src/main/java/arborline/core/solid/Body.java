package arborline.core.solid;

import arborline.core.solid.shape.Placement;
import java.util.List;

/**
 * A body where it stands.
 *
 * @param closed false for a shell that encloses nothing
 * @param placement that carries its own frame to that of the file
 */
record Body(String name, List<Face> faces, boolean closed, Placement placement) {

  Body {
    faces = List.copyOf(faces);
  }
}
