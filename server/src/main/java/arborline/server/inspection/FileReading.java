package arborline.server.inspection;

import arborline.core.exchange.BundleFormats;
import arborline.core.exchange.Grouping;
import arborline.core.exchange.ItemReader;
import arborline.core.exchange.RawBundle;
import arborline.core.exchange.TableReading;
import arborline.core.exchange.UnreadableFileException;
import arborline.core.finding.Finding;
import arborline.core.inspect.Inspected;
import arborline.core.inspect.Inspector;
import arborline.server.delivery.DeliveryLine;
import arborline.server.delivery.Document;
import arborline.server.delivery.ReadingView;
import arborline.server.delivery.StoredFile;
import arborline.server.support.Ids;
import arborline.server.support.Json;
import arborline.server.support.ZipOfFiles;
import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.IntStream;
import org.springframework.stereotype.Component;

/** Reads one file of a delivery, from its checkpoint on, as batches of inspected lines. */
@Component
class FileReading {

  private static final int BATCH = 1000;
  private static final int BUFFER = 64 * 1024;

  private final StoredFile files;
  private final Ids ids;
  private final Json json;

  FileReading(StoredFile files, Ids ids, Json json) {
    this.files = files;
    this.ids = ids;
    this.json = json;
  }

  /**
   * Opens a file behind the lines that are stored already.
   *
   * @param before how many lines of the delivery come before this file
   */
  Batches open(Document document, long before) throws IOException {
    byte[] head = files.head(document.deliveryId, document.fileNo);
    TableReading reading = json.read(document.reading, ReadingView.class).reading();
    if (document.format.equals(Document.ZIP)) {
      return new Batches(document, before, InputStream.nullInputStream(), null, ZipOfFiles.NESTED);
    }
    ItemReader format = BundleFormats.reader(document.format).orElseThrow();
    InputStream file =
        new BufferedInputStream(files.open(document.deliveryId, document.fileNo), BUFFER);
    Grouping source = null;
    String problem = null;
    try {
      source = new Grouping(format.open(file, head, reading));
      for (long line = 0; line < document.linesRead && source.next().isPresent(); line++) {
        // stored before
      }
    } catch (UnreadableFileException unreadable) {
      problem = unreadable.getMessage();
    }
    return new Batches(document, before, file, source, problem);
  }

  /** The lines of a file; what cannot be read ends them, the lines before it stay. */
  final class Batches implements AutoCloseable {
    private final Document document;
    private final InputStream file;
    private final Grouping source;
    private long position;
    private String problem;

    private Batches(
        Document document, long before, InputStream file, Grouping source, String problem) {
      this.document = document;
      this.position = before + document.linesRead;
      this.file = file;
      this.source = source;
      this.problem = problem;
    }

    /** Why the file could not be read to its end; asked once a batch was empty. */
    Optional<String> problem() {
      return Optional.ofNullable(problem);
    }

    /** The next lines; empty at the end of what can be read. */
    LineBatch next() throws IOException {
      List<RawBundle> raw = raw();
      Map<Long, List<Finding>> findings = new ConcurrentHashMap<>();
      long[] idOf = raw.stream().mapToLong(row -> ids.next("delivery_line")).toArray();
      long first = position + 1;
      List<DeliveryLine> rows =
          IntStream.range(0, raw.size())
              .parallel()
              .mapToObj(index -> row(idOf[index], first + index, raw.get(index), findings))
              .toList();
      position += raw.size();
      return new LineBatch(rows, findings);
    }

    private List<RawBundle> raw() throws IOException {
      List<RawBundle> batch = new ArrayList<>(BATCH);
      try {
        while (problem == null && batch.size() < BATCH) {
          Optional<RawBundle> next = source.next();
          if (next.isEmpty()) {
            return batch;
          }
          batch.add(next.get());
        }
      } catch (UnreadableFileException unreadable) {
        problem = unreadable.getMessage();
      }
      return batch;
    }

    private DeliveryLine row(
        long id, long place, RawBundle raw, Map<Long, List<Finding>> findings) {
      Inspected inspected = Inspector.inspect(raw);
      boolean clean = inspected.findings().isEmpty();
      DeliveryLine row =
          new DeliveryLine(
              id,
              document.deliveryId,
              document.fileNo,
              place,
              inspected,
              clean ? "[]" : json.text(inspected.findings()));
      row.readingFindings =
          raw.item().findings().isEmpty() ? null : json.text(raw.item().findings());
      if (!clean) {
        findings.put(id, inspected.findings());
      }
      return row;
    }

    @Override
    public void close() throws IOException {
      if (source != null) {
        source.close();
      }
      file.close();
    }
  }
}
