package arborline.core.recipe;

import arborline.core.exchange.BoundedLines;
import arborline.core.exchange.TableReading;
import arborline.core.exchange.TextHead;
import arborline.core.exchange.UnreadableFileException;
import de.siegmar.fastcsv.reader.CloseableIterator;
import de.siegmar.fastcsv.reader.CsvParseException;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.util.Optional;

/** Rows of a text table: parted by a sign, or by where they stand in the line. */
final class TextTable {

  private static final int LONGEST_RECORD = 4 * 1024 * 1024;

  private TextTable() {}

  static RowSource open(InputStream file, TextHead head, TableReading reading, TextShape shape)
      throws IOException {
    if (head.charset().equals(reading.charset())) {
      file.skipNBytes(head.markLength());
    }
    InputStreamReader text = new InputStreamReader(file, reading.charset());
    return shape.delimited() ? new Delimited(text, shape.delimiter()) : new Aligned(text, shape);
  }

  private static final class Delimited implements RowSource {
    private final CsvReader<CsvRecord> csv;
    private final CloseableIterator<CsvRecord> records;
    private long lastLine = 1;

    Delimited(InputStreamReader text, char delimiter) {
      csv =
          CsvReader.builder()
              .fieldSeparator(delimiter)
              .allowExtraFields(true)
              .allowMissingFields(true)
              .allowExtraCharsAfterClosingQuote(true)
              .skipEmptyLines(false)
              .maxBufferSize(LONGEST_RECORD)
              .ofCsvRecord(text);
      records = csv.iterator();
    }

    @Override
    public Optional<SourceRow> next() throws IOException {
      try {
        if (!records.hasNext()) {
          return Optional.empty();
        }
        CsvRecord record = records.next();
        lastLine = record.getStartingLineNumber();
        return Optional.of(new SourceRow(lastLine, record.getFields()));
      } catch (CsvParseException broken) {
        throw UnreadableFileException.record(lastLine, broken);
      } catch (UncheckedIOException broken) {
        throw broken.getCause();
      }
    }

    @Override
    public void close() throws IOException {
      records.close();
      csv.close();
    }
  }

  private static final class Aligned implements RowSource {
    private final BoundedLines lines;
    private final CellBounds bounds;

    Aligned(InputStreamReader text, TextShape shape) {
      this.lines = new BoundedLines(text);
      this.bounds = shape.bounds();
    }

    @Override
    public Optional<SourceRow> next() throws IOException {
      return lines.next().map(line -> new SourceRow(lines.number(), TextShape.cells(line, bounds)));
    }

    @Override
    public void close() throws IOException {
      lines.close();
    }
  }
}
