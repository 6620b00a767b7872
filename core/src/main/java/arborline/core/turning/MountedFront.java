package arborline.core.turning;

import arborline.core.tool.Tool;
import arborline.core.tool.outline.Part;
import arborline.core.tool.outline.Point;
import java.util.ArrayList;
import java.util.List;

/**
 * A mounted turning tool seen along the axis of the spindles, from the turret towards the main
 * chuck: the operator stands on the left, up is up. The axis is the origin; {@code z} of a point
 * runs to the right, {@code r} upwards, both mm.
 *
 * @param work radii of the work: one of a bar, two of a ring
 * @param tool polygons of the tool; its rake face lies at the height of the axis
 * @param clockwise true where the work turns clockwise in this view
 */
public record MountedFront(List<Double> work, List<Part> tool, boolean clockwise) {

  private static final int ROUND = 36;
  private static final double SHOWN = 1.6;
  private static final double PLATE = 0.35;

  /**
   * Places a tool.
   *
   * @throws IllegalArgumentException where the mounting cannot be
   */
  public static MountedFront of(Mounting mounting, Tool tool) {
    ToolOrientation standing = Orientation.of(mounting);
    int side = standing.contact().equals("front") ? -1 : 1;
    double high = tool.approx("H", tool.approx("DMM", 20));
    double circle = tool.approx("IC", high / 2);
    double radius = Math.max(high, 2 * circle);
    int below = mounting.rakeUp() ? -1 : 1;
    boolean clockwise = standing.spindle().equals("M3") == mounting.subSpindle();
    return switch (mounting.work()) {
      case EXTERNAL ->
          new MountedFront(
              List.of(radius),
              List.of(
                  shank(side * radius, side * (radius + SHOWN * high), below * high),
                  plate(side * radius, side * (radius + circle), below * PLATE * circle)),
              clockwise);
      case INTERNAL -> {
        double bore = 1.2 * radius;
        double thick = PLATE * circle;
        double relieved = Math.sqrt(bore * bore - thick * thick);
        List<Point> insert =
            List.of(
                new Point(side * bore, 0),
                new Point(side * (bore - circle), 0),
                new Point(side * (bore - circle), below * thick),
                new Point(side * relieved, below * thick));
        yield new MountedFront(
            List.of(bore, 2 * radius),
            List.of(
                disc(side * (bore - tool.approx("WF", 0.65 * high)), high / 2),
                new Part(Part.Kind.CUTTING, insert, true)),
            clockwise);
      }
      case FACE ->
          new MountedFront(
              List.of(2 * radius),
              List.of(
                  shank(side * radius, side * (radius + high), below * high),
                  plate(side * radius, side * (radius + circle), below * PLATE * circle)),
              clockwise);
      case CENTER ->
          new MountedFront(
              List.of(2 * radius), List.of(disc(0, tool.approx("DC", high) / 2)), clockwise);
    };
  }

  private static Part shank(double from, double to, double height) {
    return box(Part.Kind.SHANK, from, to, height);
  }

  private static Part plate(double from, double to, double height) {
    return box(Part.Kind.CUTTING, from, to, height);
  }

  private static Part box(Part.Kind kind, double from, double to, double height) {
    return new Part(
        kind,
        List.of(
            new Point(from, 0), new Point(to, 0), new Point(to, height), new Point(from, height)),
        true);
  }

  private static Part disc(double centre, double radius) {
    List<Point> round = new ArrayList<>(ROUND);
    for (int i = 0; i < ROUND; i++) {
      double angle = 2 * Math.PI * i / ROUND;
      round.add(new Point(centre + radius * Math.cos(angle), radius * Math.sin(angle)));
    }
    return new Part(Part.Kind.SHANK, round, true);
  }
}
