package arborline.core.edition;

import arborline.core.exchange.Bundle;
import arborline.core.exchange.Cell;
import arborline.core.exchange.ItemKind;
import arborline.core.exchange.RawItem;
import arborline.core.exchange.RawItemsJson;
import java.util.List;
import java.util.Map;

/**
 * A tool as it was, with its cutting data and stacks. Its number and section belong to the library
 * and stand beside it.
 *
 * @param tool code, name, class, values and notes as cells
 * @param cutting lines of cutting data
 * @param stacks with the codes of their parts
 */
public record FrozenTool(RawItem tool, List<RawItem> cutting, List<RawItem> stacks) {

  private static final String BETWEEN = "\n";
  private static final Map<String, Cell> WITHOUT_PLACE =
      Map.of(
          RawItem.NUMBER,
          Cell.of(""),
          RawItem.SECTION,
          Cell.of(""),
          RawItem.ATTACHMENT,
          Cell.of(""));

  public FrozenTool {
    cutting = List.copyOf(cutting);
    stacks = List.copyOf(stacks);
  }

  public static FrozenTool of(Bundle bundle) {
    List<RawItem> items = bundle.items();
    return new FrozenTool(
        items.getFirst().with(WITHOUT_PLACE),
        of(items, ItemKind.CUTTING),
        of(items, ItemKind.STACK));
  }

  private static List<RawItem> of(List<RawItem> items, ItemKind kind) {
    return items.stream().filter(item -> item.kind() == kind).toList();
  }

  public String code() {
    return tool.text(RawItem.CODE);
  }

  /** As text, the same for the same tool. */
  public String text() {
    return String.join(
        BETWEEN,
        RawItemsJson.toText(List.of(tool)),
        RawItemsJson.toText(cutting),
        RawItemsJson.toText(stacks));
  }

  /** Reads what {@link #text} wrote. */
  public static FrozenTool read(String text) {
    String[] parts = text.split(BETWEEN);
    RawItem tool = RawItemsJson.fromText(parts[0], ItemKind.CUTTER, "").getFirst();
    String code = tool.text(RawItem.CODE);
    return new FrozenTool(
        tool,
        RawItemsJson.fromText(parts[1], ItemKind.CUTTING, code),
        RawItemsJson.fromText(parts[2], ItemKind.STACK, code));
  }
}
