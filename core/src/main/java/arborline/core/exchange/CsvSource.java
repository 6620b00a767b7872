package arborline.core.exchange;

import arborline.core.finding.Finding;
import de.siegmar.fastcsv.reader.CloseableIterator;
import de.siegmar.fastcsv.reader.CsvParseException;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.Deque;
import java.util.List;
import java.util.Optional;
import java.util.SortedMap;
import java.util.stream.IntStream;

/** Reads a text table record by record. */
final class CsvSource implements ItemSource {

  private static final int LONGEST_CELL = 4000;
  private static final int LONGEST_RECORD = 4 * 1024 * 1024;
  private static final char DAMAGED = '\uFFFD';

  private final CsvReader<CsvRecord> csv;
  private final CloseableIterator<CsvRecord> records;
  private final TableReading reading;
  private final RowItems rows = new RowItems();

  /** Columns that are read, in the order of their symbols. */
  private final int[] order;

  /** The symbols of these columns, and what is filled of them in the row at hand. */
  private final String[] symbols;

  private final String[] filled;
  private final Cell[] cells;
  private int count;

  /** True where no column says what a row is, or anything of cutting data. */
  private final boolean onlyTools;

  /** True where a row can consist of nothing but notes. */
  private final boolean noted;

  private final Deque<RawItem> read = new ArrayDeque<>();
  private long lastLine = 1;

  CsvSource(InputStream file, TextHead head, TableReading reading) throws IOException {
    this.reading = reading;
    List<Column> columns = reading.columns();
    this.order =
        IntStream.range(0, columns.size())
            .filter(i -> !columns.get(i).symbol().isEmpty())
            .boxed()
            .sorted(Comparator.comparing(i -> columns.get(i).symbol()))
            .mapToInt(i -> i)
            .toArray();
    this.symbols =
        IntStream.of(order).mapToObj(i -> columns.get(i).symbol()).toArray(String[]::new);
    this.filled = new String[order.length];
    this.cells = new Cell[order.length];
    this.onlyTools =
        columns.stream()
            .map(Column::symbol)
            .noneMatch(symbol -> symbol.equals(RowItems.KIND) || RowItems.ofCutting(symbol));
    this.noted =
        columns.isEmpty()
            || columns.stream()
                .map(Column::symbol)
                .anyMatch(symbol -> symbol.isEmpty() || RawItem.isNote(symbol));
    if (head.charset().equals(reading.charset())) {
      file.skipNBytes(head.markLength());
    }
    this.csv =
        CsvReader.builder()
            .fieldSeparator(reading.delimiter())
            .allowExtraFields(true)
            .allowMissingFields(true)
            .allowExtraCharsAfterClosingQuote(true)
            .maxBufferSize(LONGEST_RECORD)
            .ofCsvRecord(new InputStreamReader(file, reading.charset()));
    this.records = csv.iterator();
    record();
  }

  private Optional<CsvRecord> record() throws IOException {
    try {
      return records.hasNext() ? Optional.of(records.next()) : Optional.empty();
    } catch (CsvParseException broken) {
      throw UnreadableFileException.record(lastLine, broken);
    } catch (UncheckedIOException broken) {
      throw broken.getCause();
    }
  }

  @Override
  public Optional<RawItem> next() throws IOException {
    if (!read.isEmpty()) {
      return Optional.of(read.poll());
    }
    Optional<CsvRecord> next = record();
    if (next.isEmpty()) {
      return Optional.empty();
    }
    lastLine = next.get().getStartingLineNumber();
    List<Finding> findings = new ArrayList<>(0);
    SortedMap<String, Cell> row = cells(next.get(), findings);
    if (onlyTools) {
      return Optional.of(new RawItem(lastLine, row, findings));
    }
    read.addAll(rows.of(lastLine, row, findings));
    return Optional.ofNullable(read.poll());
  }

  private SortedMap<String, Cell> cells(CsvRecord row, List<Finding> findings) {
    List<Column> columns = reading.columns();
    if (row.getFieldCount() != columns.size() && !(row.getFieldCount() == 1)) {
      findings.add(
          Finding.hold(
              "cell-count",
              "the line has %d cells, the header has %d: a delimiter or a quotation mark is astray"
                  .formatted(row.getFieldCount(), columns.size())));
    }
    count = 0;
    for (int i : order) {
      if (i < row.getFieldCount()) {
        cell(columns.get(i), row.getField(i), findings);
      }
    }
    if (noted && onlyNotes() && findings.isEmpty() && !blank(row)) {
      findings.add(
          Finding.hold(
              "nothing-read",
              "no cell of this line stands in a column that is read: say what the columns mean"));
    }
    return filledCells();
  }

  private SortedMap<String, Cell> filledCells() {
    return count == symbols.length
        ? new SortedCells(symbols, cells.clone())
        : new SortedCells(Arrays.copyOf(filled, count), Arrays.copyOf(cells, count));
  }

  private boolean onlyNotes() {
    for (int i = 0; i < count; i++) {
      if (!RawItem.isNote(filled[i])) {
        return false;
      }
    }
    return true;
  }

  private static boolean blank(CsvRecord row) {
    return row.getFields().stream().allMatch(String::isBlank);
  }

  private void cell(Column column, String field, List<Finding> findings) {
    if (field.isBlank()) {
      return;
    }
    if (field.length() > LONGEST_CELL) {
      findings.add(
          Finding.hold(
              "cell-too-long",
              "the cell has %d characters: is a quotation mark missing?".formatted(field.length()),
              column.symbol()));
      return;
    }
    if (field.indexOf(DAMAGED) >= 0) {
      findings.add(
          Finding.query(
              "character-damaged",
              "'%s' has characters that the encoding could not read".formatted(field),
              column.symbol()));
    }
    String text = field.charAt(0) == '\'' ? FormulaGuard.unguard(field) : field;
    if (column.unit().isPresent() && !DecimalSign.plain(text, reading.decimal())) {
      DecimalSign.Read number = DecimalSign.read(text, reading.decimal(), column.symbol());
      number.finding().ifPresent(findings::add);
      text = number.text();
    }
    filled[count] = column.symbol();
    cells[count] = new Cell(text, column.unit(), false);
    count++;
  }

  @Override
  public void close() throws IOException {
    records.close();
    csv.close();
  }
}
