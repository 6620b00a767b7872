package arborline.core.merge;

import arborline.core.library.Codes;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * The tools of one side by what they are in the base. A tool that was renamed is the one whose code
 * it had; every other tool is the one of its code, or a new one.
 */
final class MergeSide {

  /** A tool and the code that it has on this side. */
  record Named(String code, MergeTool tool) {

    Optional<CodeText> codeText() {
      return Optional.of(new CodeText(code));
    }
  }

  private final Map<String, Named> tools = new HashMap<>();
  private final Map<String, String> identities = new HashMap<>();

  private MergeSide() {}

  /** The base itself. */
  static MergeSide base(Map<String, MergeTool> library) {
    return of(library, Set.of());
  }

  /**
   * Another side.
   *
   * @param base keys of the codes of the base
   */
  static MergeSide of(Map<String, MergeTool> library, Set<String> base) {
    MergeSide side = new MergeSide();
    Map<String, Named> byKey = new HashMap<>();
    library.forEach((code, tool) -> byKey.put(Codes.key(code), new Named(code, tool)));
    library.keySet().stream()
        .sorted()
        .forEach(code -> {
          Named named = byKey.get(Codes.key(code));
          formerKey(named, base, byKey)
              .filter(former -> !side.tools.containsKey(former))
              .ifPresent(former -> side.put(former, named));
        });
    byKey.forEach((key, named) -> {
      if (!side.identities.containsKey(key)) {
        side.put(key, named);
      }
    });
    return side;
  }

  private static Optional<String> formerKey(
      Named named, Set<String> base, Map<String, Named> byKey) {
    return named
        .tool()
        .was()
        .map(Codes::key)
        .filter(former -> base.contains(former) && !byKey.containsKey(former));
  }

  private void put(String identity, Named named) {
    tools.put(identity, named);
    identities.put(Codes.key(named.code()), identity);
  }

  /** What each tool of this side is, in the base or as a new one. */
  Set<String> all() {
    return tools.keySet();
  }

  Optional<Named> tool(String identity) {
    return Optional.ofNullable(tools.get(identity));
  }

  /** The parts of a tool of this side by what they are; one that is not there stays as written. */
  PartCodes identities(MergeTool tool) {
    List<String> parts =
        tool.parts().codes().stream()
            .map(code -> identities.getOrDefault(Codes.key(code), code))
            .toList();
    return new PartCodes(parts);
  }
}
