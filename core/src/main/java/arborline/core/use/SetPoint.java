package arborline.core.use;

import arborline.core.tool.Process;
import arborline.core.tool.ToolClass;
import java.util.List;
import java.util.Locale;

/** The point of a tool whose place its offsets state. */
public enum SetPoint {
  /** The imaginary corner that two tangents at the nose make. */
  SHARP_CORNER,
  NOSE_CENTRE,
  GROOVE_LEFT,
  GROOVE_RIGHT,
  GROOVE_CENTRE,
  DRILL_TIP,
  MILL_TIP,
  BALL_CENTRE;

  /** Points that tools of a class can be set by, the usual one first. */
  public static List<SetPoint> of(ToolClass known) {
    String id = known.sheet().id();
    if (id.contains("groov")) {
      return List.of(GROOVE_LEFT, GROOVE_RIGHT, GROOVE_CENTRE);
    }
    if (known.sheet().process() == Process.TURNING) {
      return List.of(SHARP_CORNER, NOSE_CENTRE);
    }
    if (id.contains("ball")) {
      return List.of(MILL_TIP, BALL_CENTRE);
    }
    return switch (known.sheet().process()) {
      case HOLE_MAKING, THREADING -> List.of(DRILL_TIP);
      case PROBING -> List.of(BALL_CENTRE, MILL_TIP);
      default -> List.of(MILL_TIP);
    };
  }

  /** As people say it: {@code nose centre}. */
  public String word() {
    return name().toLowerCase(Locale.ROOT).replace('_', ' ');
  }
}
