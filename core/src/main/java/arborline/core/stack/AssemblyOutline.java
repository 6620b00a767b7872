package arborline.core.stack;

import arborline.core.tool.outline.Outline;
import arborline.core.tool.outline.Part;
import arborline.core.tool.outline.Point;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** The outline of a tool in its holder, from the gauge line on. */
public final class AssemblyOutline {

  private AssemblyOutline() {}

  /**
   * Holder and cutter on the axis of the spindle, one behind the other; without what lies on a
   * turned axis. The last millimetres that cut are drawn as such.
   */
  public static Outline of(Stack stack) {
    StackShape shape = stack.shape();
    return new Outline(shape.length(), shape.widest(), parts(stack, shape, false), List.of());
  }

  /**
   * What lies on a turned axis.
   *
   * @param at where it crosses the axis of the spindle, mm from the gauge line
   * @param angle between the axes, degrees
   * @param outline along it, from the crossing on
   */
  public record TurnedOutline(double at, double angle, Outline outline) {

    /** To the micrometre, for lists. */
    public TurnedOutline bare() {
      return new TurnedOutline(at, angle, outline.bare());
    }
  }

  /** What an aggregate, or a block for a shank across, turns; empty where nothing is turned. */
  public static Optional<TurnedOutline> turned(Stack stack) {
    StackShape shape = stack.shape();
    return shape
        .turned()
        .map(turned ->
            new TurnedOutline(
                turned.at(),
                turned.angle(),
                new Outline(
                    shape.spans().stream()
                        .filter(StackShape.Span::turned)
                        .flatMap(span -> span.profile().stream())
                        .mapToDouble(Point::z)
                        .max()
                        .orElse(0),
                    shape.thickness(),
                    parts(stack, shape, true),
                    List.of())));
  }

  private static List<Part> parts(Stack stack, StackShape shape, boolean turned) {
    double fluted = stack.cutter().fluted();
    List<Part> parts = new ArrayList<>();
    for (StackShape.Span span : shape.spans()) {
      if (span.turned() == turned && span.profile().size() > 1) {
        if (!span.plan().isEmpty()) {
          parts.addAll(span.plan());
        } else if (span.cutter()) {
          cutter(parts, span.profile(), fluted);
        } else {
          parts.add(new Part(Part.Kind.BODY, span.profile()));
        }
      }
    }
    return parts;
  }

  private static void cutter(List<Part> parts, List<Point> profile, double fluted) {
    double cuts = profile.getLast().z() - fluted;
    List<Point> shank = new ArrayList<>();
    List<Point> edges = new ArrayList<>();
    for (Point point : profile) {
      (point.z() <= cuts ? shank : edges).add(point);
    }
    if (shank.size() > 1) {
      parts.add(new Part(Part.Kind.SHANK, shank));
    }
    if (!shank.isEmpty() && !edges.isEmpty() && edges.getFirst().z() > shank.getLast().z()) {
      edges.addFirst(shank.getLast());
    }
    if (edges.size() > 1) {
      parts.add(new Part(Part.Kind.FLUTES, edges));
    }
  }
}
