package arborline.core.tool;

import arborline.core.tool.outline.Outline;
import java.util.List;
import java.util.Optional;

/** Outlines of tools by their class. */
public final class Silhouettes {

  private static final List<String> SIZES =
      List.of("DC", "DCX", "TD", "DMM", "B", "KERF", "IC", "CW");

  private Silhouettes() {}

  /** The outline of a tool, or nothing where its class is unknown or it has no size at all. */
  public static Optional<Outline> of(Tool written) {
    Tool tool = Completed.of(written).tool();
    boolean sized = SIZES.stream().anyMatch(symbol -> tool.approx(symbol, 0) > 0);
    return sized
        ? ToolClasses.named(tool.toolClass()).map(known -> known.outline(tool))
        : Optional.empty();
  }
}
