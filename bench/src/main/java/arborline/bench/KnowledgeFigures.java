package arborline.bench;

import arborline.core.designation.InsertReader;
import arborline.core.exchange.Cell;
import arborline.core.exchange.Interpreter;
import arborline.core.exchange.RawItem;
import arborline.core.stack.Component;
import arborline.core.stack.Cutter;
import arborline.core.stack.Frustum;
import arborline.core.stack.Material;
import arborline.core.stack.Stack;
import arborline.core.tool.RuleBook;
import arborline.core.tool.Tool;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.TreeMap;

/** What the product knows of tools, on one core: rules, designations, the shape of a stack. */
final class KnowledgeFigures {

  private static final int TOOLS = 100_000;
  private static final int ROUNDS = 12;
  private static final String[] INSERTS = {
    "CNMG 120408", "DCMT 11T304", "TNMG 332", "CCMT 32.51", "RCMT 1204M0", "SEKN 1203AFTN"
  };

  void print() {
    rules();
    designations();
    profile();
  }

  private static void line(String figure, double value, String unit) {
    System.out.printf(Locale.ROOT, "%-58s %,14.0f %s%n", figure, value, unit);
  }

  private static Tool tool(int number) {
    TreeMap<String, Cell> cells = new TreeMap<>();
    cells.put("CLASS", Cell.of("end-mill-flat"));
    cells.put("DC", Cell.of(Integer.toString(2 + number % 30)));
    cells.put("APMX", Cell.of("20"));
    cells.put("DMM", Cell.of("12"));
    cells.put("LU", Cell.of("30"));
    cells.put("OAL", Cell.of("83"));
    cells.put("NOF", Cell.of("4"));
    return Interpreter.interpret(new RawItem(number, cells, List.of())).tool();
  }

  private static void rules() {
    List<Tool> tools = new ArrayList<>(TOOLS);
    for (int i = 0; i < TOOLS; i++) {
      tools.add(tool(i));
    }
    double best = Double.MAX_VALUE;
    int found = 0;
    for (int round = 0; round < ROUNDS; round++) {
      long begin = System.nanoTime();
      for (Tool tool : tools) {
        found += RuleBook.judge(tool).size();
      }
      best = Math.min(best, (System.nanoTime() - begin) / 1e9);
    }
    line(
        "rules of 100 000 tools, best of 12 passes",
        TOOLS / best,
        "tools/s " + (found == 0 ? "" : found));
  }

  private static void designations() {
    double best = Double.MAX_VALUE;
    int read = 0;
    for (int round = 0; round < ROUNDS; round++) {
      long begin = System.nanoTime();
      for (int i = 0; i < 200_000; i++) {
        read += InsertReader.read(INSERTS[i % INSERTS.length]).valid() ? 1 : 0;
      }
      best = Math.min(best, (System.nanoTime() - begin) / 1e9);
    }
    line("insert designations read, best of 12 passes", 200_000 / best, "1/s of " + read);
  }

  private static Frustum step(int length, int from) {
    return new Frustum(
        BigDecimal.valueOf(length), BigDecimal.valueOf(from), BigDecimal.valueOf(from - 2));
  }

  private static void profile() {
    List<Component> parts = new ArrayList<>();
    for (int i = 0; i < 5; i++) {
      parts.add(
          new Component(
              "P" + i,
              "Part",
              Component.Kind.EXTENSION,
              "ST-JD-40:m",
              "CY-SF-10:f",
              List.of(step(20, 60 - i), step(15, 50 - i)),
              Material.STEEL,
              BigDecimal.valueOf(20)));
    }
    Stack stack = new Stack("", parts, Cutter.of(tool(8)).orElseThrow(), 40);
    double best = Double.MAX_VALUE;
    double length = 0;
    for (int round = 0; round < 200; round++) {
      long begin = System.nanoTime();
      for (int i = 0; i < 200; i++) {
        length += stack.shape().length();
      }
      best = Math.min(best, (System.nanoTime() - begin) / 200e3);
    }
    System.out.printf(
        Locale.ROOT, "%-58s %14.2f µs (%.0f)%n", "shape of a stack of six parts", best, length);
  }
}
