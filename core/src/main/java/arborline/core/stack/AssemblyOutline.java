package arborline.core.stack;

import arborline.core.tool.outline.Outline;
import arborline.core.tool.outline.Part;
import arborline.core.tool.outline.Point;
import java.util.ArrayList;
import java.util.List;

/** The outline of a tool in its holder, from the gauge line on, without what an aggregate turns. */
public final class AssemblyOutline {

  private AssemblyOutline() {}

  /** Holder and cutter, one behind the other; the last millimetres that cut are drawn as such. */
  public static Outline of(Stack stack) {
    StackShape shape = stack.shape();
    double fluted = stack.cutter().fluted();
    List<Part> parts = new ArrayList<>();
    for (StackShape.Span span : shape.spans()) {
      if (!span.turned() && span.profile().size() > 1) {
        if (span.cutter()) {
          cutter(parts, span.profile(), fluted);
        } else {
          parts.add(new Part(Part.Kind.BODY, span.profile()));
        }
      }
    }
    return new Outline(shape.length(), shape.widest(), parts, List.of());
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
