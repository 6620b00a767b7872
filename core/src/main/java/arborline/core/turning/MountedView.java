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
    ToolOrientation standing = Orientation.of(mounting);
    int contact = standing.contact().equals("rear") ? -1 : 1;
    int chuck = mounting.subSpindle() ? 1 : -1;
    int feed =
        switch (standing.feed()) {
          case "toward_chuck" -> chuck;
          case "away_from_chuck" -> -chuck;
          default -> chuck;
        };
    Point nose = nose(outline, mounting.work() == Mounting.Work.CENTER, left);
    double size = Math.max(10, outline.diameter());
    Placer placer =
        switch (mounting.work()) {
          case EXTERNAL -> (along, across) -> new Point(across * feed, -along * contact);
          case FACE -> {
            int towards = standing.feed().equals("away_from_axis") ? contact : -contact;
            yield (along, across) -> new Point(along * chuck, across * towards);
          }
          default -> (along, across) -> new Point(along * chuck, across * contact);
        };
    List<Part> placed =
        outline.parts().stream().map(part -> place(part, nose, left ? -1 : 1, placer)).toList();
    return new MountedView(
        placed,
        work(mounting.work(), contact, chuck, feed, size),
        axis(mounting.work(), contact, size));
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

  private static Part place(Part part, Point nose, int side, Placer placer) {
    List<Point> polygon = new ArrayList<>(part.profile());
    if (!part.flat()) {
      for (Point each : part.profile().reversed()) {
        polygon.add(new Point(each.z(), -each.r()));
      }
    }
    return new Part(
        part.kind(),
        polygon.stream()
            .map(each -> placer.at(each.z() - nose.z(), (each.r() - nose.r()) * side))
            .toList(),
        true);
  }

  private static double axis(Mounting.Work work, int contact, double size) {
    return switch (work) {
      case EXTERNAL, FACE -> -contact * size;
      case INTERNAL -> -contact * 0.9 * size;
      case CENTER -> 0;
    };
  }

  /** A bar with what is cut and what is not yet, a bored ring, or a face. */
  private static List<List<Point>> work(
      Mounting.Work work, int contact, int chuck, int feed, double size) {
    double deep = CUT * size;
    double far = 2.2 * size;
    return switch (work) {
      case EXTERNAL ->
          List.of(
              box(0, -feed * far, 0, -contact * 2 * size),
              box(0, feed * far, contact * deep, -contact * (2 * size + deep)));
      case FACE -> List.of(box(0, chuck * far, contact * 0.5 * size, -contact * 2.5 * size));
      case INTERNAL ->
          List.of(
              box(-chuck * far, 0, 0, contact * 0.6 * size),
              box(0, chuck * far, -contact * deep, contact * 0.6 * size),
              box(-chuck * far, 0, -contact * 1.8 * size, -contact * 2.4 * size),
              box(0, chuck * far, -contact * (1.8 * size - deep), -contact * 2.4 * size));
      case CENTER -> List.of(box(0, chuck * far, -1.2 * size, 1.2 * size));
    };
  }

  private static List<Point> box(double z1, double z2, double r1, double r2) {
    return List.of(new Point(z1, r1), new Point(z2, r1), new Point(z2, r2), new Point(z1, r2));
  }
}
