package arborline.core.solid;

import arborline.core.solid.shape.Surface;
import arborline.core.solid.shape.Vector3;
import java.util.List;

/**
 * A surface in its simplest form.
 *
 * @param written as it stands in the file; the normals of the two may point different ways
 */
record ReadSurface(Surface surface, Surface written) {

  private static final double CLEAR = 0.5;

  static ReadSurface asWritten(Surface surface) {
    return new ReadSurface(surface, surface);
  }

  /** True where the simple form's normal points the other way than the written one's, there. */
  boolean turned(List<Vector3> there) {
    if (surface == written) {
      return false;
    }
    for (Vector3 point : there) {
      double agreement = SurfaceNormals.at(surface, point).dot(SurfaceNormals.at(written, point));
      if (Math.abs(agreement) > CLEAR) {
        return agreement < 0;
      }
    }
    return false;
  }
}
