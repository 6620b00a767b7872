package arborline.core.solid;

import static arborline.core.solid.ShapeArguments.positive;
import static arborline.core.solid.ShapeArguments.reals;
import static arborline.core.solid.ShapeArguments.references;
import static arborline.core.solid.ShapeArguments.statement;
import static arborline.core.solid.ShapeArguments.unusable;

import arborline.core.part21.Argument;
import arborline.core.part21.Entity;
import arborline.core.part21.InstanceMap;
import arborline.core.part21.Part21Document;
import arborline.core.part21.Statement;
import arborline.core.solid.shape.Curve;
import arborline.core.solid.shape.Ellipse;
import arborline.core.solid.shape.Hyperbola;
import arborline.core.solid.shape.Line;
import arborline.core.solid.shape.Parabola;
import arborline.core.solid.shape.Polyline;
import arborline.core.solid.shape.SplineCurve;
import arborline.core.solid.shape.Vector3;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** Curves of a file. Source: ISO 10303-42. */
final class CurveReader {

  private static final int DEEPEST = 16;

  private final Part21Document document;
  private final PlacedPoints points;
  private final double millimetres;
  private final InstanceMap<Curve> known;

  /** Those that cannot be read, which many may lead to. */
  private final InstanceMap<UnusableShapeException> faults;

  CurveReader(Part21Document document, PlacedPoints points, double millimetres) {
    this.document = document;
    this.known = new InstanceMap<>(document);
    this.faults = new InstanceMap<>(document);
    this.points = points;
    this.millimetres = millimetres;
  }

  /**
   * A curve; a spline that is a circle or a straight line as such.
   *
   * @throws UnusableShapeException where it is none that we know
   */
  Curve curve(long id) {
    Curve before = known.get(id);
    return before == null ? first(id) : before;
  }

  private Curve first(long id) {
    UnusableShapeException fault = faults.get(id);
    if (fault != null) {
      throw fault;
    }
    try {
      Curve read = read(id, 0);
      known.put(id, read);
      return read;
    } catch (UnusableShapeException wrong) {
      faults.put(id, wrong);
      throw wrong;
    }
  }

  private Curve read(long id, int depth) {
    Statement statement = statement(document, id);
    if (depth > DEEPEST) {
      throw unusable(statement, "curves in one another without end");
    }
    Optional<Entity> spline = statement.entity("B_SPLINE_CURVE_WITH_KNOTS");
    if (spline.isPresent() || SplineKnots.isSpline(statement, "CURVE")) {
      return CurveShapes.simplest(spline(statement));
    }
    Entity entity = statement.entities().getFirst();
    return switch (entity.name()) {
      case "LINE" ->
          new Line(points.point(entity.reference(1)), points.vector(entity.reference(2)).unit());
      case "CIRCLE" ->
          Ellipse.circle(points.placement(entity.reference(1)), length(statement, entity.at(2)));
      case "ELLIPSE" ->
          new Ellipse(
              points.placement(entity.reference(1)),
              length(statement, entity.at(2)),
              length(statement, entity.at(3)));
      case "HYPERBOLA" ->
          new Hyperbola(
              points.placement(entity.reference(1)),
              length(statement, entity.at(2)),
              length(statement, entity.at(3)));
      case "PARABOLA" ->
          new Parabola(points.placement(entity.reference(1)), length(statement, entity.at(2)));
      case "POLYLINE" -> polyline(statement, entity);
      case "TRIMMED_CURVE",
          "SURFACE_CURVE",
          "SEAM_CURVE",
          "INTERSECTION_CURVE",
          "BOUNDED_SURFACE_CURVE" ->
          read(entity.reference(1), depth + 1);
      default -> throw unusable(statement, "a curve that is not known");
    };
  }

  private double length(Statement statement, Argument argument) {
    return positive(statement, argument) * millimetres;
  }

  private Polyline polyline(Statement statement, Entity entity) {
    List<Vector3> through = references(entity.list(1)).stream().map(points::point).toList();
    if (through.size() < 2) {
      throw unusable(statement, "fewer than two points");
    }
    return new Polyline(through);
  }

  private SplineCurve spline(Statement statement) {
    SplineKnots knots = SplineKnots.ofCurve(statement);
    List<Vector3> poles = references(knots.poles()).stream().map(points::point).toList();
    double[] weights = new double[poles.size()];
    Arrays.fill(weights, 1);
    Optional<Entity> rational = statement.entity("RATIONAL_B_SPLINE_CURVE");
    if (rational.isPresent()) {
      weights = reals(statement, rational.get().list(0));
    }
    if (weights.length != poles.size()) {
      throw unusable(statement, "not one weight for each pole");
    }
    return new SplineCurve(knots.basis(poles.size()), poles, weights);
  }
}
