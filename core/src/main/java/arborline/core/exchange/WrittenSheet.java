package arborline.core.exchange;

import arborline.core.property.Dictionary;
import arborline.core.property.Property;
import arborline.core.quantity.Unit;
import java.io.IOException;
import java.math.BigDecimal;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import org.dhatim.fastexcel.Worksheet;

/** One sheet of a workbook: a row for each item, plain decimals as numbers. */
final class WrittenSheet {

  private static final int HELD = 500;
  private static final int DIGITS = 15;
  private static final int VALIDATED = 100_000;
  private static final double NARROW = 11;
  private static final double WIDE = 24;
  private static final String HEAD = "E8E4DA";

  private final Worksheet sheet;
  private final List<WrittenColumn> columns;
  private final Map<String, Integer> places = new HashMap<>();
  private int row = 1;
  private boolean finished;

  WrittenSheet(Worksheet sheet, List<WrittenColumn> columns, ValidationLists lists) {
    this.sheet = sheet;
    this.columns = columns;
    for (int i = 0; i < columns.size(); i++) {
      WrittenColumn column = columns.get(i);
      places.put(column.symbol(), i);
      sheet.inlineString(0, i, header(column));
      sheet.width(i, wide(column) ? WIDE : NARROW);
      sheet.style(0, i).bold().wrapText(true).fillColor(HEAD).verticalAlignment("top").set();
      validate(lists, column.symbol(), i);
    }
    sheet.freezePane(Math.min(2, columns.size()), 1);
    sheet.setAutoFilter(0, 0, columns.size() - 1);
  }

  private void validate(ValidationLists lists, String symbol, int at) {
    lists
        .of(symbol)
        .ifPresent(range -> {
          var validation = sheet.range(1, at, VALIDATED, at).validateWithList(range);
          validation.allowBlank(true).showErrorMessage(!ValidationLists.open(symbol));
        });
  }

  private static boolean wide(WrittenColumn column) {
    return column.unit().isEmpty() && Dictionary.standard().find(column.symbol()).isEmpty();
  }

  /** The symbol, what it is called, and its unit: {@code DC: cutting diameter [mm]}. */
  private static String header(WrittenColumn column) {
    Optional<String> name =
        Dictionary.standard()
            .find(column.symbol())
            .map(Property::name)
            .map(called -> called.replaceAll("[\\[(].*", "").strip());
    String unit = column.unit().map(stated -> " [%s]".formatted(stated.code())).orElse("");
    return name.map(called -> "%s: %s%s".formatted(column.symbol(), called, unit))
        .orElse(column.symbol() + unit);
  }

  void row(SortedMap<String, Cell> cells) throws IOException {
    if (row > Worksheet.MAX_ROWS - 1) {
      throw new UnreadableFileException(
          "a sheet of a workbook ends at row %d; write JSON or CSV, or a part of the library"
              .formatted(Worksheet.MAX_ROWS));
    }
    for (int i = 0; i < columns.size(); i++) {
      Cell cell = cells.get(columns.get(i).symbol());
      if (cell != null && !cell.blank()) {
        cell(i, columns.get(i), cell, cells);
      }
    }
    row++;
    if (row % HELD == 0) {
      sheet.flush();
    }
  }

  private void cell(int at, WrittenColumn column, Cell cell, SortedMap<String, Cell> cells) {
    Optional<String> formula =
        carriedFormula(column, cell)
            .flatMap(text -> SheetFormula.of(text, row + 1, symbol -> place(symbol, cells)));
    if (formula.isPresent()) {
      sheet.formula(row, at, formula.get());
    } else if (number(column, cell)) {
      number(at, new BigDecimal(cell.text()));
    } else {
      sheet.inlineString(row, at, text(column, cell));
    }
  }

  private Optional<Integer> place(String symbol, SortedMap<String, Cell> cells) {
    return Optional.ofNullable(places.get(symbol))
        .filter(at -> usable(columns.get(at), cells.get(symbol)));
  }

  /** The formula of a cell whose result is in the unit of its column. */
  private static Optional<String> carriedFormula(WrittenColumn column, Cell cell) {
    return cell.formula().filter(text -> inUnit(column, cell));
  }

  private static boolean usable(WrittenColumn column, Cell cell) {
    return cell != null
        && (number(column, cell) || cell.formula().isPresent() && inUnit(column, cell));
  }

  private static boolean inUnit(WrittenColumn column, Cell cell) {
    return cell.unit().filter(own -> own != Unit.ONE).equals(column.unit());
  }

  /** A plain decimal that a spreadsheet holds exactly. */
  private static boolean number(WrittenColumn column, Cell cell) {
    boolean counted =
        column.unit().isPresent()
            || column.symbol().equals(RawItem.NUMBER)
            || Dictionary.standard().find(column.symbol()).filter(Property::numeric).isPresent();
    return counted && inUnit(column, cell) && plain(cell.text());
  }

  private static boolean plain(String text) {
    if (!text.matches("-?\\d{1,15}(?:\\.\\d{1,15})?")) {
      return false;
    }
    BigDecimal number = new BigDecimal(text);
    return number.precision() <= DIGITS && number.toPlainString().equals(text);
  }

  /** Its decimals are kept as the format of the cell: {@code 12.70}. */
  private void number(int at, BigDecimal number) {
    sheet.value(row, at, number);
    boolean trailing = number.scale() > 0 && number.stripTrailingZeros().scale() < number.scale();
    if (trailing) {
      sheet.style(row, at).format("0." + "0".repeat(number.scale())).set();
    }
  }

  private static String text(WrittenColumn column, Cell cell) {
    boolean own = inUnit(column, cell) || cell.unit().isEmpty();
    return own ? cell.text() : cell.text() + " " + cell.unit().orElseThrow().code();
  }

  void finish() throws IOException {
    if (!finished) {
      finished = true;
      sheet.finish();
    }
  }

  /** An item as its row brings it back: without formulas that need more than the row. */
  static RawItem kept(RawItem item, List<WrittenColumn> columns) {
    Map<String, WrittenColumn> bySymbol = new HashMap<>();
    columns.forEach(column -> bySymbol.put(column.symbol(), column));
    SortedMap<String, Cell> cells = new java.util.TreeMap<>(item.cells());
    cells.replaceAll((symbol, cell) -> {
      WrittenColumn column = bySymbol.get(symbol);
      boolean keeps =
          column != null
              && carriedFormula(column, cell)
                  .flatMap(text ->
                      SheetFormula.of(
                          text,
                          1,
                          other ->
                              Optional.ofNullable(bySymbol.get(other))
                                  .filter(known -> usable(known, item.cells().get(other)))
                                  .map(known -> 0)))
                  .isPresent();
      return keeps ? cell : new Cell(cell.text(), cell.unit(), cell.defaulted());
    });
    return new RawItem(
        item.line(), item.kind(), item.owner(), cells, item.parts(), item.findings());
  }
}
