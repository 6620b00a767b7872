package arborline.core.recipe;

import arborline.core.exchange.UnreadableFileException;
import java.io.IOException;
import java.math.BigDecimal;
import java.math.MathContext;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.dhatim.fastexcel.reader.Cell;
import org.dhatim.fastexcel.reader.CellType;
import org.dhatim.fastexcel.reader.ExcelReaderException;
import org.dhatim.fastexcel.reader.ReadableWorkbook;
import org.dhatim.fastexcel.reader.ReadingOptions;
import org.dhatim.fastexcel.reader.Row;
import org.dhatim.fastexcel.reader.Sheet;
import org.dhatim.fastexcel.reader.SheetVisibility;

/** Rows of the visible sheets of a workbook; of formulas the values that were kept with them. */
final class SheetRows implements RowSource {

  private static final Pattern LITERALS = Pattern.compile("\"[^\"]*\"|\\[[^\\]]*\\]|\\\\.");
  private static final Pattern DAYS = Pattern.compile("(?i)[dy]");
  private static final int MOST_CELLS = 2000;

  /** A double keeps this many digits; what stands behind them is noise. */
  private static final MathContext DIGITS = new MathContext(15);

  private final ReadableWorkbook workbook;
  private final Iterator<Sheet> sheets;
  private Stream<Row> stream = Stream.empty();
  private Iterator<Row> rows = stream.iterator();

  SheetRows(Path file) throws IOException {
    try {
      workbook = new ReadableWorkbook(file.toFile(), new ReadingOptions(true, true));
    } catch (ExcelReaderException broken) {
      throw unreadable(broken);
    }
    sheets =
        workbook
            .getSheets()
            .filter(sheet -> sheet.getVisibility() == SheetVisibility.VISIBLE)
            .iterator();
  }

  private static UnreadableFileException unreadable(RuntimeException broken) {
    return new UnreadableFileException(
        "line 1: this workbook cannot be read: " + broken.getMessage(), broken);
  }

  @Override
  public Optional<SourceRow> next() throws IOException {
    try {
      if (rows.hasNext()) {
        return Optional.of(row(rows.next()));
      }
      stream.close();
      rows = Collections.emptyIterator();
      if (!sheets.hasNext()) {
        return Optional.empty();
      }
      Sheet sheet = sheets.next();
      stream = sheet.openStream();
      rows = stream.iterator();
      return Optional.of(
          new SourceRow(0, SourceRow.Kind.SHEET, List.of(sheet.getName()), Map.of()));
    } catch (ExcelReaderException broken) {
      throw unreadable(broken);
    }
  }

  private static SourceRow row(Row row) {
    List<String> cells = new ArrayList<>();
    Map<Integer, LocalDate> dates = new HashMap<>();
    int width = Math.min(row.getCellCount(), MOST_CELLS);
    for (int i = 0; i < width; i++) {
      Cell cell = row.getCell(i);
      Optional<LocalDate> date = cell == null ? Optional.empty() : date(cell);
      int place = i;
      date.ifPresent(day -> dates.put(place, day));
      cells.add(date.map(LocalDate::toString).orElseGet(() -> text(cell)));
    }
    return new SourceRow(row.getRowNum(), SourceRow.Kind.ROW, cells, dates);
  }

  private static String text(Cell cell) {
    if (cell == null || cell.getType() == CellType.EMPTY || cell.getType() == CellType.ERROR) {
      return "";
    }
    String raw = cell.getType() == CellType.STRING ? cell.asString() : cell.getRawValue();
    return raw == null ? "" : cell.getType() == CellType.NUMBER ? number(raw) : plain(raw);
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
  public void close() throws IOException {
    stream.close();
    workbook.close();
  }
}
