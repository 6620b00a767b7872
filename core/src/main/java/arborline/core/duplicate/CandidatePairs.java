package arborline.core.duplicate;

import arborline.core.duplicate.ComparedTool.Size;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Function;

/**
 * Which tools of a shop are compared with each other: those with one spelling, one item of a
 * vendor, or a class and sizes within the tolerance. Tools of a class are parted by one size after
 * the other, at each place where two neighbours are further apart than the tolerance, until few are
 * left together; so the work grows with the number of tools and not with that of all pairs, and no
 * two tools of one shape are parted.
 */
public final class CandidatePairs {

  /** So many tools are compared each with each. */
  private static final int FEW = 48;

  /** So many that do not state a size are compared with those that do. */
  private static final int FEW_WITHOUT = 16;

  private final Tolerance tolerance;
  private final Pairs pairs;

  private CandidatePairs(Tolerance tolerance, Pairs pairs) {
    this.tolerance = tolerance;
    this.pairs = pairs;
  }

  /** Hears of two tools that are to be compared; the same two may come several times. */
  public interface Pairs {

    /** The first of them came earlier in the list. */
    void compare(ComparedTool one, ComparedTool two);
  }

  /** Visits all pairs, in an order that depends on the tools alone. */
  public static void visit(List<ComparedTool> tools, Tolerance tolerance, Pairs pairs) {
    CandidatePairs candidates = new CandidatePairs(tolerance, pairs);
    candidates.alike(tools, tool -> tool.vendorItem().isEmpty() ? "" : item(tool));
    candidates.alike(tools, ComparedTool::spelling);
    grouped(tools, ComparedTool::toolClass).forEach(candidates::split);
  }

  private static String item(ComparedTool tool) {
    return tool.vendor() + '\n' + tool.vendorItem();
  }

  private void alike(List<ComparedTool> tools, Function<ComparedTool, String> key) {
    grouped(tools, key).forEach(this::compare);
  }

  private static Collection<List<ComparedTool>> grouped(
      List<ComparedTool> tools, Function<ComparedTool, String> key) {
    Map<String, List<ComparedTool>> groups = new LinkedHashMap<>();
    for (ComparedTool tool : tools) {
      String of = key.apply(tool);
      if (!of.isEmpty()) {
        groups.computeIfAbsent(of, none -> new ArrayList<>()).add(tool);
      }
    }
    return groups.values();
  }

  /** Each with each; of many that nothing parts, each with the first and its nearest. */
  private void compare(List<ComparedTool> block) {
    int size = block.size();
    int near = size <= FEW ? size : FEW_WITHOUT;
    for (int i = 0; i < size; i++) {
      if (i > near) {
        pairs.compare(block.getFirst(), block.get(i));
      }
      for (int j = i + 1; j < Math.min(size, i + 1 + near); j++) {
        pairs.compare(block.get(i), block.get(j));
      }
    }
  }

  private void split(List<ComparedTool> block) {
    if (block.size() <= FEW) {
      compare(block);
      return;
    }
    List<List<ComparedTool>> parts = List.of(block);
    int largest = block.size();
    for (List<Stated> stated : bySymbol(block).values()) {
      List<List<ComparedTool>> tried = parts(block, stated);
      int most = tried.stream().mapToInt(List::size).max().orElse(0);
      if (most < largest) {
        largest = most;
        parts = tried;
      }
    }
    if (parts.size() == 1) {
      compare(block);
    } else {
      parts.forEach(this::split);
    }
  }

  /** A size that a tool of a block states, and the place of the tool in the block. */
  private record Stated(int place, Size size) {}

  private static Map<String, List<Stated>> bySymbol(List<ComparedTool> block) {
    Map<String, List<Stated>> symbols = new HashMap<>();
    for (int place = 0; place < block.size(); place++) {
      for (Size size : block.get(place).sizes()) {
        symbols
            .computeIfAbsent(size.symbol(), none -> new ArrayList<>())
            .add(new Stated(place, size));
      }
    }
    return new TreeMap<>(symbols);
  }

  /** Parts that no pair within the tolerance crosses; in each the order of the block is kept. */
  private List<List<ComparedTool>> parts(List<ComparedTool> block, List<Stated> stated) {
    long apart = tolerance.of(stated.getFirst().size().kind());
    Stated[] sorted = stated.toArray(Stated[]::new);
    Arrays.sort(
        sorted, (one, two) -> Long.compare(one.size().millionths(), two.size().millionths()));
    boolean[] states = new boolean[block.size()];
    stated.forEach(one -> states[one.place()] = true);
    List<Integer> without = new ArrayList<>();
    for (int place = 0; place < states.length; place++) {
      if (!states[place]) {
        without.add(place);
      }
    }
    List<List<ComparedTool>> parts = new ArrayList<>();
    List<Integer> part = new ArrayList<>();
    for (int i = 0; i < sorted.length; i++) {
      part.add(sorted[i].place());
      boolean last = i + 1 == sorted.length;
      if (last || sorted[i + 1].size().millionths() - sorted[i].size().millionths() > apart) {
        if (without.size() <= FEW_WITHOUT) {
          part.addAll(without);
        }
        parts.add(inOrder(block, part));
        part = new ArrayList<>();
      }
    }
    if (without.size() > FEW_WITHOUT) {
      parts.add(inOrder(block, without));
    }
    return parts;
  }

  private static List<ComparedTool> inOrder(List<ComparedTool> block, List<Integer> places) {
    return places.stream().sorted().map(block::get).toList();
  }
}
