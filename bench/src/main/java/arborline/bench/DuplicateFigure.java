package arborline.bench;

import arborline.core.duplicate.ComparedTool;
import arborline.core.duplicate.DuplicateGroups;
import arborline.core.duplicate.KeptApart;
import arborline.core.duplicate.Tolerance;
import arborline.core.exchange.Cell;
import arborline.core.exchange.Interpreter;
import arborline.core.exchange.RawItem;
import arborline.core.tool.Tool;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.TreeMap;

/** Duplicates of a shop: reading its tools and comparing them, at two sizes. */
final class DuplicateFigure {

  private static final int SEED = 7;

  void print() {
    seconds(10_000);
    double small = seconds(10_000);
    double large = seconds(100_000);
    System.out.printf(
        Locale.ROOT,
        "%-58s %9.2f s, of 10 000 %.2f s, growth %.1f%n",
        "duplicates of 100 000 tools",
        large,
        small,
        large / small);
  }

  private static double seconds(int count) {
    List<Tool> tools = tools(count);
    long begin = System.nanoTime();
    List<ComparedTool> compared = new ArrayList<>(count);
    for (int i = 0; i < count; i++) {
      compared.add(ComparedTool.of(i + 1L, tools.get(i), "", ""));
    }
    int groups =
        DuplicateGroups.find(compared, Tolerance.USUAL, new KeptApart(), pairs -> {}).size();
    if (groups == 0) {
      throw new IllegalStateException("the shop has duplicates, and none was found");
    }
    return (System.nanoTime() - begin) / 1e9;
  }

  /** Mills as catalogues have them; every twentieth is another one under another code. */
  private static List<Tool> tools(int count) {
    Random random = new Random(SEED);
    List<Tool> tools = new ArrayList<>(count);
    for (int i = 0; i < count; i++) {
      if (i % 20 == 19) {
        Tool other = tools.get(random.nextInt(tools.size()));
        tools.add(other.named("AGAIN-" + i, other.name()));
      } else {
        tools.add(tool(i, random));
      }
    }
    return tools;
  }

  private static Tool tool(int number, Random random) {
    double diameter = 1 + random.nextInt(240) / 10.0;
    TreeMap<String, Cell> cells = new TreeMap<>();
    cells.put("CODE", Cell.of("B-" + number));
    cells.put("CLASS", Cell.of(random.nextBoolean() ? "end-mill-flat" : "end-mill-corner-radius"));
    cells.put("DC", Cell.of(Double.toString(diameter)));
    cells.put("APMX", Cell.of(Integer.toString(5 + random.nextInt(40))));
    cells.put("DMM", Cell.of(Integer.toString(3 + random.nextInt(20))));
    cells.put("LU", Cell.of(Integer.toString(50 + random.nextInt(40))));
    cells.put("OAL", Cell.of(Integer.toString(100 + random.nextInt(60))));
    cells.put("NOF", Cell.of(Integer.toString(2 + random.nextInt(4))));
    return Interpreter.interpret(new RawItem(number, cells, List.of())).tool();
  }
}
