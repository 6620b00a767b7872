package arborline.core.tool;

import arborline.core.exchange.Cell;
import arborline.core.exchange.Interpreter;
import arborline.core.exchange.RawItem;
import arborline.core.finding.Finding;
import arborline.core.tool.outline.Outline;
import java.util.List;
import java.util.TreeMap;

/** Tools for tests, written as {@code CLASS=end-mill-flat DC=10 APMX=22}. */
public final class Sample {

  private Sample() {}

  public static Tool tool(String text) {
    TreeMap<String, Cell> cells = new TreeMap<>();
    for (String pair : text.strip().split("\\s+")) {
      String[] parts = pair.split("=", 2);
      cells.put(parts[0], Cell.of(parts[1].replace('_', ' ')));
    }
    return Interpreter.interpret(new RawItem(1, cells, List.of())).tool();
  }

  /** The codes of what the rules say. */
  public static List<String> findings(String text) {
    return RuleBook.judge(tool(text)).stream().map(Finding::code).toList();
  }

  public static Outline outline(String text) {
    return Silhouettes.of(tool(text)).orElseThrow();
  }
}
