package arborline.core.merge;

import arborline.core.library.Codes;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.function.Consumer;
import java.util.stream.Collectors;

/**
 * The codes of a joined library. A tool that was renamed to the code of another one stays under its
 * code in the base, and somebody is asked.
 */
final class MergedCodes {

  private final SortedMap<String, MergedTool> tools;
  private final Consumer<String> heldBack;
  private final Map<String, String> codes = new HashMap<>();

  /**
   * @param tools by what they are
   * @param heldBack told of each tool whose renaming is held back
   */
  MergedCodes(SortedMap<String, MergedTool> tools, Consumer<String> heldBack) {
    this.tools = tools;
    this.heldBack = heldBack;
  }

  /** The codes by what tools are, each another one. */
  Map<String, String> settled() {
    tools.forEach((identity, tool) -> codes.put(identity, tool.code()));
    boolean clashing = true;
    while (clashing) {
      clashing = false;
      for (List<String> same : shared()) {
        clashing |= holdBack(same);
      }
    }
    return codes;
  }

  private List<List<String>> shared() {
    Map<String, List<String>> byKey =
        codes.keySet().stream()
            .sorted()
            .collect(
                Collectors.groupingBy(
                    identity -> Codes.key(codes.get(identity)), TreeMap::new, Collectors.toList()));
    return byKey.values().stream().filter(same -> same.size() > 1).toList();
  }

  private boolean holdBack(List<String> same) {
    List<String> renamed = same.stream().filter(this::renamed).toList();
    renamed.forEach(identity -> {
      codes.put(identity, tools.get(identity).baseCode().orElseThrow());
      heldBack.accept(identity);
    });
    return !renamed.isEmpty();
  }

  private boolean renamed(String identity) {
    return tools
        .get(identity)
        .baseCode()
        .filter(base -> !Codes.key(base).equals(Codes.key(codes.get(identity))))
        .isPresent();
  }
}
