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
    double high = tool.approx("H", tool.approx("DMM", 20));
    double circle = tool.approx("IC", high / 2);
    double radius = Math.max(high, 2 * circle);
    Frame frame = new Frame(standing.contact().equals("front"), mounting.rakeUp());
    boolean clockwise = standing.spindle().equals("M3") == mounting.subSpindle();
    return switch (mounting.work()) {
      case EXTERNAL ->
          new MountedFront(
              List.of(radius), square(frame, radius, SHOWN * high, high, circle), clockwise);
      case INTERNAL -> {
        double bore = 1.2 * radius;
        double axis = bore - tool.approx("WF", 0.65 * high);
        yield new MountedFront(
            List.of(bore, 2 * radius),
            List.of(disc(frame.at(axis, 0).z(), high / 2), relieved(frame, bore, circle)),
            clockwise);
      }
      case FACE ->
          new MountedFront(
              List.of(2 * radius), square(frame, radius, high, high, circle), clockwise);
      case CENTER ->
          new MountedFront(
              List.of(2 * radius), List.of(disc(0, tool.approx("DC", high) / 2)), clockwise);
    };
  }

  /** A square shank with its insert, from the contact outwards and behind the rake face. */
  private static List<Part> square(
      Frame frame, double from, double shown, double high, double circle) {
    return List.of(
        new Part(Part.Kind.SHANK, frame.box(from, 0, from + shown, high), true),
        new Part(Part.Kind.CUTTING, frame.box(from, 0, from + circle, PLATE * circle), true));
  }

  /** An insert in a bore; its lower edge follows the wall, so that it does not rub. */
  private static Part relieved(Frame frame, double bore, double circle) {
    double thick = PLATE * circle;
    double below = Math.sqrt(bore * bore - thick * thick);
    return new Part(
        Part.Kind.CUTTING,
        List.of(
            frame.at(bore, 0),
            frame.at(bore - circle, 0),
            frame.at(bore - circle, thick),
            frame.at(below, thick)),
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
