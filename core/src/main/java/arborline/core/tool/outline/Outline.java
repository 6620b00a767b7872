package arborline.core.tool.outline;

import java.util.List;

/**
 * The outline of a tool.
 *
 * @param length from gauge line to the furthest point, mm
 * @param diameter largest diameter, mm
 */
public record Outline(double length, double diameter, List<Part> parts, List<Mark> marks) {

  /** The same shape without dimensions, for lists. */
  public Outline bare() {
    return new Outline(length, diameter, parts, List.of());
  }
}
