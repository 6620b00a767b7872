package arborline.core.tool.rule;

import arborline.core.designation.InsertShape;
import arborline.core.finding.Finding;
import arborline.core.tool.Rule;
import arborline.core.tool.Tool;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Corner angle, edge, corner radius and hole of an insert are possible for its shape and inscribed
 * circle; angle and edge beside a designation are judged by that. Source: ISO 1832; the edge
 * follows from shape and circle by plane geometry.
 */
public final class InsertGeometry implements Rule {

  private static final double ANGLE = 0.6;
  private static final double EDGE_SHARE = 0.06;

  @Override
  public Optional<Finding> check(Tool tool) {
    double circle = tool.approx("IC", 0);
    Optional<Finding> shaped =
        tool.has("MIID") ? Optional.empty() : angle(tool).or(() -> edge(tool, circle));
    return shaped
        .or(() -> within(tool, "RE", circle / 2, "half of", circle))
        .or(() -> within(tool, "D1", circle, "the whole of", circle));
  }

  private static Optional<InsertShape> shape(Tool tool) {
    return tool.word("SC")
        .flatMap(letter ->
            Stream.of(InsertShape.values())
                .filter(shape -> shape.name().equalsIgnoreCase(letter))
                .findFirst());
  }

  private static Optional<Finding> angle(Tool tool) {
    return shape(tool)
        .filter(shape -> !shape.round() && tool.has("EPSR"))
        .filter(shape -> Math.abs(shape.angle() - tool.approx("EPSR", 0)) > ANGLE)
        .map(shape ->
            Finding.hold(
                "insert-geometry",
                "shape %s has a corner of %d deg, but EPSR is %s"
                    .formatted(shape.name(), shape.angle(), tool.values().get("EPSR")),
                "EPSR",
                "SC"));
  }

  private static Optional<Finding> edge(Tool tool, double circle) {
    return shape(tool)
        .filter(shape -> shape.regular() && circle > 0 && tool.has("L"))
        .filter(shape -> {
          double edge = circle * shape.edgePerCircle();
          return Math.abs(tool.approx("L", 0) - edge) > EDGE_SHARE * edge;
        })
        .map(shape ->
            Finding.hold(
                "insert-geometry",
                String.format(
                    Locale.ROOT,
                    "shape %s of IC %s has an edge of %.2f mm, but L is %s",
                    shape.name(),
                    tool.values().get("IC"),
                    circle * shape.edgePerCircle(),
                    tool.values().get("L")),
                "L",
                "IC"));
  }

  private static Optional<Finding> within(
      Tool tool, String symbol, double most, String share, double circle) {
    boolean beyond = circle > 0 && tool.has(symbol) && tool.approx(symbol, 0) > most + 1e-6;
    return beyond
        ? Optional.of(
            Finding.hold(
                "insert-geometry",
                "%s %s is more than %s the inscribed circle IC %s"
                    .formatted(symbol, tool.values().get(symbol), share, tool.values().get("IC")),
                symbol,
                "IC"))
        : Optional.empty();
  }
}
