package arborline.core.solid.shape;

import java.util.List;
import java.util.Optional;

/** A surface in space with two parameters. Source: ISO 10303-42, elementary and swept surfaces. */
public sealed interface Surface
    permits Plane, Cylinder, Cone, Torus, Sphere, Revolved, Extruded, SplineSurface {

  Vector3 at(double u, double v);

  /** Across the surface, of length 1; without length where it has none, as at a cone's point. */
  Vector3 normal(double u, double v);

  /** Parameters between which all of a face lies that has these points on its boundary. */
  Patch patch(List<Vector3> boundary);

  /** The axis around which it is turned; nothing where it is not, or where each axis would do. */
  default Optional<Axis> axis() {
    return Optional.empty();
  }

  /** What is turned around an axis to give this surface; nothing where it is not turned there. */
  default Optional<Meridian> meridian(Axis axis, Closeness closeness) {
    return Optional.empty();
  }
}
