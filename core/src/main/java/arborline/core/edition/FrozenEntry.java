package arborline.core.edition;

import arborline.core.exchange.Bundle;
import arborline.core.exchange.Cell;
import arborline.core.exchange.ItemKind;
import arborline.core.exchange.RawBundle;
import arborline.core.exchange.RawItem;
import arborline.core.inspect.Inspected;
import arborline.core.inspect.Inspector;
import arborline.core.merge.MergeField;
import arborline.core.merge.MergeTool;
import arborline.core.merge.PlainText;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * A frozen tool with its place in a library.
 *
 * @param section paths of its sections as one text; blank where it stands in none
 */
public record FrozenEntry(FrozenTool tool, int number, String section) {

  /** Its fields, as in {@link ToolFields}. */
  public MergeTool fields() {
    return ToolFields.of(tool, number, section);
  }

  /** The tool of some fields, under a code. */
  static FrozenEntry of(MergeTool fields, String code) {
    SortedMap<String, Cell> cells = new TreeMap<>();
    List<RawItem> cutting = new ArrayList<>();
    List<RawItem> stacks = new ArrayList<>();
    cells.put(RawItem.CODE, Cell.of(code));
    cells.put(RawItem.CLASS, Cell.of(text(fields, MergeTool.CLASS)));
    cells.put(RawItem.NAME, Cell.of(text(fields, ToolFields.NAME)));
    fields
        .fields()
        .forEach((name, field) -> {
          if (field instanceof CellField value) {
            cells.put(name.substring(ToolFields.VALUES.length()), value.cell());
          } else if (name.startsWith(ToolFields.NOTES)) {
            cells.put(
                name.substring(ToolFields.NOTES.length()), Cell.of(((PlainText) field).text()));
          } else if (field instanceof ItemField item) {
            (name.startsWith(ToolFields.CUTTING) ? cutting : stacks)
                .add(item.item().belongingTo(code));
          }
        });
    RawItem item = new RawItem(0, cells, List.of());
    ItemKind kind = ItemKind.ofClass(item.text(RawItem.CLASS));
    return new FrozenEntry(
        new FrozenTool(item.of(kind), cutting, stacks),
        Integer.parseInt(text(fields, ToolFields.NUMBER)),
        text(fields, ToolFields.SECTION));
  }

  private static String text(MergeTool tool, String name) {
    MergeField field = tool.fields().get(name);
    return Optional.ofNullable(field).map(one -> ((PlainText) one).text()).orElse("");
  }

  /** The tool with all that belongs to it. */
  public Bundle whole() {
    Inspected read = Inspector.inspect(bundle());
    return new Bundle(
        read.tool(), OptionalInt.of(number), section, List.of(), read.cutting(), read.stacks());
  }

  /** As a file would bring it. */
  public RawBundle bundle() {
    return new RawBundle(tool.tool(), tool.cutting(), tool.stacks());
  }
}
