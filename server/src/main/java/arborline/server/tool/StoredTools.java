package arborline.server.tool;

import arborline.core.designation.InsertKey;
import arborline.core.exchange.Cell;
import arborline.core.exchange.CellsJson;
import arborline.core.exchange.Interpreter;
import arborline.core.exchange.RawItem;
import arborline.core.inspect.DimensionKey;
import arborline.core.tool.Tool;
import java.math.BigDecimal;
import java.util.List;
import java.util.OptionalLong;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;

/** Tools as stored columns and back. */
public final class StoredTools {

  private StoredTools() {}

  /** The authored values and the notes as JSON. */
  static String values(Tool tool) {
    TreeMap<String, Cell> cells = new TreeMap<>();
    tool.values().forEach((symbol, value) -> cells.put(symbol, Cell.of(value)));
    tool.notes().forEach((heading, text) -> cells.put(RawItem.note(heading), Cell.of(text)));
    return CellsJson.toText(cells);
  }

  /**
   * The sizes in canonical units as JSON, for filters.
   *
   * @param tool with what is implied
   */
  static String sizes(Tool tool) {
    StringBuilder json = new StringBuilder("{");
    for (String symbol : tool.values().keySet()) {
      BigDecimal size = tool.size(symbol);
      if (size != null) {
        json.append(json.length() > 1 ? "," : "")
            .append('"')
            .append(symbol)
            .append("\":")
            .append(size.toPlainString());
      }
    }
    return json.append('}').toString();
  }

  /** A tool from its stored columns. */
  public static Tool tool(String code, String name, String classId, String values) {
    return Interpreter.interpret(new RawItem(0, CellsJson.fromText(values), List.of()))
        .tool()
        .named(code, name)
        .ofClass(classId);
  }

  /** The insert that a tool is or takes, for comparing; null where it names none. */
  public static @Nullable String insertKey(Tool tool) {
    return tool.word("MIID").filter(text -> !text.isBlank()).map(InsertKey::of).orElse(null);
  }

  /** Fingerprint of a tool with what is implied; null for one that says too little. */
  public static @Nullable Long dimensionKey(Tool tool) {
    OptionalLong key = DimensionKey.of(tool);
    return key.isPresent() ? key.getAsLong() : null;
  }

  /**
   * The diameter that lists filter by: DC, else DCX, else zero.
   *
   * @param tool with what is implied
   */
  public static BigDecimal diameter(Tool tool) {
    BigDecimal diameter = tool.size("DC") == null ? tool.size("DCX") : tool.size("DC");
    boolean storable = diameter != null && diameter.abs().compareTo(LARGEST) < 0;
    return storable ? diameter : BigDecimal.ZERO;
  }

  private static final BigDecimal LARGEST = new BigDecimal("10000000");
}
