package arborline.server.library;

import arborline.core.library.NumberRange;
import arborline.core.property.Dictionary;
import arborline.core.property.Property;
import arborline.core.tool.Process;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** The columns that lists of tools can have, in their order. */
final class ToolColumns {

  /** One tool of so many makes a kind of work count. */
  private static final long GOOD_PART = 8;

  private ToolColumns() {}

  /**
   * A column.
   *
   * @param title short, for the head of the column
   * @param name in full
   * @param sort by which the list can be asked for; null where it cannot
   * @param symbols of the values that stand in it, the first that a tool has; empty for what is no
   *     value of a tool: number, code, what belongs to it
   * @param text true where words stand in it
   * @param usualFor words of the kinds of work in whose lists it is shown until somebody chooses;
   *     empty where somebody must choose it
   */
  record ToolColumn(
      String id,
      String title,
      String name,
      @Nullable String sort,
      List<String> symbols,
      boolean text,
      List<String> usualFor) {}

  private static final Process[] EVERY = Process.values();
  private static final Process[] ROUND = {
    Process.MILLING, Process.HOLE_MAKING, Process.THREADING, Process.ROUTING, Process.PROBING
  };
  private static final Process[] MILLS = {Process.MILLING, Process.ROUTING};

  private static final List<ToolColumn> ALL =
      List.of(
          own("number", "No.", "number in the library", "number", EVERY),
          own("code", "Code", "code", "code", EVERY),
          own("name", "Name", "name", "name", EVERY),
          own("class", "Silhouette", "class", "class", EVERY),
          own("section", "Section", "section", "section"),
          own("standing", "Standing", "how far it is trusted", "standing"),
          own("trust", "Trust", "why it can be trusted", null),
          own("library", "Library", "library that holds it", "library"),
          own("holder", "Holder", "holder of its first stack", "holder"),
          own("materials", "Cut", "work materials with cutting data", "material"),
          cut("purpose", "Purpose", "what its cutting data is for", true),
          cut("vc", "vc", "cutting speed", false),
          cut("feed", "Feed", "feed per tooth, else per revolution", false),
          cut("ap", "ap", "depth of cut", false),
          cut("ae", "ae", "width of cut", false),
          cut("origin", "Data", "where its cutting data comes from", true),
          own("planned", "In machines", "pockets for which it is planned", null),
          own("version", "Version", "version that the library holds", null),
          value("Ø", "dc", ROUND, "DC", "DCX"),
          value("Insert", null, only(Process.TURNING), "MIID"),
          value("Hand", null, only(Process.TURNING), "HAND"),
          value("Edge angle", null, only(Process.TURNING), "KAPR"),
          value("Radius", null, only(Process.MILLING, Process.TURNING), "RE"),
          value("Depth", null, MILLS, "APMX"),
          value("Reach", null, only(Process.MILLING, Process.HOLE_MAKING), "LU"),
          value("Point", null, only(Process.HOLE_MAKING), "SIG"),
          value("Thread", null, only(Process.THREADING), "TDZ"),
          value("Pitch", null, only(Process.THREADING), "TP"),
          value("Length", null, EVERY, "OAL", "LF"),
          value("Shank", null, ROUND, "DMM"),
          value("Shank h", null, only(Process.TURNING), "H"),
          value("Shank b", null, only(Process.TURNING), "B"),
          value("Edges", null, MILLS, "NOF"),
          value("Flutes", null, only(), "LCF"),
          value("Neck Ø", null, only(), "DN"),
          value("Neck", null, only(), "LN"),
          value("Material", null, only(), "SUBSTRATE"),
          value("Coating", null, only(), "COATING"),
          value("Most 1/min", null, only(), "RPMX"),
          value("Mass", null, only(), "WT"));

  private static Process[] only(Process... processes) {
    return processes;
  }

  private static ToolColumn own(
      String id, String title, String name, @Nullable String sort, Process... usualFor) {
    return new ToolColumn(id, title, name, sort, List.of(), !id.equals("number"), words(usualFor));
  }

  /** Speed and feed in a work material that the list is asked for. */
  private static ToolColumn cut(String id, String title, String name, boolean text) {
    return new ToolColumn(id, title, name, null, List.of(), text, List.of());
  }

  private static ToolColumn value(
      String title, @Nullable String sort, Process[] usualFor, String... symbols) {
    Property property = Dictionary.standard().get(symbols[0]);
    return new ToolColumn(
        symbols[0],
        title,
        property.name(),
        sort,
        List.of(symbols),
        property.unit().isEmpty(),
        words(usualFor));
  }

  private static List<String> words(Process... processes) {
    return Arrays.stream(processes).map(NumberRange::word).toList();
  }

  /**
   * The columns of a list until somebody chooses: those that are usual for at least half of the
   * kinds of work that a good part of its tools belongs to.
   *
   * @param tools how many there are of each kind
   */
  static List<String> following(Map<Process, Long> tools) {
    long all = tools.values().stream().mapToLong(Long::longValue).sum();
    List<String> listed =
        tools.entrySet().stream()
            .filter(kind -> kind.getValue() * GOOD_PART >= all)
            .map(kind -> NumberRange.word(kind.getKey()))
            .toList();
    return ALL.stream()
        .filter(column -> {
          long fitting = column.usualFor().stream().filter(listed::contains).count();
          return fitting > 0 && fitting * 2 >= listed.size();
        })
        .map(ToolColumn::id)
        .toList();
  }

  static List<ToolColumn> all() {
    return ALL;
  }

  /** The symbols of all values that can stand in a list. */
  static Stream<String> symbols() {
    return ALL.stream().flatMap(column -> column.symbols().stream());
  }
}
