package arborline.core.solid;

import static arborline.core.solid.ShapeArguments.positive;
import static arborline.core.solid.ShapeArguments.real;
import static arborline.core.solid.ShapeArguments.reals;
import static arborline.core.solid.ShapeArguments.references;
import static arborline.core.solid.ShapeArguments.statement;
import static arborline.core.solid.ShapeArguments.unusable;

import arborline.core.part21.Argument;
import arborline.core.part21.Entity;
import arborline.core.part21.InstanceMap;
import arborline.core.part21.Part21Document;
import arborline.core.part21.Statement;
import arborline.core.solid.shape.Cone;
import arborline.core.solid.shape.Curve;
import arborline.core.solid.shape.Cylinder;
import arborline.core.solid.shape.Plane;
import arborline.core.solid.shape.Sphere;
import arborline.core.solid.shape.SplineSurface;
import arborline.core.solid.shape.Torus;
import arborline.core.solid.shape.Vector3;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** Surfaces of a file. Source: ISO 10303-42. */
final class SurfaceReader {

  private static final int DEEPEST = 8;

  private final Part21Document document;
  private final PlacedPoints points;
  private final CurveReader curves;
  private final ShapeUnits units;
  private final InstanceMap<ReadSurface> known;

  /** Those that cannot be read, which many may lead to. */
  private final InstanceMap<UnusableShapeException> faults;

  SurfaceReader(
      Part21Document document, PlacedPoints points, CurveReader curves, ShapeUnits units) {
    this.document = document;
    this.known = new InstanceMap<>(document);
    this.faults = new InstanceMap<>(document);
    this.points = points;
    this.curves = curves;
    this.units = units;
  }

  /**
   * A surface; a swept or free one that is a cylinder, cone, torus, sphere or plane as such.
   *
   * @throws UnusableShapeException where it is none that we know
   */
  ReadSurface surface(long id) {
    ReadSurface before = known.get(id);
    return before == null ? first(id) : before;
  }

  private ReadSurface first(long id) {
    UnusableShapeException fault = faults.get(id);
    if (fault != null) {
      throw fault;
    }
    try {
      ReadSurface read = read(id, 0);
      known.put(id, read);
      return read;
    } catch (UnusableShapeException wrong) {
      faults.put(id, wrong);
      throw wrong;
    }
  }

  private ReadSurface read(long id, int depth) {
    Statement statement = statement(document, id);
    if (depth > DEEPEST) {
      throw unusable(statement, "surfaces in one another without end");
    }
    if (SplineKnots.isSpline(statement, "SURFACE")
        || statement.entity("B_SPLINE_SURFACE_WITH_KNOTS").isPresent()) {
      return SurfaceShapes.simplest(spline(statement));
    }
    Entity entity = statement.entities().getFirst();
    return switch (entity.name()) {
      case "PLANE" -> plain(new Plane(points.placement(entity.reference(1))));
      case "CYLINDRICAL_SURFACE" ->
          plain(
              new Cylinder(points.placement(entity.reference(1)), length(statement, entity.at(2))));
      case "CONICAL_SURFACE" -> plain(cone(statement, entity));
      case "SPHERICAL_SURFACE" ->
          plain(new Sphere(points.placement(entity.reference(1)), length(statement, entity.at(2))));
      case "TOROIDAL_SURFACE", "DEGENERATE_TOROIDAL_SURFACE" ->
          plain(
              new Torus(
                  points.placement(entity.reference(1)),
                  length(statement, entity.at(2)),
                  length(statement, entity.at(3))));
      case "SURFACE_OF_REVOLUTION" ->
          SurfaceShapes.turned(curves.curve(entity.reference(1)), points.axis(entity.reference(2)));
      case "SURFACE_OF_LINEAR_EXTRUSION" -> extruded(entity);
      case "RECTANGULAR_TRIMMED_SURFACE", "CURVE_BOUNDED_SURFACE" ->
          read(entity.reference(1), depth + 1);
      default -> throw unusable(statement, "a surface that is not known");
    };
  }

  private static ReadSurface plain(arborline.core.solid.shape.Surface surface) {
    return ReadSurface.asWritten(surface);
  }

  private double length(Statement statement, Argument argument) {
    return positive(statement, argument) * units.length();
  }

  private Cone cone(Statement statement, Entity entity) {
    double radius = real(statement, entity.at(2)) * units.length();
    double angle = real(statement, entity.at(3)) * units.angle();
    if (radius < 0 || angle <= 0 || angle >= Math.PI / 2) {
      throw unusable(statement, "no cone has this radius and angle");
    }
    return new Cone(points.placement(entity.reference(1)), radius, angle);
  }

  private ReadSurface extruded(Entity entity) {
    Curve curve = curves.curve(entity.reference(1));
    Vector3 along = points.vector(entity.reference(2));
    return SurfaceShapes.drawn(curve, along);
  }

  private SplineSurface spline(Statement statement) {
    List<SplineKnots> knots = SplineKnots.ofSurface(statement);
    List<List<Long>> rows = new ArrayList<>();
    for (Argument row : knots.getFirst().poles()) {
      rows.add(row instanceof Argument.Several several ? references(several.of()) : List.of());
    }
    int columns = rows.isEmpty() ? 0 : rows.getFirst().size();
    if (columns == 0 || rows.stream().anyMatch(row -> row.size() != columns)) {
      throw unusable(statement, "the rows of poles are not of one length");
    }
    List<Vector3> poles = rows.stream().flatMap(List::stream).map(points::point).toList();
    return new SplineSurface(
        knots.get(0).basis(rows.size()),
        knots.get(1).basis(columns),
        poles,
        weights(statement, poles.size()));
  }

  private static double[] weights(Statement statement, int count) {
    Optional<Entity> rational = statement.entity("RATIONAL_B_SPLINE_SURFACE");
    double[] weights = new double[count];
    if (rational.isEmpty()) {
      Arrays.fill(weights, 1);
      return weights;
    }
    int at = 0;
    for (Argument row : rational.get().list(0)) {
      double[] numbers =
          row instanceof Argument.Several several ? reals(statement, several.of()) : new double[0];
      if (at + numbers.length > count) {
        throw unusable(statement, "more weights than poles");
      }
      System.arraycopy(numbers, 0, weights, at, numbers.length);
      at += numbers.length;
    }
    if (at != count) {
      throw unusable(statement, "not one weight for each pole");
    }
    return weights;
  }
}
