package arborline.core.exchange;

import com.google.auto.service.AutoService;
import de.siegmar.fastcsv.writer.CsvWriter;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.nio.charset.StandardCharsets;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;

/** Text table: header cells are ISO 13399 symbols with the unit in brackets. */
@AutoService(BundleFormat.class)
public final class CsvFormat implements BundleFormat {

  @Override
  public String id() {
    return "csv";
  }

  @Override
  public String mediaType() {
    return "text/csv;charset=UTF-8";
  }

  /** Any text may be a table; asked last. */
  @Override
  public boolean recognises(byte[] head) {
    return true;
  }

  @Override
  public ItemSource open(InputStream file, byte[] head, TableReading reading) throws IOException {
    TextHead.requireText(head);
    return new CsvSource(file, TextHead.sniff(head), reading);
  }

  @Override
  public Set<Carried> carries() {
    return EnumSet.complementOf(EnumSet.of(Carried.DEFAULT_MARK, Carried.FORMULAS));
  }

  @Override
  public BundleSink create(OutputStream file, WriteOptions options) {
    return new Sink(file, options);
  }

  private static final class Sink implements BundleSink {
    private final CsvWriter csv;
    private final List<WrittenColumn> columns;
    private final WriteOptions options;

    Sink(OutputStream file, WriteOptions options) {
      this.options = options;
      this.columns = WrittenColumn.of(options);
      this.csv = CsvWriter.builder().build(new OutputStreamWriter(file, StandardCharsets.UTF_8));
      csv.writeRecord(columns.stream().map(WrittenColumn::header).toList());
    }

    @Override
    public void part(BundlePart part) {
      row(part.item(), new TreeMap<>());
    }

    /** A row for the tool and its first line of cutting data, then one for each that follows. */
    @Override
    public void write(Bundle bundle) {
      List<RawItem> items = bundle.items();
      List<RawItem> cutting =
          items.stream().filter(item -> item.kind() == ItemKind.CUTTING).toList();
      RawItem tool = items.getFirst();
      boolean beside = tool.kind() == ItemKind.CUTTER && !cutting.isEmpty();
      row(tool, beside ? cutting.getFirst().cells() : new TreeMap<>());
      items.stream()
          .skip(1)
          .filter(item -> !beside || item != cutting.getFirst())
          .forEach(item -> row(item, new TreeMap<>()));
    }

    private void row(RawItem item, SortedMap<String, Cell> beside) {
      SortedMap<String, Cell> cells = new TreeMap<>(item.cells());
      cells.putAll(beside);
      cells.put(RowItems.KIND, Cell.of(item.kind().word()));
      if (!item.owner().isEmpty()) {
        cells.put(RawItem.CODE, Cell.of(item.owner()));
      }
      if (!item.parts().isEmpty()) {
        cells.put(RowItems.PARTS, Cell.of(PartList.text(item.parts())));
      }
      csv.writeRecord(
          columns.stream()
              .map(column -> column.text(Restated.of(cells.get(column.symbol()), options.unit())))
              .toList());
    }

    @Override
    public void close() throws IOException {
      csv.close();
    }
  }
}
