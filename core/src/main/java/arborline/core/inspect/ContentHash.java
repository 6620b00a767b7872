package arborline.core.inspect;

import arborline.core.cutting.CuttingEntry;
import arborline.core.exchange.PartReading;
import arborline.core.exchange.RawItem;
import arborline.core.stack.Component;
import arborline.core.stack.PlannedStack;
import arborline.core.tool.Tool;
import arborline.core.tool.Value;
import java.util.HexFormat;
import java.util.List;

/**
 * Fingerprint of what a tool is, its code apart: equal fingerprint means equal name, class,
 * authored values, formulas and notes. Whether a value was confirmed does not count.
 */
public final class ContentHash {

  private ContentHash() {}

  /** SHA-256 as 64 hexadecimal digits. */
  public static String of(Tool tool) {
    StringBuilder content = new StringBuilder(256);
    content(tool, content);
    return digest(content);
  }

  /** The same with its cutting data and its stacks, in whatever order they stand. */
  public static String of(Tool tool, List<CuttingEntry> cutting, List<PlannedStack> stacks) {
    StringBuilder content = new StringBuilder(256);
    content(tool, content);
    cutting.stream()
        .map(entry -> entry.toString())
        .sorted()
        .forEach(text -> content.append(text).append('\n'));
    stacks.stream()
        .map(stack -> stack.toString())
        .sorted()
        .forEach(text -> content.append(text).append('\n'));
    return digest(content);
  }

  /** Of a holder or another part, its code apart. */
  public static String of(Component part) {
    StringBuilder content = new StringBuilder(256);
    content.append(part.kind()).append('\n');
    PartReading.of(part)
        .cells()
        .forEach((symbol, cell) -> {
          if (!symbol.equals(RawItem.CODE)) {
            content.append(symbol).append('=').append(cell.text());
            cell.unit().ifPresent(unit -> content.append(' ').append(unit.code()));
            content.append('\n');
          }
        });
    return digest(content);
  }

  private static void content(Tool tool, StringBuilder content) {
    content.append(tool.name()).append('\n').append(tool.toolClass()).append('\n');
    tool.values().forEach((symbol, value) -> value(symbol, value, content));
    tool.notes()
        .forEach((heading, text) ->
            content.append(heading).append(':').append(text.length()).append(text).append('\n'));
  }

  private static String digest(StringBuilder content) {
    return HexFormat.of().formatHex(Sha256.of(content));
  }

  private static void value(String symbol, Value value, StringBuilder content) {
    content.append(symbol).append('=').append(value.text());
    if (value instanceof Value.Measure measure) {
      content.append(' ').append(measure.quantity().unit().code());
      measure.formula().ifPresent(formula -> content.append(" = ").append(formula.text()));
    }
    content.append('\n');
  }
}
