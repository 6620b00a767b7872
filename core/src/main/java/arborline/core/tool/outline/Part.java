package arborline.core.tool.outline;

import java.util.List;

/** One stretch of a tool, drawn from its half profile mirrored at the axis. */
public record Part(Kind kind, List<Point> profile) {

  /** What the stretch does, and so how it is drawn. */
  public enum Kind {
    SHANK,
    BODY,
    NECK,
    FLUTES,
    CUTTING
  }
}
