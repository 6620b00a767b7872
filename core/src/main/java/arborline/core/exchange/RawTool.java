package arborline.core.exchange;

import arborline.core.finding.Finding;
import arborline.core.tool.Tool;
import java.util.Collections;
import java.util.List;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * One line or record of a file, not yet understood.
 *
 * @param line where it starts in the file, from 1
 * @param cells by property symbol or one of the {@code CODE}, {@code NAME}, {@code CLASS}, {@code
 *     NUMBER} columns
 * @param findings what went wrong while reading it
 */
public record RawTool(long line, SortedMap<String, Cell> cells, List<Finding> findings) {

  public static final String CODE = "CODE";
  public static final String NAME = "NAME";
  public static final String CLASS = "CLASS";
  public static final String NUMBER = "NUMBER";

  public RawTool {
    cells = Collections.unmodifiableSortedMap(cells);
    findings = List.copyOf(findings);
  }

  /** The cells that bring a tool back. */
  public static RawTool of(Tool tool) {
    SortedMap<String, Cell> cells = new TreeMap<>();
    tool.values().forEach((symbol, value) -> cells.put(symbol, Cell.of(value)));
    cells.put(CODE, Cell.of(tool.code()));
    cells.put(NAME, Cell.of(tool.name()));
    cells.put(CLASS, Cell.of(tool.toolClass()));
    return new RawTool(0, cells, List.of());
  }

  public String text(String symbol) {
    Cell cell = cells.get(symbol);
    return cell == null ? "" : cell.text().strip();
  }

  public boolean blank() {
    return cells.values().stream().allMatch(cell -> cell.text().isBlank());
  }

  /** A copy with some cells replaced; a replacement without text takes the cell away. */
  public RawTool with(SortedMap<String, Cell> replacements) {
    SortedMap<String, Cell> changed = new TreeMap<>(cells);
    replacements.forEach((symbol, cell) -> {
      if (cell.text().isBlank()) {
        changed.remove(symbol);
      } else {
        changed.put(symbol, cell);
      }
    });
    return new RawTool(line, changed, findings);
  }
}
