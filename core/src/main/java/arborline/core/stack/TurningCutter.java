package arborline.core.stack;

import arborline.core.tool.Tool;
import arborline.core.tool.outline.Outline;
import arborline.core.tool.outline.Part;
import arborline.core.tool.outline.Point;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;

/** A turning tool as the last part of a stack: a square or round shank with its head in front. */
final class TurningCutter {

  /** How far bars usually stand out, in shank heights; boring bars in diameters. */
  private static final double SHANKS_OUT = 1.5;

  private static final double BARS_OUT = 3;

  private final Tool tool;
  private final Outline outline;

  private TurningCutter(Tool tool, Outline outline) {
    this.tool = tool;
    this.outline = outline;
  }

  /** Its bodies and what it is clamped by; empty for what has no shank, such as an insert. */
  static Optional<Cutter> of(Tool tool, Outline outline, Material material) {
    boolean square = tool.has("H") && tool.has("B");
    return square || tool.has("DMM")
        ? Optional.of(new TurningCutter(tool, outline).cutter(square, material))
        : Optional.empty();
  }

  private Cutter cutter(boolean square, Material material) {
    double height = square ? tool.approx("H", 0) : tool.approx("DMM", 0);
    double shank = shank();
    List<Body> bodies = new ArrayList<>();
    bodies.add(square ? bar(shank, height, tool.approx("B", 0)) : new Body(shank, height, height));
    if (outline.length() - shank > 0) {
      bodies.add(head(outline.length() - shank, height));
    }
    return new Cutter(
        tool.code(),
        connection(square),
        bodies,
        material,
        0,
        outline.diameter(),
        tool.approx("LU", tool.approx("LH", (square ? SHANKS_OUT : BARS_OUT) * height)),
        0,
        outline.parts());
  }

  /** Length of the shank, mm. */
  private double shank() {
    return points(kind -> kind == Part.Kind.SHANK).stream()
        .mapToDouble(Point::z)
        .max()
        .orElse(outline.length());
  }

  private static Body bar(double length, double height, double width) {
    double around = Math.hypot(height, width);
    return new Body(length, around, around, Optional.of(new Section(height, width)));
  }

  /** As wide as its plan on average, as high as the shank, in the circle that its corners need. */
  private Body head(double length, double height) {
    double area =
        outline.parts().stream()
            .filter(part -> part.kind() != Part.Kind.SHANK)
            .mapToDouble(part -> Plan.area(part.profile()))
            .sum();
    double out =
        points(kind -> kind != Part.Kind.SHANK).stream()
            .mapToDouble(point -> Math.abs(point.r()))
            .max()
            .orElse(0);
    double around = 2 * Math.hypot(out, height / 2);
    return new Body(length, around, around, Optional.of(new Section(height, area / length)));
  }

  private List<Point> points(Predicate<Part.Kind> wanted) {
    return outline.parts().stream()
        .filter(part -> wanted.test(part.kind()))
        .flatMap(part -> part.profile().stream())
        .toList();
  }

  /** Bars for turning have flats, by which screws hold them; one without says so by its CCMS. */
  private String connection(boolean square) {
    return tool.word("CCMS")
        .orElseGet(() ->
            square
                ? "SQ-H-%sx%s:m".formatted(plain("H"), plain("B"))
                : "CY-B-%s:m".formatted(plain("DMM")));
  }

  private String plain(String symbol) {
    BigDecimal size = tool.size(symbol);
    return size == null ? "0" : size.stripTrailingZeros().toPlainString();
  }
}
