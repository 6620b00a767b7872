package arborline.core.tool;

import arborline.core.tool.outline.Outline;
import java.util.List;
import java.util.Optional;

/**
 * Which tools are put into holders: what is round, and what has a shank; a tool holds an insert.
 */
public final class Shanks {

  /** Properties that a shank goes by: diameter, or height of a square one (ISO 13399). */
  private static final List<String> SIZES = List.of("DMM", "H");

  private Shanks() {}

  /**
   * True for a tool that is put into a holder; by the properties of its class where none of its
   * sizes is known yet.
   *
   * @param drawn its outline; empty where its sizes do not say one
   */
  public static boolean held(Tool tool, Optional<Outline> drawn) {
    if (drawn.isEmpty()) {
      return ToolClasses.named(tool.toolClass())
          .filter(known -> SIZES.stream().anyMatch(known.sheet().symbols()::contains))
          .isPresent();
    }
    Tool whole = Completed.of(tool).tool();
    return drawn.get().parts().stream().anyMatch(part -> !part.flat())
        || SIZES.stream().anyMatch(symbol -> whole.values().containsKey(symbol));
  }
}
