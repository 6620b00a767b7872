package arborline.core.merge;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.SortedMap;
import java.util.TreeMap;

/** Libraries at random, and changes that somebody might make of them. */
final class MergeLibraries {

  private static final List<String> NAMES = List.of("DC", "APMX", "OAL", "NOF");

  private final Random random;
  private int next;

  MergeLibraries(long seed) {
    random = new Random(seed);
  }

  /** Some cutters, and assemblies of them. */
  SortedMap<String, MergeTool> library() {
    SortedMap<String, MergeTool> library = new TreeMap<>();
    for (int i = 0; i < 6; i++) {
      library.put("T-" + i, tool(PartCodes.NONE));
    }
    for (int i = 0; i < 3; i++) {
      library.put("ST-" + i, tool(parts(library)));
    }
    return library;
  }

  private MergeTool tool(PartCodes parts) {
    SortedMap<String, MergeField> fields = new TreeMap<>();
    fields.put("class", new PlainText("class " + random.nextInt(3)));
    for (String name : NAMES) {
      fields.put("values." + name, amount());
    }
    fields.put("cutting.bronze/rough", line());
    return new MergeTool(fields, parts);
  }

  private PartCodes parts(SortedMap<String, MergeTool> library) {
    List<String> codes = new ArrayList<>(library.keySet());
    return new PartCodes(
        List.of(codes.get(random.nextInt(codes.size())), codes.get(random.nextInt(codes.size()))));
  }

  private Amount amount() {
    String[][] some = {{"10", "mm"}, {"10.0", "mm"}, {"12.7", "mm"}, {"0.5", "in"}, {"1/2", "in"}};
    String[] one = some[random.nextInt(some.length)];
    return new Amount(one[0], one[1]);
  }

  private CuttingLineField line() {
    String origin = List.of("catalogue", "calculated", "fixed", "proven").get(random.nextInt(4));
    return new CuttingLineField(
        origin, Optional.of(amount()), Optional.of(amount()), Optional.empty());
  }

  /** The same after a few acts: values changed, tools added, renamed and removed. */
  SortedMap<String, MergeTool> changed(SortedMap<String, MergeTool> before) {
    SortedMap<String, MergeTool> library = new TreeMap<>(before);
    for (int acts = random.nextInt(5); acts >= 0; acts--) {
      String code = new ArrayList<>(library.keySet()).get(random.nextInt(library.size()));
      switch (random.nextInt(6)) {
        case 0 -> library.put("N-" + random.nextInt(3), tool(parts(library)));
        case 1 -> rename(before, library, code, "R-" + random.nextInt(3));
        case 2 -> remove(library, code);
        case 3 ->
            library.computeIfPresent(code, (same, tool) -> tool.withParts(partsBut(code, library)));
        default -> library.put(code, with(library.get(code)));
      }
    }
    return library;
  }

  private PartCodes partsBut(String code, SortedMap<String, MergeTool> library) {
    return library.get(code).parts().codes().isEmpty() ? PartCodes.NONE : parts(library);
  }

  private MergeTool with(MergeTool tool) {
    SortedMap<String, MergeField> fields = new TreeMap<>(tool.fields());
    String name = "values." + NAMES.get(random.nextInt(NAMES.size()));
    switch (random.nextInt(4)) {
      case 0 -> fields.remove(name);
      case 1 -> fields.put("cutting.bronze/rough", line());
      default -> fields.put(name, amount());
    }
    return new MergeTool(fields, tool.parts(), tool.was());
  }

  private static void rename(
      SortedMap<String, MergeTool> before,
      SortedMap<String, MergeTool> library,
      String from,
      String to) {
    if (library.containsKey(to)) {
      return;
    }
    MergeTool tool = library.remove(from);
    Optional<String> was = tool.was().or(() -> Optional.of(from).filter(before::containsKey));
    library.put(to, new MergeTool(tool.fields(), tool.parts(), was));
    library.replaceAll((code, other) -> other.withParts(renamed(other.parts(), from, to)));
  }

  private static PartCodes renamed(PartCodes parts, String from, String to) {
    return new PartCodes(
        parts.codes().stream().map(code -> code.equals(from) ? to : code).toList());
  }

  private static void remove(SortedMap<String, MergeTool> library, String code) {
    boolean used = library.values().stream().anyMatch(tool -> tool.parts().codes().contains(code));
    if (!used) {
      library.remove(code);
    }
  }

  /** One of each that nothing else of the library changed: each side changes half of the tools. */
  SortedMap<String, MergeTool> changedAmong(SortedMap<String, MergeTool> before, int half) {
    SortedMap<String, MergeTool> library = new TreeMap<>(before);
    int place = 0;
    for (Map.Entry<String, MergeTool> tool : before.entrySet()) {
      if (place++ % 2 == half && random.nextBoolean()) {
        library.put(tool.getKey(), with(tool.getValue()));
      }
    }
    library.put("ADDED-%d-%d".formatted(half, next++), tool(parts(before)));
    return library;
  }

  /** As a merge answers it: without former codes. */
  static SortedMap<String, MergeTool> settled(SortedMap<String, MergeTool> library) {
    SortedMap<String, MergeTool> settled = new TreeMap<>(library);
    settled.replaceAll((code, tool) -> tool.settled());
    return settled;
  }
}
