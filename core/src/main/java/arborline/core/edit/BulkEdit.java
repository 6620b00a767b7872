package arborline.core.edit;

import arborline.core.exchange.Cell;
import arborline.core.exchange.RawItem;
import arborline.core.tool.Tool;
import java.util.Map;
import java.util.Optional;

/** One change to many tools. */
public sealed interface BulkEdit permits SetValue, SetByFormula, ReplaceInName {

  /**
   * What is written into a tool.
   *
   * @param cells by symbol; an empty one takes the value away
   * @param fault why nothing can be written, in words; empty where nothing is wrong
   */
  record Written(Map<String, Cell> cells, String fault) {

    static Written of(String symbol, Cell cell) {
      return new Written(Map.of(symbol, cell), "");
    }

    static Written fault(String fault) {
      return new Written(Map.of(), fault);
    }

    static Written nothing() {
      return new Written(Map.of(), "");
    }
  }

  /** What it writes into a tool; nothing where the tool is as it is to be already. */
  Written write(Tool tool);

  /** The property that it changes; nothing for the name. */
  Optional<String> symbol();

  /** What it changes, as a column: a symbol, or the name. */
  default String column() {
    return symbol().orElse(RawItem.NAME);
  }
}
