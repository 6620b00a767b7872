package arborline.core.designation;

import java.util.Optional;

/**
 * The parts of an insert designation. Source: ISO 1832 (metric) and ANSI B212.4 (inch).
 *
 * @param system the one it was written in
 * @param clearance letter of position 2
 * @param tolerance letter of position 3
 * @param type letter of position 4: hole and chip breaker
 * @param edge cutting-edge condition, position 8; empty where not stated
 * @param land chamfer of the edge, five digits: width in 1/100 mm and angle in degrees; empty where
 *     not stated
 * @param hand R, L or N, position 9; empty where not stated
 */
public record InsertDesignation(
    System system,
    InsertShape shape,
    char clearance,
    char tolerance,
    char type,
    InsertSize size,
    Thickness thickness,
    Corner corner,
    String edge,
    String land,
    String hand) {

  /** How sizes are written. */
  public enum System {
    METRIC,
    INCH
  }

  private String letters() {
    return "" + shape.name() + clearance + tolerance + type + " ";
  }

  private String tail() {
    return edge + land + hand;
  }

  /** As written in the metric system. */
  public Optional<String> metric() {
    return corner
        .metric()
        .map(written -> letters() + size.metric() + thickness.metric() + written + tail());
  }

  /** As written in the inch system; empty where a part of it has no inch form. */
  public Optional<String> inch() {
    if (size.inch().isEmpty() || thickness.inch().isEmpty() || corner.inch().isEmpty()) {
      return Optional.empty();
    }
    return Optional.of(
        letters() + size.inch().get() + thickness.inch().get() + corner.inch().get() + tail());
  }

  /** As written in the other system. */
  public Optional<String> converted() {
    return system == System.METRIC ? inch() : metric();
  }
}
