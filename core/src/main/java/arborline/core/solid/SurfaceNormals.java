package arborline.core.solid;

import arborline.core.solid.shape.Axis;
import arborline.core.solid.shape.Cone;
import arborline.core.solid.shape.Cylinder;
import arborline.core.solid.shape.Extruded;
import arborline.core.solid.shape.Line;
import arborline.core.solid.shape.Patch;
import arborline.core.solid.shape.Plane;
import arborline.core.solid.shape.Revolved;
import arborline.core.solid.shape.SampledMeridian;
import arborline.core.solid.shape.Sphere;
import arborline.core.solid.shape.SplineSurface;
import arborline.core.solid.shape.Surface;
import arborline.core.solid.shape.Torus;
import arborline.core.solid.shape.Vector3;
import java.util.List;

/** Normals of surfaces at points that lie on them. */
final class SurfaceNormals {

  private static final int GRID = 12;
  private static final double LEVEL = 1e-9;

  private SurfaceNormals() {}

  /** The normal at a point; of free surfaces that at one of their points nearby. */
  static Vector3 at(Surface surface, Vector3 point) {
    return switch (surface) {
      case Plane plane -> plane.frame().z();
      case Cylinder cylinder -> cylinder.frame().axis().outward(point);
      case Cone cone -> {
        Vector3 local = cone.frame().local(point);
        boolean behind = cone.radius() + local.z() * Math.tan(cone.angle()) < 0;
        double u = Math.atan2(local.y(), local.x());
        yield cone.normal(behind ? u + Math.PI : u, local.z());
      }
      case Sphere sphere -> point.minus(sphere.frame().origin()).unit();
      case Torus torus -> {
        Vector3 middle =
            torus.frame().origin().plus(torus.frame().axis().outward(point).times(torus.major()));
        yield point.minus(middle).unit();
      }
      case Revolved revolved -> turned(revolved, point);
      case Extruded drawn -> {
        Vector3 flat = point.minus(drawn.along().times(point.dot(drawn.along())));
        yield drawn.normal(drawn.curve().parameter(flat), 0);
      }
      case SplineSurface spline -> nearby(spline, point);
    };
  }

  private static Vector3 turned(Revolved revolved, Vector3 point) {
    double v = parameter(revolved, point);
    Vector3 reference = revolved.around().outward(revolved.curve().at(v));
    Vector3 out = revolved.around().outward(point);
    double angle =
        Math.atan2(revolved.around().direction().dot(reference.cross(out)), reference.dot(out));
    return revolved.normal(angle, v);
  }

  /** Of a straight line by its height, as it meets the same distance twice. */
  private static double parameter(Revolved revolved, Vector3 point) {
    Axis axis = revolved.around();
    if (revolved.curve() instanceof Line line) {
      double rise = line.direction().dot(axis.direction());
      if (Math.abs(rise) > LEVEL) {
        return (axis.z(point) - axis.z(line.origin())) / rise;
      }
    }
    return new SampledMeridian(revolved.curve(), axis, revolved.from(), revolved.to())
        .parameter(axis.z(point), axis.r(point));
  }

  private static Vector3 nearby(SplineSurface spline, Vector3 point) {
    Patch patch = spline.patch(List.of());
    double least = Double.MAX_VALUE;
    double u = patch.u0();
    double v = patch.v0();
    for (int i = 0; i <= GRID; i++) {
      for (int j = 0; j <= GRID; j++) {
        double a = patch.u((double) i / GRID);
        double b = patch.v((double) j / GRID);
        double distance = spline.at(a, b).distance(point);
        if (distance < least) {
          least = distance;
          u = a;
          v = b;
        }
      }
    }
    return spline.normal(u, v);
  }
}
