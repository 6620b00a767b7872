package arborline.server.machine;

import arborline.server.tool.Tools.Held;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Single pieces of the tools of a load by name: the code of the tool, with a number from the second
 * of its sisters on.
 */
final class LoadPieces {

  private final Map<Long, Held> known;
  private final Map<Long, List<String>> names = new LinkedHashMap<>();
  private final Map<String, Long> ids = new LinkedHashMap<>();

  LoadPieces(Map<Long, Held> known) {
    this.known = known;
  }

  /** The name of one more piece of a tool. */
  String next(long tool) {
    List<String> all = names.computeIfAbsent(tool, id -> new ArrayList<>());
    String code = known.get(tool).tool().code();
    String name = all.isEmpty() ? code : "%s (%d)".formatted(code, all.size() + 1);
    all.add(name);
    ids.put(name, tool);
    return name;
  }

  /** Has there be so many pieces of a tool at least. */
  void atLeast(long tool, int number) {
    while (names.getOrDefault(tool, List.of()).size() < number) {
      next(tool);
    }
  }

  /** So many pieces of a tool, those that stand in the machine before others. */
  List<String> first(long tool, int number) {
    return names.get(tool).subList(0, number);
  }

  /** The tool of each piece. */
  Map<String, Long> ids() {
    return ids;
  }
}
