package arborline.core.tool.outline;

import java.util.List;

/**
 * The outline of a tool.
 *
 * @param length from gauge line to the furthest point, mm
 * @param diameter largest diameter, mm
 */
public record Outline(double length, double diameter, List<Part> parts, List<Mark> marks) {

  /** The same shape without dimensions and to the micrometre, for lists. */
  public Outline bare() {
    List<Part> rounded =
        parts.stream()
            .map(part -> new Part(part.kind(), round(part.profile()), part.flat()))
            .toList();
    return new Outline(length, diameter, rounded, List.of());
  }

  private static List<Point> round(List<Point> profile) {
    return profile.stream().map(point -> new Point(round(point.z()), round(point.r()))).toList();
  }

  private static double round(double millimetres) {
    return Math.round(millimetres * 1000) / 1000.0;
  }
}
