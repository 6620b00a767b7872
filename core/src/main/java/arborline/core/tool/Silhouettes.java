package arborline.core.tool;

import arborline.core.tool.outline.Outline;
import java.util.Optional;

/** Outlines of tools by their class. */
public final class Silhouettes {

  private Silhouettes() {}

  /** The outline of a tool, or nothing where its class or its diameter is unknown. */
  public static Optional<Outline> of(Tool tool) {
    boolean sized = tool.approx("DC", 0) > 0 || tool.approx("DCX", 0) > 0;
    return sized
        ? ToolClasses.named(tool.toolClass()).map(each -> each.outline(tool))
        : Optional.empty();
  }
}
