package arborline.core.turning;

import arborline.core.tool.outline.Outline;
import arborline.core.tool.outline.Part;
import arborline.core.tool.outline.Point;
import java.util.ArrayList;
import java.util.List;

/**
 * A mounted turning tool and the work it touches, looking down on the machine: +Z of the machine to
 * the right, the operator below. The nose is the origin; {@code z} runs to the right, {@code r}
 * downwards, both mm.
 *
 * @param tool polygons of the tool in true shape
 * @param work polygons of the work
 * @param axis where the axis of the spindle lies, in r
 */
public record MountedView(List<Part> tool, List<List<Point>> work, double axis) {

  private static final double CUT = 0.08;

  /**
   * Places a tool.
   *
   * @param outline plan of the tool with its nose at the far end, feed towards positive r for a
   *     right-hand external tool
   * @param left true for a tool whose plan is mirrored
   * @throws IllegalArgumentException where the mounting cannot be
   */
  public static MountedView of(Mounting mounting, Outline outline, boolean left) {
    ToolOrientation orientation = Orientation.of(mounting);
    boolean rear = orientation.contact().equals("rear");
    boolean chuckLeft = !mounting.subSpindle();
    boolean feedLeft = orientation.feed().equals("away_from_chuck") != chuckLeft;
    Point nose = nose(outline, mounting.work() == Mounting.Work.CENTER, left);
    double size = Math.max(10, outline.diameter());
    Frame radial = new Frame(feedLeft, !rear);
    boolean outwards = orientation.feed().equals("away_from_axis");
    Frame axial =
        new Frame(chuckLeft, mounting.work() == Mounting.Work.FACE ? rear == outwards : rear);
    boolean crosswise = mounting.work() == Mounting.Work.EXTERNAL;
    Placer placer = crosswise ? (along, across) -> radial.at(across, along) : axial::at;
    List<Part> placed =
        outline.parts().stream().map(part -> place(part, nose, left, placer)).toList();
    Frame work = new Frame(crosswise ? feedLeft : chuckLeft, rear);
    return new MountedView(
        placed, work(mounting.work(), work, size), work.at(0, axis(mounting.work(), size)).r());
  }

  private interface Placer {
    Point at(double along, double across);
  }

  /** The corner that cuts: the first of the cutting polygon, or the tip of a tool on the axis. */
  private static Point nose(Outline outline, boolean onCentre, boolean left) {
    Point tip = new Point(outline.length(), 0);
    return onCentre
        ? tip
        : outline.parts().stream()
            .filter(part -> part.kind() == Part.Kind.CUTTING && part.flat())
            .map(part -> part.profile().getFirst())
            .findFirst()
            .orElse(tip);
  }

  private static Part place(Part part, Point nose, boolean left, Placer placer) {
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
              double across = point.r() - nose.r();
              return placer.at(point.z() - nose.z(), left ? -across : across);
            })
            .toList(),
        true);
  }

  /** Where the axis of the spindle lies from the nose, towards the side of the contact. */
  private static double axis(Mounting.Work work, double size) {
    return switch (work) {
      case EXTERNAL, FACE -> -size;
      case INTERNAL -> -0.9 * size;
      case CENTER -> 0;
    };
  }

  /**
   * A bar with what is cut and what is not yet, a bored ring, or a face: ahead is the way of the
   * feed, or to the chuck, and outwards the side of the contact.
   */
  private static List<List<Point>> work(Mounting.Work work, Frame frame, double size) {
    double deep = CUT * size;
    double far = 2.2 * size;
    return switch (work) {
      case EXTERNAL ->
          List.of(frame.box(0, 0, -far, -2 * size), frame.box(0, deep, far, -(2 * size + deep)));
      case FACE -> List.of(frame.box(0, 0.5 * size, far, -2.5 * size));
      case INTERNAL ->
          List.of(
              frame.box(-far, 0, 0, 0.6 * size),
              frame.box(0, -deep, far, 0.6 * size),
              frame.box(-far, -1.8 * size, 0, -2.4 * size),
              frame.box(0, -(1.8 * size - deep), far, -2.4 * size));
      case CENTER -> List.of(frame.box(0, -1.2 * size, far, 1.2 * size));
    };
  }
}
