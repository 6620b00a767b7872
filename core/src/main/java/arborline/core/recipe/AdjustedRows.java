package arborline.core.recipe;

import arborline.core.exchange.Adjustment;
import arborline.core.exchange.Column;
import arborline.core.exchange.TableReading;
import arborline.core.finding.Finding;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Rows under one header with their cells split, joined, multiplied and put into other words. */
final class AdjustedRows {

  private final List<ColumnRole> columns;
  private final char decimal;
  private final Map<Integer, Column> adjustments = new HashMap<>();
  private final Map<Integer, SplitPattern> splits = new HashMap<>();
  private final Map<Integer, Integer> firstPiece = new HashMap<>();

  /** The column of an earlier cell behind which the cell of this one is put. */
  private final Map<Integer, Integer> behind = new HashMap<>();

  private AdjustedRows(List<ColumnRole> columns, char decimal) {
    this.columns = new ArrayList<>(columns);
    this.decimal = decimal;
  }

  static AdjustedRows of(List<ColumnRole> roles, ChosenColumns chosen, char decimal) {
    AdjustedRows rows = new AdjustedRows(roles, decimal);
    chosen.adjusted(roles).forEach(rows::adjust);
    return rows;
  }

  private void adjust(int place, Column column) {
    Adjustment adjustment = column.adjustment();
    adjustments.put(place, column);
    adjustment.split().ifPresent(text -> split(place, SplitPattern.of(text)));
    if (adjustment.behind().isPresent()) {
      for (int i = 0; i < place; i++) {
        boolean same =
            columns.get(i).meaning() == columns.get(place).meaning()
                && columns.get(i).symbol().equals(columns.get(place).symbol());
        if (same) {
          behind.put(place, i);
          break;
        }
      }
    }
  }

  private void split(int place, SplitPattern pattern) {
    splits.put(place, pattern);
    firstPiece.put(place, columns.size());
    ColumnRole whole = columns.get(place);
    columns.set(place, whole.as(Meaning.NOTE, whole.evidence()));
    for (String symbol : pattern.symbols()) {
      columns.add(
          ChosenColumns.role(
              whole.header(),
              new Column(whole.header(), symbol, Optional.empty(), TableReading.BY_HAND)));
    }
  }

  /** The columns, those of pieces behind the others. */
  List<ColumnRole> columns() {
    return columns;
  }

  /** A row with its cells as they are to be read. */
  SourceRow of(SourceRow row) {
    if (adjustments.isEmpty()) {
      return row;
    }
    List<String> cells = new ArrayList<>();
    for (int i = 0; i < columns.size(); i++) {
      cells.add(row.cell(i));
    }
    adjustments.forEach((place, column) -> cells.set(place, changed(place, cells.get(place))));
    splits.forEach((place, pattern) -> pieces(cells, place, pattern));
    behind.forEach((place, first) -> {
      String sign = adjustments.get(place).adjustment().behind().orElse("");
      String joined = cells.get(place).isEmpty() ? "" : sign + cells.get(place);
      cells.set(first, cells.get(first) + joined);
      cells.set(place, "");
    });
    return new SourceRow(row.line(), row.kind(), cells, row.dates(), row.formulas());
  }

  private void pieces(List<String> cells, int place, SplitPattern pattern) {
    pattern
        .pieces(cells.get(place))
        .ifPresent(pieces -> {
          for (int i = 0; i < pieces.size(); i++) {
            cells.set(firstPiece.get(place) + i, pieces.get(i));
          }
          cells.set(place, "");
        });
  }

  private String changed(int place, String cell) {
    Adjustment adjustment = adjustments.get(place).adjustment();
    String word = worded(cell, adjustment);
    return adjustment
        .factor()
        .flatMap(factor -> MultipliedCell.of(word, symbol(place), factor, decimal))
        .orElse(word);
  }

  private static String worded(String cell, Adjustment adjustment) {
    return adjustment.words().entrySet().stream()
        .filter(known -> known.getKey().strip().equalsIgnoreCase(cell))
        .map(Map.Entry::getValue)
        .findFirst()
        .orElse(cell);
  }

  private String symbol(int place) {
    return adjustments.get(place).symbol();
  }

  /** Cells that could not be split or multiplied as it was decided. */
  List<Finding> findings(SourceRow row) {
    List<Finding> findings = new ArrayList<>(0);
    splits.forEach((place, pattern) -> {
      String cell = changed(place, row.cell(place));
      if (!cell.isEmpty() && pattern.pieces(cell).isEmpty()) {
        findings.add(
            Finding.query(
                "split-unmatched",
                "'%s' of column %s is not made as the recipe says; it is kept as a note"
                    .formatted(cell, columns.get(place).header()),
                pattern.symbols().toArray(String[]::new)));
      }
    });
    adjustments.forEach((place, column) ->
        column
            .adjustment()
            .factor()
            .filter(factor -> MultipliedCell.possible(symbol(place)))
            .flatMap(factor -> unmultiplied(row.cell(place), column, factor))
            .ifPresent(findings::add));
    return findings;
  }

  private Optional<Finding> unmultiplied(String cell, Column column, BigDecimal factor) {
    String word = worded(cell, column.adjustment());
    return SizeText.open(word)
            || MultipliedCell.of(word, column.symbol(), factor, decimal).isPresent()
        ? Optional.empty()
        : Optional.of(
            Finding.hold(
                "factor-impossible",
                "%s '%s' cannot be multiplied by %s as the recipe says; type the value that is meant"
                    .formatted(column.symbol(), word, factor.toPlainString()),
                column.symbol()));
  }
}
