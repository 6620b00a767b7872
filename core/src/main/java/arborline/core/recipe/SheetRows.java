package arborline.core.recipe;

import java.io.IOException;
import java.math.BigDecimal;
import java.math.MathContext;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.dhatim.fastexcel.reader.Cell;
import org.dhatim.fastexcel.reader.CellType;
import org.dhatim.fastexcel.reader.Row;
import org.dhatim.fastexcel.reader.Sheet;

/** Rows of one sheet of a workbook; of formulas the values that were kept with them. */
final class SheetRows implements RowSource {

  private static final Pattern LITERALS = Pattern.compile("\"[^\"]*\"|\\[[^\\]]*\\]|\\\\.");
  private static final Pattern DAYS = Pattern.compile("(?i)[dy]");
  private static final int MOST_CELLS = 2000;

  /** A double keeps this many digits; what stands behind them is noise. */
  private static final MathContext DIGITS = new MathContext(15);

  private static final Pattern DECIMALS = Pattern.compile("0\\.(0{1,15})");

  private final boolean asShown;
  private final Stream<Row> stream;
  private final Iterator<Row> rows;

  /**
   * Opens a sheet.
   *
   * @param asShown true to keep the zeros that the format of a cell shows behind a number
   */
  SheetRows(Sheet sheet, boolean asShown) throws IOException {
    this.asShown = asShown;
    try {
      this.stream = sheet.openStream();
      this.rows = stream.iterator();
    } catch (RuntimeException broken) {
      throw Sheets.unreadable(broken);
    }
  }

  @Override
  public Optional<SourceRow> next() throws IOException {
    try {
      return rows.hasNext() ? Optional.of(row(rows.next())) : Optional.empty();
    } catch (RuntimeException broken) {
      throw Sheets.unreadable(broken);
    }
  }

  private SourceRow row(Row row) {
    List<String> cells = new ArrayList<>();
    Map<Integer, LocalDate> dates = new HashMap<>();
    Map<Integer, String> formulas = new HashMap<>();
    int width = Math.min(row.getCellCount(), MOST_CELLS);
    for (int i = 0; i < width; i++) {
      Cell cell = row.getCell(i);
      Optional<LocalDate> date = cell == null ? Optional.empty() : date(cell);
      int place = i;
      date.ifPresent(day -> dates.put(place, day));
      cells.add(date.map(LocalDate::toString).orElseGet(() -> text(cell)));
      if (cell != null && cell.getFormula() != null && !cell.getFormula().isBlank()) {
        formulas.put(place, cell.getFormula());
      }
    }
    return new SourceRow(row.getRowNum(), SourceRow.Kind.ROW, cells, dates, formulas);
  }

  private String text(Cell cell) {
    if (cell == null || cell.getType() == CellType.EMPTY || cell.getType() == CellType.ERROR) {
      return "";
    }
    if (cell.getType() == CellType.STRING) {
      return cell.asString();
    }
    String raw = cell.getRawValue() == null ? "" : cell.getRawValue();
    return cell.getType() == CellType.NUMBER
        ? shown(number(raw), cell.getDataFormatString())
        : plain(raw);
  }

  private String shown(String number, String format) {
    Matcher decimals = DECIMALS.matcher(format == null ? "" : format);
    int places = decimals.matches() ? decimals.group(1).length() : 0;
    return asShown && places > 0 && new BigDecimal(number).scale() < places
        ? new BigDecimal(number).setScale(places).toPlainString()
        : number;
  }

  /** A formula may have kept a number. */
  private static String plain(String raw) {
    return raw.matches("[-+]?\\d{1,20}(?:\\.\\d{1,25})?(?:[eE][-+]?\\d{1,3})?") ? number(raw) : raw;
  }

  private static String number(String raw) {
    try {
      BigDecimal number = new BigDecimal(raw).round(DIGITS);
      return number.signum() == 0 ? "0" : number.stripTrailingZeros().toPlainString();
    } catch (NumberFormatException text) {
      return raw;
    }
  }

  /** The day of a number that is shown as one. */
  private static Optional<LocalDate> date(Cell cell) {
    String format = cell.getDataFormatString();
    if (cell.getType() != CellType.NUMBER || format == null) {
      return Optional.empty();
    }
    boolean day = DAYS.matcher(LITERALS.matcher(format).replaceAll("")).find();
    boolean sensible = cell.asNumber().signum() > 0 && cell.asNumber().intValue() < 200_000;
    return day && sensible ? Optional.of(cell.asDate().toLocalDate()) : Optional.empty();
  }

  @Override
  public void close() {
    stream.close();
  }
}
