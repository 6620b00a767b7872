package arborline.server.library;

import arborline.core.property.Dictionary;
import java.util.List;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** The columns that lists of tools can have, in their order. */
final class ToolColumns {

  private ToolColumns() {}

  /**
   * A column.
   *
   * @param title short, for the head of the column
   * @param name in full
   * @param sort by which the list can be asked for; null where it cannot
   * @param symbols of the values that stand in it, the first that a tool has; empty for what every
   *     tool has: number, code, name and class
   * @param usual true where it is shown until somebody chooses
   */
  record ToolColumn(
      String id,
      String title,
      String name,
      @Nullable String sort,
      List<String> symbols,
      boolean usual) {}

  private static final List<ToolColumn> ALL =
      List.of(
          new ToolColumn("number", "No.", "number in the library", "number", List.of(), true),
          new ToolColumn("code", "Code", "code", "code", List.of(), true),
          new ToolColumn("name", "Name", "name", "name", List.of(), true),
          new ToolColumn("class", "Silhouette", "class", "class", List.of(), true),
          new ToolColumn("section", "Section", "section", null, List.of(), false),
          value("Ø", "dc", true, "DC", "DCX"),
          value("Corner", null, true, "RE"),
          value("Depth", null, true, "APMX"),
          value("Reach", null, true, "LU"),
          value("Length", null, true, "OAL", "LF"),
          value("Shank", null, true, "DMM"),
          value("Edges", null, true, "NOF"),
          value("Flutes", null, false, "LCF"),
          value("Neck Ø", null, false, "DN"),
          value("Neck", null, false, "LN"),
          value("Point", null, false, "SIG"),
          value("Thread", null, false, "TDZ"),
          value("Pitch", null, false, "TP"),
          value("Edge angle", null, false, "KAPR"),
          value("Hand", null, false, "HAND"),
          value("Material", null, false, "SUBSTRATE"),
          value("Coating", null, false, "COATING"),
          value("Most 1/min", null, false, "RPMX"),
          value("Mass", null, false, "WT"));

  private static ToolColumn value(
      String title, @Nullable String sort, boolean usual, String... symbols) {
    return new ToolColumn(
        symbols[0],
        title,
        Dictionary.standard().get(symbols[0]).name(),
        sort,
        List.of(symbols),
        usual);
  }

  static List<ToolColumn> all() {
    return ALL;
  }

  /** The symbols of all values that can stand in a list. */
  static Stream<String> symbols() {
    return ALL.stream().flatMap(column -> column.symbols().stream());
  }
}
