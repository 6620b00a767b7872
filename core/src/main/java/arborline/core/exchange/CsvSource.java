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
import java.util.Deque;
import java.util.List;
import java.util.Optional;
import java.util.TreeMap;

/** Reads a text table record by record. */
final class CsvSource implements ItemSource {

  private static final int LONGEST_CELL = 4000;
  private static final int LONGEST_RECORD = 4 * 1024 * 1024;
  private static final char DAMAGED = '\uFFFD';

  private final CsvReader<CsvRecord> csv;
  private final CloseableIterator<CsvRecord> records;
  private final TableReading reading;
  private final RowItems rows = new RowItems();
  private final Deque<RawItem> read = new ArrayDeque<>();
  private long lastLine = 1;

  CsvSource(InputStream file, TextHead head, TableReading reading) throws IOException {
    this.reading = reading;
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
    if (read.isEmpty()) {
      Optional<CsvRecord> next = record();
      lastLine = next.map(CsvRecord::getStartingLineNumber).orElse(lastLine);
      next.ifPresent(row -> read.addAll(items(row)));
    }
    return Optional.ofNullable(read.poll());
  }

  private List<RawItem> items(CsvRecord row) {
    List<Column> columns = reading.columns();
    TreeMap<String, Cell> cells = new TreeMap<>();
    List<Finding> findings = new ArrayList<>(0);
    if (row.getFieldCount() != columns.size() && !(row.getFieldCount() == 1)) {
      findings.add(
          Finding.hold(
              "cell-count",
              "the line has %d cells, the header has %d: a delimiter or a quotation mark is astray"
                  .formatted(row.getFieldCount(), columns.size())));
    }
    int readable = Math.min(row.getFieldCount(), columns.size());
    for (int i = 0; i < readable; i++) {
      cell(columns.get(i), row.getField(i), cells, findings);
    }
    if (cells.keySet().stream().allMatch(RawItem::isNote)
        && findings.isEmpty()
        && !row.getFields().stream().allMatch(String::isBlank)) {
      findings.add(
          Finding.hold(
              "nothing-read",
              "no cell of this line stands in a column that is read: say what the columns mean"));
    }
    return rows.of(row.getStartingLineNumber(), cells, findings);
  }

  private void cell(
      Column column, String field, TreeMap<String, Cell> cells, List<Finding> findings) {
    if (column.symbol().isEmpty() || field.isBlank()) {
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
    String text = FormulaGuard.unguard(field);
    if (column.unit().isPresent()) {
      DecimalSign.Read number = DecimalSign.read(text, reading.decimal(), column.symbol());
      number.finding().ifPresent(findings::add);
      text = number.text();
    }
    cells.put(column.symbol(), new Cell(text, column.unit(), false));
  }

  @Override
  public void close() throws IOException {
    records.close();
    csv.close();
  }
}
