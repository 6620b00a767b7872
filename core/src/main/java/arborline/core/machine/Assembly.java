package arborline.core.machine;

import arborline.core.stack.Stack;
import arborline.core.stack.StackShape;
import arborline.core.storage.ToolCorner;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What a machine meets of a tool in its holder. Rounded to 0.001.
 *
 * @param length from the gauge line to the tip, mm
 * @param diameter largest, mm, as it turns about the axis of the spindle
 * @param thickness largest, mm, to the sides of a station whose block holds a tool across
 * @param mass kg
 * @param moment tilting moment at the gauge line, N·m
 * @param connection code of its machine side; empty where nobody knows
 * @param turned angle between its axis and that of the spindle, degrees; null where it is held
 *     straight on
 * @param corners its outermost points
 */
public record Assembly(
    BigDecimal length,
    BigDecimal diameter,
    BigDecimal thickness,
    BigDecimal mass,
    BigDecimal moment,
    String connection,
    @Nullable BigDecimal turned,
    List<ToolCorner> corners) {

  public Assembly {
    corners = List.copyOf(corners);
  }

  /** A straight one of which no more is known. */
  public Assembly(
      BigDecimal length,
      BigDecimal diameter,
      BigDecimal mass,
      BigDecimal moment,
      String connection) {
    this(length, diameter, diameter, mass, moment, connection, null, List.of());
  }

  public static Assembly of(Stack stack) {
    StackShape shape = stack.shape();
    return new Assembly(
        rounded(shape.length()),
        rounded(shape.widest()),
        rounded(shape.thickness()),
        rounded(shape.mass()),
        rounded(shape.moment()),
        stack.components().isEmpty()
            ? stack.cutter().connection()
            : stack.components().getFirst().machineSide(),
        shape.turned().map(turned -> rounded(turned.angle())).orElse(null),
        outermost(shape.corners()));
  }

  /** Without points that others lie both farther out and farther beside than. */
  private static List<ToolCorner> outermost(List<StackShape.ShapeCorner> corners) {
    List<ToolCorner> outermost = new ArrayList<>();
    corners.stream()
        .map(corner -> new ToolCorner(rounded(corner.along()), rounded(corner.beside())))
        .sorted(
            Comparator.comparing(ToolCorner::along).thenComparing(ToolCorner::beside).reversed())
        .forEach(corner -> {
          if (outermost.isEmpty() || corner.beside().compareTo(outermost.getLast().beside()) > 0) {
            outermost.add(corner);
          }
        });
    return outermost;
  }

  private static BigDecimal rounded(double value) {
    BigDecimal rounded =
        BigDecimal.valueOf(value).setScale(3, RoundingMode.HALF_UP).stripTrailingZeros();
    return rounded.scale() < 0 ? rounded.setScale(0) : rounded;
  }
}
