package arborline.core.exchange;

import arborline.core.cutting.CuttingField;
import arborline.core.finding.Finding;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * Makes items of the rows of a table. A row may hold a tool and a line of its cutting data; a row
 * with nothing but cutting data belongs to the tool that it names, else to the one before it.
 */
public final class RowItems {

  /** What a row is; {@link ItemKind} by its word. */
  public static final String KIND = "KIND";

  public static final String PARTS = "PARTS";

  private static final Set<String> CUTTING_TEXTS =
      Set.of(
          CuttingReading.MATERIAL,
          CuttingReading.PURPOSE,
          CuttingReading.COOLANT,
          CuttingReading.ORIGIN,
          CuttingReading.AUTHOR,
          CuttingReading.AT,
          CuttingReading.MACHINE);
  private static final Set<String> STACK_CELLS =
      Set.of(StackReading.SEAT, StackReading.OVERHANG, PARTS);

  private String lastKey = "";

  /** True for a column of cutting data. */
  public static boolean ofCutting(String column) {
    return CUTTING_TEXTS.contains(column) || CuttingField.named(column).isPresent();
  }

  /** The items of a row, the tool first. */
  public List<RawItem> of(long line, SortedMap<String, Cell> cells, List<Finding> findings) {
    String word = text(cells, KIND);
    Optional<ItemKind> stated = ItemKind.named(word);
    List<Finding> found = new ArrayList<>(findings);
    if (stated.isEmpty() && !word.isEmpty()) {
      found.add(
          Finding.query(
              "kind-unknown", "'%s' is no kind of item; read as a tool".formatted(word), KIND));
    }
    ItemKind kind = stated.orElse(ItemKind.CUTTER);
    SortedMap<String, Cell> own = new TreeMap<>();
    SortedMap<String, Cell> cutting = new TreeMap<>();
    cells.forEach((column, cell) -> {
      if (column.equals(KIND) || cell.blank()) {
        return;
      }
      boolean cut = ofCutting(column) && (kind == ItemKind.CUTTER || kind == ItemKind.CUTTING);
      (cut ? cutting : own).put(column, cell);
    });
    return switch (kind) {
      case STACK -> List.of(stack(line, own, found));
      case CUTTING -> List.of(cutting(line, own, cutting, found));
      case CUTTER -> tool(line, own, cutting, found);
      default -> List.of(alone(line, kind, own, found));
    };
  }

  private RawItem alone(
      long line, ItemKind kind, SortedMap<String, Cell> own, List<Finding> findings) {
    RawItem item = new RawItem(line, kind, own, findings);
    lastKey = item.key();
    return item;
  }

  private List<RawItem> tool(
      long line,
      SortedMap<String, Cell> own,
      SortedMap<String, Cell> cutting,
      List<Finding> findings) {
    if (cutting.isEmpty()) {
      return List.of(alone(line, ItemKind.CUTTER, own, findings));
    }
    boolean onlyCutting =
        own.keySet().stream()
            .allMatch(column -> column.equals(RawItem.CODE) || RawItem.isNote(column));
    if (onlyCutting && (!text(own, RawItem.CODE).isEmpty() || !lastKey.isEmpty())) {
      return List.of(cutting(line, own, cutting, findings));
    }
    RawItem item = alone(line, ItemKind.CUTTER, own, findings);
    return List.of(item, RawItem.cutting(line, item.key(), cutting));
  }

  private RawItem cutting(
      long line,
      SortedMap<String, Cell> own,
      SortedMap<String, Cell> cutting,
      List<Finding> findings) {
    String code = text(own, RawItem.CODE);
    SortedMap<String, Cell> cells = new TreeMap<>(cutting);
    remarks(own).ifPresent(said -> cells.putIfAbsent(CuttingReading.PURPOSE, Cell.of(said)));
    return RawItem.cutting(line, code.isEmpty() ? lastKey : code, cells).withFindings(findings);
  }

  /** What is noted beside cutting data says what it is for. */
  private static Optional<String> remarks(SortedMap<String, Cell> own) {
    List<String> said =
        own.entrySet().stream()
            .filter(cell -> RawItem.isNote(cell.getKey()))
            .map(cell -> cell.getValue().text().strip())
            .toList();
    return said.isEmpty() ? Optional.empty() : Optional.of(String.join(", ", said));
  }

  private RawItem stack(long line, SortedMap<String, Cell> own, List<Finding> findings) {
    SortedMap<String, Cell> cells = new TreeMap<>();
    own.forEach((column, cell) -> {
      if (column.equals(RawItem.NAME) || STACK_CELLS.contains(column) && !column.equals(PARTS)) {
        cells.put(column, cell);
      }
    });
    String code = text(own, RawItem.CODE);
    return new RawItem(
        line,
        ItemKind.STACK,
        code.isEmpty() ? lastKey : code,
        cells,
        PartList.read(text(own, PARTS)),
        findings);
  }

  private static String text(SortedMap<String, Cell> cells, String column) {
    Cell cell = cells.get(column);
    return cell == null ? "" : cell.text().strip();
  }
}
