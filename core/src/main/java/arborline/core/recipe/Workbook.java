package arborline.core.recipe;

import arborline.core.exchange.BundleFormat;
import arborline.core.exchange.BundleSink;
import arborline.core.exchange.Carried;
import arborline.core.exchange.ItemSource;
import arborline.core.exchange.RawItem;
import arborline.core.exchange.TableReading;
import arborline.core.exchange.TextHead;
import arborline.core.exchange.UnreadableFileException;
import arborline.core.exchange.WorkbookSink;
import arborline.core.exchange.WriteOptions;
import com.google.auto.service.AutoService;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;

/**
 * Workbooks of spreadsheet programs (ISO/IEC 29500), every visible sheet of them: our own by the
 * symbols in their headers, others like any foreign table.
 */
@AutoService(BundleFormat.class)
public final class Workbook implements BundleFormat {

  private static final byte[] ZIP = {'P', 'K', 3, 4};

  @Override
  public String id() {
    return "xlsx";
  }

  @Override
  public String mediaType() {
    return "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet";
  }

  @Override
  public Set<Carried> carries() {
    return EnumSet.complementOf(EnumSet.of(Carried.DEFAULT_MARK));
  }

  @Override
  public RawItem kept(RawItem item, WriteOptions options) {
    return WorkbookSink.kept(item, options);
  }

  @Override
  public BundleSink create(OutputStream file, WriteOptions options) throws IOException {
    return new WorkbookSink(file, options);
  }

  @Override
  public boolean recognises(byte[] head) {
    return head.length > ZIP.length
        && java.util.Arrays.equals(head, 0, ZIP.length, ZIP, 0, ZIP.length);
  }

  @Override
  public TableReading propose(byte[] head) {
    return ShownColumns.reading(
        new TextHead(StandardCharsets.UTF_8, 0, ""),
        List.of(),
        List.of(),
        TableFacts.of(List.of(), List.of(), List.of()).withPoint());
  }

  @Override
  public TableReading propose(byte[] head, Content file) throws IOException {
    Path copy = Files.createTempFile("workbook", ".xlsx");
    try (InputStream content = file.open()) {
      Files.copy(content, copy, StandardCopyOption.REPLACE_EXISTING);
      WorkbookLimits.check(copy);
      return WorkbookSource.propose(copy);
    } catch (UnreadableFileException unreadable) {
      return propose(head);
    } finally {
      Files.deleteIfExists(copy);
    }
  }

  /** The file is put aside first, because a workbook is not read from its beginning to its end. */
  @Override
  public ItemSource open(InputStream file, byte[] head, TableReading reading) throws IOException {
    Path copy = Files.createTempFile("workbook", ".xlsx");
    try {
      Files.copy(file, copy, StandardCopyOption.REPLACE_EXISTING);
      WorkbookLimits.check(copy);
      return new WorkbookSource(copy, reading);
    } catch (IOException | RuntimeException failed) {
      Files.deleteIfExists(copy);
      throw failed;
    }
  }
}
