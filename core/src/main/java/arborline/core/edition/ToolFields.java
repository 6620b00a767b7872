package arborline.core.edition;

import arborline.core.exchange.CuttingReading;
import arborline.core.exchange.RawItem;
import arborline.core.merge.MergeField;
import arborline.core.merge.MergeTool;
import arborline.core.merge.PartCodes;
import arborline.core.merge.PlainText;
import java.util.List;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.function.Function;

/**
 * A frozen tool as fields: {@code class}, {@code name}, {@code number}, {@code section}, {@code
 * values.DC}, {@code notes.HEADING}, {@code cutting.MATERIAL/PURPOSE}, {@code stacks.NAME}.
 */
public final class ToolFields {

  public static final String NAME = "name";
  public static final String NUMBER = "number";
  public static final String SECTION = "section";
  public static final String VALUES = "values.";
  public static final String NOTES = "notes.";
  public static final String CUTTING = "cutting.";
  public static final String STACKS = "stacks.";

  private static final Set<String> NO_VALUES =
      Set.of(RawItem.CODE, RawItem.NAME, RawItem.CLASS, RawItem.NUMBER, RawItem.SECTION);

  private ToolFields() {}

  /**
   * The fields of a tool in a library.
   *
   * @param number that it has there
   * @param section in which it stands there, as one text
   */
  public static MergeTool of(FrozenTool frozen, int number, String section) {
    SortedMap<String, MergeField> fields = new TreeMap<>();
    fields.put(MergeTool.CLASS, new PlainText(frozen.tool().text(RawItem.CLASS)));
    fields.put(NAME, new PlainText(frozen.tool().text(RawItem.NAME)));
    fields.put(NUMBER, new PlainText(Integer.toString(number)));
    if (!section.isBlank()) {
      fields.put(SECTION, new PlainText(section));
    }
    frozen
        .tool()
        .cells()
        .forEach((column, cell) -> {
          if (RawItem.isNote(column)) {
            fields.put(NOTES + column, new PlainText(cell.text()));
          } else if (!NO_VALUES.contains(column)) {
            fields.put(VALUES + column, new CellField(cell));
          }
        });
    add(fields, CUTTING, frozen.cutting(), ToolFields::line);
    add(fields, STACKS, frozen.stacks(), item -> item.text(RawItem.NAME));
    return new MergeTool(fields, PartCodes.NONE);
  }

  private static String line(RawItem item) {
    return "%s/%s".formatted(item.text(CuttingReading.MATERIAL), item.text(CuttingReading.PURPOSE));
  }

  /** Several of one name are told apart by their order. */
  private static void add(
      SortedMap<String, MergeField> fields,
      String kind,
      List<RawItem> items,
      Function<RawItem, String> naming) {
    for (RawItem item : items) {
      String name = kind + naming.apply(item);
      int count = 2;
      String free = name;
      while (fields.containsKey(free)) {
        free = "%s #%d".formatted(name, count++);
      }
      fields.put(free, new ItemField(item.belongingTo("")));
    }
  }
}
