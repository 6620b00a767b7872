package arborline.core.recipe;

import arborline.core.exchange.ItemReader;
import arborline.core.exchange.ItemSource;
import arborline.core.exchange.RawItem;
import arborline.core.exchange.TableReading;
import com.google.auto.service.AutoService;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Workbooks of spreadsheet programs (ISO/IEC 29500), every visible sheet of them. */
@AutoService(ItemReader.class)
public final class Workbook implements ItemReader {

  private static final int SAMPLE = 300;
  private static final byte[] ZIP = {'P', 'K', 3, 4};

  @Override
  public String id() {
    return "xlsx";
  }

  @Override
  public boolean recognises(byte[] head) {
    return head.length > ZIP.length
        && java.util.Arrays.equals(head, 0, ZIP.length, ZIP, 0, ZIP.length);
  }

  /** The file is put aside first, because a workbook is not read from its beginning to its end. */
  @Override
  public ItemSource open(InputStream file, byte[] head, TableReading reading) throws IOException {
    Path copy = Files.createTempFile("workbook", ".xlsx");
    try {
      Files.copy(file, copy, StandardCopyOption.REPLACE_EXISTING);
      WorkbookLimits.check(copy);
      TableFacts facts = facts(copy).decided(reading);
      return new Kept(
          new ForeignSource(new SheetRows(copy), facts, List.of(), ChosenColumns.of(reading)),
          copy);
    } catch (IOException | RuntimeException failed) {
      Files.deleteIfExists(copy);
      throw failed;
    }
  }

  private static TableFacts facts(Path copy) throws IOException {
    List<SourceRow> rows = new ArrayList<>();
    try (SheetRows sheets = new SheetRows(copy)) {
      Optional<SourceRow> next = sheets.next();
      while (next.isPresent() && rows.size() < SAMPLE) {
        rows.add(next.get());
        next = sheets.next();
      }
    }
    int header = 0;
    while (header < rows.size() && !Columns.header(rows.get(header))) {
      header++;
    }
    List<String> titles = new ArrayList<>();
    rows.subList(0, header).forEach(row -> titles.addAll(row.filled()));
    List<SourceRow> below =
        header == rows.size() ? List.of() : rows.subList(header + 1, rows.size());
    List<ColumnRole> columns =
        header == rows.size() ? List.of() : Columns.of(rows.get(header), below);
    return TableFacts.of(titles, columns, below).withPoint();
  }

  /** A source whose file is taken away once it is read. */
  private record Kept(ItemSource source, Path file) implements ItemSource {

    @Override
    public Optional<RawItem> next() throws IOException {
      return source.next();
    }

    @Override
    public void close() throws IOException {
      source.close();
      Files.deleteIfExists(file);
    }
  }
}
