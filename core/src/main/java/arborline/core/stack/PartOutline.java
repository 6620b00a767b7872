package arborline.core.stack;

import arborline.core.tool.outline.Outline;
import arborline.core.tool.outline.Part;
import arborline.core.tool.outline.Point;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** The outline of a part by itself, from its gauge plane on. */
public final class PartOutline {

  private PartOutline() {}

  /** Nothing where it has no cylinder or cone, or one of them is no size. */
  public static Optional<Outline> of(Component part) {
    double at = 0;
    double widest = 0;
    List<Part> parts = new ArrayList<>();
    for (Body body : part.shape()) {
      if (!(body.length() > 0) || !(body.from() > 0) || !(body.to() > 0)) {
        return Optional.empty();
      }
      parts.add(
          new Part(
              Part.Kind.BODY,
              List.of(
                  new Point(at, body.from() / 2), new Point(at + body.length(), body.to() / 2))));
      at += body.length();
      widest = Math.max(widest, Math.max(body.from(), body.to()));
    }
    return parts.isEmpty()
        ? Optional.empty()
        : Optional.of(new Outline(at, widest, parts, List.of()));
  }
}
