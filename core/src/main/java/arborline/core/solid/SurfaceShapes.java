package arborline.core.solid;

import arborline.core.solid.shape.Axis;
import arborline.core.solid.shape.Closeness;
import arborline.core.solid.shape.Cone;
import arborline.core.solid.shape.Curve;
import arborline.core.solid.shape.Cylinder;
import arborline.core.solid.shape.Ellipse;
import arborline.core.solid.shape.Extruded;
import arborline.core.solid.shape.Line;
import arborline.core.solid.shape.Placement;
import arborline.core.solid.shape.Plane;
import arborline.core.solid.shape.Revolved;
import arborline.core.solid.shape.Sphere;
import arborline.core.solid.shape.SplineCurve;
import arborline.core.solid.shape.SplineSurface;
import arborline.core.solid.shape.Surface;
import arborline.core.solid.shape.Torus;
import arborline.core.solid.shape.Vector3;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleFunction;

/** Recognises cylinders, cones, tori, spheres and planes that are written in other ways. */
final class SurfaceShapes {

  private static final int SECTIONS = 4;
  private static final double NEAR = 1e-6;
  private static final double PARALLEL = 1e-7;

  /** How far a straight line is followed that turns around an axis it does not meet, mm. */
  private static final double FAR = 500;

  private SurfaceShapes() {}

  static ReadSurface simplest(SplineSurface spline) {
    return turnedAlongU(spline)
        .or(() -> turnedAlongV(spline))
        .orElse(ReadSurface.asWritten(spline));
  }

  private static Optional<ReadSurface> turnedAlongU(SplineSurface spline) {
    return commonAxis(spline::alongU, spline.v().first(), spline.v().last())
        .map(axis -> turned(spline.alongV(spline.u().first()), axis))
        .map(read -> new ReadSurface(read.surface(), spline));
  }

  private static Optional<ReadSurface> turnedAlongV(SplineSurface spline) {
    return commonAxis(spline::alongV, spline.u().first(), spline.u().last())
        .map(axis -> turned(spline.alongU(spline.v().first()), axis))
        .map(read -> new ReadSurface(read.surface(), spline));
  }

  /** The axis around which all sections are circles; sections that are points do not count. */
  private static Optional<Axis> commonAxis(
      DoubleFunction<SplineCurve> section, double from, double to) {
    List<Axis> axes = new ArrayList<>();
    List<Vector3> tips = new ArrayList<>();
    for (int i = 0; i <= SECTIONS; i++) {
      SplineCurve curve = section.apply(from + (to - from) * i / SECTIONS);
      List<Vector3> points =
          CurveShapes.samples(curve, curve.basis().first(), curve.basis().last());
      if (points.stream().allMatch(point -> point.distance(points.getFirst()) < NEAR)) {
        tips.add(points.getFirst());
        continue;
      }
      Optional<Ellipse> circle = CurveShapes.circle(points);
      if (circle.isEmpty()) {
        return Optional.empty();
      }
      axes.add(circle.get().frame().axis());
    }
    if (axes.size() < 2) {
      return Optional.empty();
    }
    Axis axis = axes.getFirst();
    boolean same =
        axes.stream().allMatch(other -> new Closeness(1e-6, NEAR).same(axis, other))
            && tips.stream().allMatch(tip -> axis.r(tip) < NEAR);
    return same ? Optional.of(axis) : Optional.empty();
  }

  /** A curve turned around an axis. */
  static ReadSurface turned(Curve curve, Axis axis) {
    double from = from(curve);
    double to = to(curve);
    Revolved revolved = new Revolved(curve, axis, from, to);
    List<Vector3> flat = new ArrayList<>();
    for (Vector3 point : CurveShapes.samples(curve, from, to)) {
      flat.add(
          new Vector3(axis.z(point), signedR(axis, curve.at(from + (to - from) / 3), point), 0));
    }
    return CurveShapes.straight(flat)
        .flatMap(line -> straight(line, axis))
        .or(() -> CurveShapes.circle(flat).flatMap(circle -> round(circle, axis)))
        .map(surface -> new ReadSurface(surface, revolved))
        .orElse(ReadSurface.asWritten(revolved));
  }

  /** The distance from the axis; below 0 on the other side than a point of reference. */
  private static double signedR(Axis axis, Vector3 reference, Vector3 point) {
    double r = axis.r(point);
    return axis.outward(point).dot(axis.outward(reference)) < 0 ? -r : r;
  }

  private static double from(Curve curve) {
    return switch (curve) {
      case SplineCurve spline -> spline.basis().first();
      case Line line -> -FAR;
      case Ellipse ellipse -> 0;
      case arborline.core.solid.shape.Polyline polyline -> 0;
      default -> -8;
    };
  }

  private static double to(Curve curve) {
    return switch (curve) {
      case SplineCurve spline -> spline.basis().last();
      case Line line -> FAR;
      case Ellipse ellipse -> ellipse.period();
      case arborline.core.solid.shape.Polyline polyline -> polyline.points().size() - 1;
      default -> 8;
    };
  }

  private static Optional<Surface> straight(Line line, Axis axis) {
    double dz = line.direction().x();
    double dr = line.direction().y();
    Vector3 at = line.origin();
    Vector3 k = axis.direction();
    if (Math.abs(dr) < PARALLEL) {
      return Math.abs(at.y()) < NEAR
          ? Optional.empty()
          : Optional.of(new Cylinder(frame(axis.origin(), k), Math.abs(at.y())));
    }
    if (Math.abs(dz) < PARALLEL) {
      return Optional.of(new Plane(frame(axis.at(at.x()), k)));
    }
    double apex = at.x() - at.y() * dz / dr;
    boolean wider = at.y() == 0 ? dz * dr > 0 : (at.x() - apex) > 0;
    double angle = Math.atan(Math.abs(dr / dz));
    return Optional.of(new Cone(frame(axis.at(apex), wider ? k : k.times(-1)), 0, angle));
  }

  private static Optional<Surface> round(Ellipse circle, Axis axis) {
    Vector3 centre = circle.frame().origin();
    Placement frame = frame(axis.at(centre.x()), axis.direction());
    return Math.abs(centre.y()) < NEAR
        ? Optional.of(new Sphere(frame, circle.a()))
        : Optional.of(new Torus(frame, Math.abs(centre.y()), circle.a()));
  }

  private static Placement frame(Vector3 origin, Vector3 z) {
    return Placement.of(origin, z, z.anyAcross());
  }

  /** A curve drawn along a direction. */
  static ReadSurface drawn(Curve curve, Vector3 along) {
    Extruded drawn = new Extruded(curve, along, from(curve), to(curve));
    Vector3 k = along.unit();
    return switch (curve) {
      case Line line when line.direction().cross(k).length() > PARALLEL ->
          new ReadSurface(
              new Plane(Placement.of(line.origin(), line.direction().cross(k), line.direction())),
              drawn);
      case Ellipse ellipse
          when ellipse.round() && ellipse.frame().z().cross(k).length() < PARALLEL ->
          new ReadSurface(new Cylinder(frame(ellipse.frame().origin(), k), ellipse.a()), drawn);
      default -> ReadSurface.asWritten(drawn);
    };
  }
}
