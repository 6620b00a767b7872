package arborline.core.recipe;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A row of a table.
 *
 * @param line physical line on which it starts, from 1; row of a sheet
 * @param kind what is known of it before its words are looked at
 * @param cells as written
 * @param dates days that stand in cells, by their index
 * @param formulas of a spreadsheet whose results the cells are, by their index
 */
record SourceRow(
    long line,
    Kind kind,
    List<String> cells,
    Map<Integer, LocalDate> dates,
    Map<Integer, String> formulas) {

  /** What is known of a row before its words are looked at. */
  enum Kind {
    ROW,
    /** It heads columns, whatever its words. */
    HEADER,
    /** A sheet begins; its only cell is the name of the sheet. */
    SHEET
  }

  SourceRow {
    cells = List.copyOf(cells);
    dates = Map.copyOf(dates);
    formulas = Map.copyOf(formulas);
  }

  SourceRow(long line, List<String> cells) {
    this(line, Kind.ROW, cells, Map.of(), Map.of());
  }

  String cell(int index) {
    return index < cells.size() ? cells.get(index).strip() : "";
  }

  Optional<LocalDate> date(int index) {
    return Optional.ofNullable(dates.get(index));
  }

  List<String> filled() {
    return cells.stream().map(String::strip).filter(cell -> !cell.isEmpty()).toList();
  }
}
