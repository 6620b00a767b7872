package arborline.core.exchange;

import arborline.core.finding.Finding;
import arborline.core.property.Property;
import arborline.core.quantity.Unit;
import arborline.core.tool.Tool;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * One item of a file, not yet understood.
 *
 * @param line where it starts in the file, from 1
 * @param kind what the file says that it is; a cutter where it says nothing
 * @param owner {@link #key} of the tool that it belongs to; empty for what stands alone
 * @param cells by property symbol or one of the columns named here
 * @param parts codes of the parts of a stack, machine side first
 * @param findings what went wrong while reading it
 */
public record RawItem(
    long line,
    ItemKind kind,
    String owner,
    SortedMap<String, Cell> cells,
    List<String> parts,
    List<Finding> findings) {

  public static final String CODE = "CODE";
  public static final String NAME = "NAME";
  public static final String CLASS = "CLASS";
  public static final String NUMBER = "NUMBER";
  public static final String SECTION = "SECTION";

  /** Paths of files that belong to a tool, beside the file that names them. */
  public static final String ATTACHMENT = "ATTACHMENT";

  /** A note; with a colon and a heading behind it where the file gave one. */
  public static final String NOTE = "NOTE";

  public RawItem {
    cells = cells instanceof SortedCells ? cells : Collections.unmodifiableSortedMap(cells);
    parts = List.copyOf(parts);
    findings = List.copyOf(findings);
  }

  /** A cutter or an insert. */
  public RawItem(long line, SortedMap<String, Cell> cells, List<Finding> findings) {
    this(line, ItemKind.CUTTER, "", cells, List.of(), findings);
  }

  /** Something that stands alone. */
  public RawItem(long line, ItemKind kind, SortedMap<String, Cell> cells, List<Finding> findings) {
    this(line, kind, "", cells, List.of(), findings);
  }

  /** A line of cutting data of a tool. */
  public static RawItem cutting(long line, String owner, SortedMap<String, Cell> cells) {
    return new RawItem(line, ItemKind.CUTTING, owner, cells, List.of(), List.of());
  }

  /** The cells that bring a tool back. */
  public static RawItem of(Tool tool) {
    SortedMap<String, Cell> cells = new TreeMap<>();
    tool.values().forEach((symbol, value) -> cells.put(symbol, Cell.of(value)));
    tool.notes().forEach((heading, text) -> cells.put(note(heading), Cell.of(text)));
    cells.put(CODE, Cell.of(tool.code()));
    cells.put(NAME, Cell.of(tool.name()));
    cells.put(CLASS, Cell.of(tool.toolClass()));
    return new RawItem(0, cells, List.of());
  }

  /** The column of a note. */
  public static String note(String heading) {
    return heading.isEmpty() ? NOTE : NOTE + ":" + heading;
  }

  public static boolean isNote(String column) {
    return column.equals(NOTE) || column.startsWith(NOTE + ":");
  }

  public String text(String symbol) {
    Cell cell = cells.get(symbol);
    return cell == null ? "" : cell.text().strip();
  }

  /**
   * The unit in which a value is meant that somebody adds without naming one: that of the value it
   * replaces, else the one in which all others of its kind are written. Empty where these differ or
   * there are none, and where the replaced value stands there without a unit; then it is the
   * property's own.
   */
  public Optional<Unit> unitBeside(Property property) {
    Cell replaced = cells.get(property.symbol());
    if (replaced != null) {
      return replaced.unit();
    }
    List<Unit> beside =
        cells.values().stream()
            .flatMap(cell -> cell.unit().stream())
            .filter(unit -> property.unit().filter(own -> own.kind() == unit.kind()).isPresent())
            .distinct()
            .limit(2)
            .toList();
    return beside.size() == 1 ? Optional.of(beside.getFirst()) : Optional.empty();
  }

  public boolean blank() {
    return parts.isEmpty() && cells.values().stream().allMatch(Cell::blank);
  }

  /** By what others refer to it: its code, else its place in the file. */
  public String key() {
    String code = text(CODE);
    return code.isEmpty() ? "@" + line : code;
  }

  /** The same as another kind of item. */
  public RawItem of(ItemKind other) {
    return new RawItem(line, other, owner, cells, parts, findings);
  }

  /** The same as what belongs to a tool; see {@link #owner}. */
  public RawItem belongingTo(String tool) {
    return new RawItem(line, kind, tool, cells, parts, findings);
  }

  /** The same with other findings. */
  public RawItem withFindings(List<Finding> others) {
    return new RawItem(line, kind, owner, cells, parts, others);
  }

  /** A copy with some cells replaced; a replacement without text takes the cell away. */
  public RawItem with(Map<String, Cell> replacements) {
    SortedMap<String, Cell> changed = new TreeMap<>(cells);
    replacements.forEach((symbol, cell) -> {
      if (cell.blank()) {
        changed.remove(symbol);
      } else {
        changed.put(symbol, cell);
      }
    });
    return new RawItem(line, kind, owner, changed, parts, findings);
  }
}
