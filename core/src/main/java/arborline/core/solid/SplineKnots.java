package arborline.core.solid;

import static arborline.core.solid.ShapeArguments.entity;
import static arborline.core.solid.ShapeArguments.real;
import static arborline.core.solid.ShapeArguments.unusable;

import arborline.core.part21.Argument;
import arborline.core.part21.Entity;
import arborline.core.part21.Statement;
import arborline.core.solid.shape.SplineBasis;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/**
 * The knots of a spline in one direction, whether it is written as one entity or as several partial
 * ones, with its knots or as a Bezier, uniform or quasi-uniform one. Source: ISO 10303-42.
 *
 * @param poles their references, of a surface row by row
 */
record SplineKnots(
    Statement statement,
    int degree,
    List<Argument> poles,
    List<Argument> multiplicities,
    List<Argument> values) {

  private static final int MOST = 100_000;
  private static final Set<String> FORMS =
      Set.of("B_SPLINE_", "BEZIER_", "UNIFORM_", "QUASI_UNIFORM_");

  /** True where a spline is written in another manner than with its knots. */
  static boolean isSpline(Statement statement, String kind) {
    for (Entity entity : statement.entities()) {
      String name = entity.name();
      if (name.endsWith(kind) && FORMS.contains(name.substring(0, name.length() - kind.length()))) {
        return true;
      }
    }
    return false;
  }

  static SplineKnots ofCurve(Statement statement) {
    boolean whole = statement.entities().size() == 1;
    Entity knots = statement.entity("B_SPLINE_CURVE_WITH_KNOTS").orElse(null);
    Entity plain = whole ? statement.entities().getFirst() : entity(statement, "B_SPLINE_CURVE");
    int first = whole ? 1 : 0;
    int at = whole ? 6 : 0;
    return new SplineKnots(
        statement,
        degree(statement, plain.at(first)),
        plain.list(first + 1),
        knots == null ? List.of() : knots.list(at),
        knots == null ? List.of() : knots.list(at + 1));
  }

  /** Both directions of a surface, u first. */
  static List<SplineKnots> ofSurface(Statement statement) {
    boolean whole = statement.entities().size() == 1;
    Entity knots = statement.entity("B_SPLINE_SURFACE_WITH_KNOTS").orElse(null);
    Entity plain = whole ? statement.entities().getFirst() : entity(statement, "B_SPLINE_SURFACE");
    int first = whole ? 1 : 0;
    int at = whole ? 8 : 0;
    List<SplineKnots> both = new ArrayList<>();
    for (int side = 0; side < 2; side++) {
      both.add(
          new SplineKnots(
              statement,
              degree(statement, plain.at(first + side)),
              plain.list(first + 2),
              knots == null ? List.of() : knots.list(at + side),
              knots == null ? List.of() : knots.list(at + 2 + side)));
    }
    return both;
  }

  private static int degree(Statement statement, Argument argument) {
    return (int) real(statement, argument);
  }

  /**
   * The basis for so many poles.
   *
   * @throws UnusableShapeException where the knots do not fit
   */
  SplineBasis basis(int count) {
    try {
      return new SplineBasis(degree, multiplicities.isEmpty() ? implied(count) : repeated(), count);
    } catch (IllegalArgumentException wrong) {
      throw unusable(statement, wrong.getMessage());
    }
  }

  private double[] repeated() {
    List<Double> knots = new ArrayList<>();
    for (int i = 0; i < Math.min(values.size(), multiplicities.size()); i++) {
      double value = real(statement, values.get(i));
      int times = (int) real(statement, multiplicities.get(i));
      if (times < 0 || knots.size() + times > MOST) {
        throw unusable(statement, "a knot stands %d times".formatted(times));
      }
      for (int k = 0; k < times; k++) {
        knots.add(value);
      }
    }
    return knots.stream().mapToDouble(Double::doubleValue).toArray();
  }

  private double[] implied(int count) {
    boolean bezier =
        statement.entities().stream().anyMatch(entity -> entity.name().startsWith("BEZIER"));
    boolean uniform =
        statement.entities().stream().anyMatch(entity -> entity.name().startsWith("UNIFORM"));
    if (degree < 1 || degree > SplineBasis.MOST_DEGREE || count > MOST) {
      throw unusable(statement, "%d poles of degree %d".formatted(count, degree));
    }
    double[] knots = new double[count + degree + 1];
    for (int i = 0; i < knots.length; i++) {
      int inner = Math.clamp(i - degree, 0, Math.max(1, count - degree));
      knots[i] = uniform ? i - degree : bezier ? bezier(i, count) : inner;
    }
    return knots;
  }

  /** Pieces of {@code degree} poles each, joined at knots that count {@code degree} times. */
  private double bezier(int index, int count) {
    return index == 0 ? 0 : index == count + degree ? (count - 1.0) / degree : (index - 1) / degree;
  }
}
