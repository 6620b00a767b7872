package arborline.core.tool.outline;

import java.util.List;

/**
 * One stretch of a tool.
 *
 * @param profile half profile, mirrored at the axis; of a flat part, all corners of its polygon
 * @param flat true for what is no solid of revolution, such as the shank of a turning tool
 */
public record Part(Kind kind, List<Point> profile, boolean flat) {

  /** What the stretch does, and so how it is drawn. */
  public enum Kind {
    SHANK,
    BODY,
    NECK,
    FLUTES,
    CUTTING
  }

  /** A stretch of a solid of revolution. */
  public Part(Kind kind, List<Point> profile) {
    this(kind, profile, false);
  }
}
