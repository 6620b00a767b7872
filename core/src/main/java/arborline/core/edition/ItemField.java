package arborline.core.edition;

import arborline.core.exchange.Cell;
import arborline.core.exchange.CuttingReading;
import arborline.core.exchange.RawItem;
import arborline.core.merge.MergeField;
import arborline.core.merge.PartCodes;
import java.util.Map;
import java.util.Set;
import java.util.SortedMap;
import java.util.stream.Collectors;

/** A line of cutting data or a stack: one field, never mixed from two sides. */
public record ItemField(RawItem item) implements MergeField {

  private static final String PROVEN = "proven";
  private static final Set<String> OUTWEIGHED = Set.of("catalogue", "calculated");

  @Override
  public boolean sameSize(MergeField other) {
    return other instanceof ItemField field
        && same(item.cells(), field.item.cells())
        && new PartCodes(item.parts()).sameSize(new PartCodes(field.item.parts()));
  }

  private static boolean same(SortedMap<String, Cell> one, SortedMap<String, Cell> other) {
    return one.keySet().equals(other.keySet())
        && one.entrySet().stream()
            .allMatch(cell ->
                CellField.amount(cell.getValue())
                    .sameSize(CellField.amount(other.get(cell.getKey()))));
  }

  @Override
  public boolean outweighs(MergeField other) {
    return other instanceof ItemField field
        && origin(item).equals(PROVEN)
        && OUTWEIGHED.contains(origin(field.item));
  }

  private static String origin(RawItem item) {
    return item.text(CuttingReading.ORIGIN);
  }

  /** Its cells with their names, then its parts: {@code VC 180 m/min, FZ 0.05 mm}. */
  @Override
  public String toString() {
    String cells =
        item.cells().entrySet().stream()
            .map(Map.Entry::getKey)
            .map(name -> name + " " + new CellField(item.cells().get(name)))
            .collect(Collectors.joining(", "));
    return item.parts().isEmpty() ? cells : cells + "; " + String.join(" + ", item.parts());
  }
}
