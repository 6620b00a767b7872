package arborline.server.inspection;

import arborline.core.exchange.BundleFormats;
import arborline.core.exchange.CountedStream;
import arborline.core.exchange.Grouping;
import arborline.core.exchange.ItemReader;
import arborline.core.exchange.ItemSource;
import arborline.core.exchange.RawBundle;
import arborline.core.exchange.TableReading;
import arborline.core.exchange.UnreadableFileException;
import arborline.core.finding.Finding;
import arborline.core.inspect.FileProfile;
import arborline.core.inspect.Inspected;
import arborline.core.inspect.Inspector;
import arborline.core.part21.PropertyDictionary;
import arborline.core.part21.VendorProperties;
import arborline.core.solid.SolidSource;
import arborline.server.delivery.DeliveryLine;
import arborline.server.delivery.Document;
import arborline.server.delivery.DocumentRepository;
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
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Reads one file of a delivery, from its checkpoint on, as batches of inspected lines. */
@Component
class FileReading {

  private static final int BATCH = 1000;
  private static final int BUFFER = 64 * 1024;

  private final StoredFile files;
  private final DocumentRepository documents;
  private final NamedShapes namedShapes;
  private final Ids ids;
  private final Json json;

  FileReading(
      StoredFile files, DocumentRepository documents, NamedShapes namedShapes, Ids ids, Json json) {
    this.namedShapes = namedShapes;
    this.files = files;
    this.documents = documents;
    this.ids = ids;
    this.json = json;
  }

  /**
   * Opens a file behind the lines that are stored already.
   *
   * @param dictionary what the ids of its vendor stand for
   * @param before how many lines of the delivery come before this file
   */
  Batches open(Document document, long before, PropertyDictionary dictionary) throws IOException {
    byte[] head = files.head(document.deliveryId, document.fileNo);
    TableReading reading = json.read(document.reading, ReadingView.class).reading();
    if (document.format.equals(Document.ZIP)) {
      return nothing(document, before, ZipOfFiles.NESTED);
    }
    if (document.format.equals(Document.DESCRIPTION)) {
      return nothing(document, before, null);
    }
    if (document.format.equals(Document.ATTACHMENT)) {
      return nothing(document, before, alone(document) ? NO_TABLE : null);
    }
    ItemReader format = BundleFormats.reader(document.format).orElseThrow();
    CountedStream counted = new CountedStream(files.open(document.deliveryId, document.fileNo));
    InputStream file = new BufferedInputStream(counted, BUFFER);
    Grouping source = null;
    String problem = null;
    try {
      source =
          new Grouping(
              document.format.equals(Document.PROPERTIES)
                  ? VendorProperties.open(file, dictionary)
                  : format.open(file, head, reading));
      for (long line = 0; line < document.linesRead && source.next().isPresent(); line++) {
        // stored before
      }
    } catch (UnreadableFileException unreadable) {
      problem = unreadable.getMessage();
    }
    return new Batches(document, before, counted, file, source, problem);
  }

  /**
   * Opens a model that no line names: as the item that its solid is, or as the items whose
   * properties it holds.
   *
   * @param before how many lines of the delivery are stored
   */
  Batches openSolid(Document document, long before) throws IOException {
    byte[] head = files.head(document.deliveryId, document.fileNo);
    CountedStream counted = new CountedStream(files.open(document.deliveryId, document.fileNo));
    InputStream file = new BufferedInputStream(counted, BUFFER);
    ItemSource source =
        new SolidSource(
            document.path,
            file,
            BundleFormats.reader(Document.PROPERTIES).orElseThrow(),
            head,
            namedShapes);
    return new Batches(document, before, counted, file, new Grouping(source), null);
  }

  private static final String NO_TABLE =
      "this is a picture or a document and holds no table; attach it to a tool on its sheet";

  private boolean alone(Document document) {
    return documents.findByDeliveryIdOrderByFileNo(document.deliveryId).size() == 1;
  }

  private Batches nothing(Document document, long before, @Nullable String problem) {
    InputStream none = InputStream.nullInputStream();
    return new Batches(document, before, new CountedStream(none), none, null, problem);
  }

  /** The lines of a file; what cannot be read ends them, the lines before it stay. */
  final class Batches implements AutoCloseable {
    private final Document document;
    private final CountedStream counted;
    private final InputStream file;
    private final @Nullable Grouping source;
    private long toldBefore;
    private long position;
    private @Nullable String problem;

    private Batches(
        Document document,
        long before,
        CountedStream counted,
        InputStream file,
        @Nullable Grouping source,
        @Nullable String problem) {
      this.document = document;
      this.position = before + document.linesRead;
      this.counted = counted;
      this.toldBefore = counted.count();
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
      List<Inspected> inspected =
          raw.parallelStream().map(bundle -> Inspector.inspect(bundle)).toList();
      FileProfile profile = FileProfile.of(inspected.stream().map(Inspected::tool).toList());
      List<DeliveryLine> rows =
          IntStream.range(0, raw.size())
              .parallel()
              .mapToObj(index ->
                  row(idOf[index], first + index, beside(profile, inspected.get(index)), findings))
              .toList();
      position += raw.size();
      long bytes = counted.count() - toldBefore;
      toldBefore += bytes;
      return new LineBatch(rows, findings, bytes);
    }

    private List<RawBundle> raw() throws IOException {
      List<RawBundle> batch = new ArrayList<>(BATCH);
      try {
        while (source != null && problem == null && batch.size() < BATCH) {
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

    /** A line with what the others of its file say against it. */
    private Inspected beside(FileProfile profile, Inspected inspected) {
      Optional<Finding> odd = profile.odd(inspected.tool());
      if (odd.isEmpty()) {
        return inspected;
      }
      RawBundle raw = inspected.raw();
      List<Finding> said = new ArrayList<>(raw.item().findings());
      said.add(odd.get());
      return Inspector.inspect(raw.with(raw.item().withFindings(said)));
    }

    private DeliveryLine row(
        long id, long place, Inspected inspected, Map<Long, List<Finding>> findings) {
      RawBundle raw = inspected.raw();
      boolean clean = inspected.findings().isEmpty();
      DeliveryLine row =
          new DeliveryLine(
              id,
              document.deliveryId,
              document.fileNo,
              place,
              inspected,
              clean ? "[]" : json.text(inspected.findings()));
      if (document.format.equals(Document.PROPERTIES)) {
        row.ofVendor();
      }
      if (document.solid()) {
        row.inspection = DeliveryLine.Inspection.DONE;
      }
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
