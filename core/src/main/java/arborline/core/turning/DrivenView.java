package arborline.core.turning;

import arborline.core.tool.outline.Outline;
import arborline.core.tool.outline.Part;
import arborline.core.tool.outline.Point;
import arborline.core.turning.Mounting.Side;
import java.util.ArrayList;
import java.util.List;

/** A driven tool at a bar, looking down on the machine as {@link MountedView} does. */
public final class DrivenView {

  private static final double ENDWAYS = 30;

  private DrivenView() {}

  /**
   * Places a tool with its tip at the work.
   *
   * @param angle between its axis and that of the work, degrees: 0 along, 90 across
   * @param sub true for work on the sub spindle
   */
  public static MountedView of(Outline outline, double angle, Side side, boolean sub) {
    double size = Math.max(10, outline.diameter());
    double chuck = sub ? -1 : 1;
    double away = side == Side.REAR ? -1 : 1;
    double cos = Math.cos(Math.toRadians(angle));
    double sin = Math.sin(Math.toRadians(angle));
    List<Part> tool =
        outline.parts().stream()
            .map(part -> place(part, outline.length(), chuck, away, cos, sin))
            .toList();
    boolean endways = angle < ENDWAYS;
    double axis = endways ? 0 : -away * 2 * size;
    double far = 3 * size;
    List<Point> bar =
        endways ? box(0, -1.5 * size, -chuck * far, 1.5 * size) : box(-far, 0, far, 2 * axis);
    return new MountedView(tool, List.of(bar), axis);
  }

  private static Part place(
      Part part, double length, double chuck, double away, double cos, double sin) {
    List<Point> polygon = new ArrayList<>(part.profile());
    if (!part.flat()) {
      for (Point point : part.profile().reversed()) {
        polygon.add(new Point(point.z(), -point.r()));
      }
    }
    return new Part(
        part.kind(),
        polygon.stream()
            .map(point -> {
              double behind = length - point.z();
              return new Point(
                  chuck * (behind * cos - point.r() * sin),
                  away * (behind * sin + point.r() * cos));
            })
            .toList(),
        true);
  }

  private static List<Point> box(double z1, double r1, double z2, double r2) {
    return List.of(new Point(z1, r1), new Point(z2, r1), new Point(z2, r2), new Point(z1, r2));
  }
}
