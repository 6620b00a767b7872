package arborline.core.exchange;

import arborline.core.quantity.Entry;
import arborline.core.quantity.EntryParser;
import arborline.core.quantity.Quantity;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * What of a bundle a file is to carry: its items in the unit that was asked for, without what the
 * format drops.
 *
 * @param format of the file
 * @param options with which it is written
 */
public record WrittenBundle(BundleFormat format, WriteOptions options) {

  /** The items that are to come back. */
  public List<RawItem> items(Bundle bundle) {
    return whole(bundle).stream().map(item -> format.kept(item, options)).toList();
  }

  /** A part, its lengths in the unit that was asked for. */
  public RawItem part(RawItem part) {
    return format.kept(item(part, format.carries()), options);
  }

  /** The same before the format makes single items plainer. */
  List<RawItem> whole(Bundle bundle) {
    Set<Carried> carried = format.carries();
    return bundle.items().stream()
        .filter(item -> item.kind() != ItemKind.STACK || carried.contains(Carried.STACKS))
        .filter(item -> item.kind() != ItemKind.CUTTING || carried.contains(Carried.CUTTING))
        .map(item -> item(item, carried))
        .toList();
  }

  private RawItem item(RawItem item, Set<Carried> carried) {
    SortedMap<String, Cell> cells = new TreeMap<>();
    item.cells()
        .forEach((column, cell) -> {
          boolean dropped =
              RawItem.isNote(column) && !carried.contains(Carried.NOTES)
                  || column.equals(RawItem.NUMBER) && !carried.contains(Carried.NUMBER)
                  || column.equals(RawItem.SECTION) && !carried.contains(Carried.SECTION)
                  || column.equals(RawItem.ATTACHMENT) && !carried.contains(Carried.ATTACHMENTS);
          if (!dropped) {
            Cell restated = Restated.of(cell, options.unit());
            cells.put(
                column,
                new Cell(
                    restated.text(),
                    restated.unit(),
                    carried.contains(Carried.DEFAULT_MARK) && restated.defaulted(),
                    carried.contains(Carried.FORMULAS) ? restated.formula() : Optional.empty()));
          }
        });
    return new RawItem(0, item.kind(), item.owner(), cells, item.parts(), List.of());
  }

  /** The cells of an item for comparing: a number by its size, a word as it is. */
  public static Map<String, String> texts(RawItem item) {
    Map<String, String> texts = new TreeMap<>();
    item.cells().forEach((column, cell) -> texts.put(column, text(cell)));
    return texts;
  }

  /** What follows by a formula is worked out anew wherever it arrives. */
  private static String text(Cell cell) {
    String marks = cell.defaulted() ? ", not confirmed" : "";
    if (cell.formula().isPresent()) {
      return "= " + cell.formula().get() + marks;
    }
    if (cell.unit().isPresent()
        && EntryParser.parse(cell.text(), cell.unit().get())
            instanceof Entry.Understood understood) {
      Quantity quantity = understood.quantity();
      String size =
          quantity.amount().signum() == 0
              ? "0"
              : quantity.amount().stripTrailingZeros().toPlainString();
      return "%s %s%s".formatted(size, quantity.unit().code(), marks);
    }
    return cell.text() + marks;
  }
}
