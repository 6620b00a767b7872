package arborline.server.delivery;

import arborline.core.exchange.BundleFormats;
import arborline.core.exchange.ItemReader;
import arborline.core.exchange.TableReading;
import arborline.core.exchange.UnreadableFileException;
import arborline.core.vendor.Described;
import arborline.server.account.Actor;
import arborline.server.delivery.ArrivingFiles.Arriving;
import arborline.server.live.Live;
import arborline.server.support.FileHash;
import arborline.server.support.FileKind;
import arborline.server.support.Json;
import arborline.server.support.Refusal;
import arborline.server.support.StopRequests;
import arborline.server.trail.Trail;
import arborline.server.trail.TrailRecord;
import com.github.kagkarlsson.scheduler.SchedulerClient;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.function.LongConsumer;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/** Brings deliveries in, has them read, and puts them away. */
@Service
public class Deliveries {

  private static final int MOST = 200;

  /** What a manifest or a dictionary looks like by its first bytes. */
  private static final Set<String> LISTS = Set.of("json-list", "xml-list");

  private static final List<String> LEAFLETS =
      List.of(".txt", ".htm", ".html", ".rtf", ".doc", ".docx", ".md");

  private static final long LARGEST_DESCRIPTION = 64L * 1024 * 1024;

  private final DeliveryRepository deliveries;
  private final DocumentRepository documents;
  private final StoredFile files;
  private final ObjectProvider<SchedulerClient> scheduler;
  private final Readings readings;
  private final Counts counts;
  private final StopRequests stops;
  private final Trail trail;
  private final Live live;
  private final Json json;
  private final Clock clock;
  private final TransactionTemplate transaction;

  Deliveries(
      DeliveryRepository deliveries,
      DocumentRepository documents,
      StoredFile files,
      ObjectProvider<SchedulerClient> scheduler,
      Readings readings,
      Counts counts,
      StopRequests stops,
      Trail trail,
      Live live,
      Json json,
      Clock clock,
      TransactionTemplate transaction) {
    this.deliveries = deliveries;
    this.documents = documents;
    this.files = files;
    this.scheduler = scheduler;
    this.readings = readings;
    this.counts = counts;
    this.stops = stops;
    this.trail = trail;
    this.live = live;
    this.json = json;
    this.clock = clock;
    this.transaction = transaction;
  }

  /**
   * Stores files as one new delivery and queues its inspection.
   *
   * @param recipe by which tables are read, by number or name; null for the one that fits each
   */
  public long bring(ArrivingFiles files, @Nullable String recipe, @Nullable Long library) {
    return bring(files, recipe, library, id -> {});
  }

  /**
   * As {@link #bring(ArrivingFiles, String, Long)}.
   *
   * @param library into which its tools are meant to go; null for none
   * @param noted is told the delivery inside the transaction that stores it
   */
  public long bring(
      ArrivingFiles files, @Nullable String recipe, @Nullable Long library, LongConsumer noted) {
    readings.requireKnown(recipe);
    List<Arriving> arriving = files.files();
    String title = files.title();
    long id =
        transaction.execute(status -> {
          try {
            long stored = store(title, arriving, recipe, library);
            noted.accept(stored);
            return stored;
          } catch (IOException broken) {
            throw new java.io.UncheckedIOException(broken);
          }
        });
    InspectionQueue.add(scheduler.getObject(), id);
    return id;
  }

  private long store(
      String name, List<Arriving> arriving, @Nullable String recipe, @Nullable Long library)
      throws IOException {
    long size = 0;
    for (Arriving file : arriving) {
      size += file.size();
    }
    Delivery delivery = deliveries.save(new Delivery(name, size, Instant.now(clock), Actor.name()));
    delivery.libraryId = library;
    int fileNo = 0;
    for (Arriving file : arriving) {
      documents.save(document(delivery.id, fileNo, file, recipe, arriving));
      fileNo++;
    }
    trail.record(TrailRecord.of("delivery", delivery.id, "received " + delivery.name));
    live.say("delivery", delivery.id, "received");
    return delivery.id;
  }

  private Document document(
      long deliveryId, int fileNo, Arriving file, @Nullable String recipe, List<Arriving> all)
      throws IOException {
    boolean alone = all.size() == 1;
    try (InputStream content = Files.newInputStream(file.content())) {
      files.store(deliveryId, fileNo, content);
    }
    byte[] head = files.head(deliveryId, fileNo);
    LocalDate dated =
        file.dated().orElseGet(() -> LocalDate.ofInstant(Instant.now(clock), ZoneOffset.UTC));
    boolean attached = !file.zip() && (attached(file, head, alone) || leaflet(file, all));
    boolean describes = !file.zip() && !attached && describes(file, head, all);
    if (file.zip() || attached || describes) {
      Document unread =
          new Document(
              deliveryId,
              fileNo,
              file.name(),
              file.path(),
              file.size(),
              dated,
              unread(file, describes),
              json.text(ReadingView.of(TableReading.propose(head))));
      unread.sha256 = attached ? FileHash.of(file.content()) : null;
      return unread;
    }
    ItemReader reader = BundleFormats.recognise(head);
    return new Document(
        deliveryId,
        fileNo,
        file.name(),
        file.path(),
        file.size(),
        dated,
        reader.id(),
        json.text(
            readings.arriving(reader, head, () -> Files.newInputStream(file.content()), recipe)));
  }

  private static String unread(Arriving file, boolean describes) {
    if (file.zip()) {
      return Document.ZIP;
    }
    return describes ? Document.DESCRIPTION : Document.ATTACHMENT;
  }

  /** True for a text to be read by people beside property files. */
  private static boolean leaflet(Arriving file, List<Arriving> all) {
    String name = file.name().toLowerCase(Locale.ROOT);
    return LEAFLETS.stream().anyMatch(name::endsWith) && properties(all);
  }

  private static boolean properties(List<Arriving> all) {
    return all.stream().anyMatch(other -> other.name().toLowerCase(Locale.ROOT).endsWith(".p21"));
  }

  /** True for a manifest or a dictionary beside property files. */
  private static boolean describes(Arriving file, byte[] head, List<Arriving> all)
      throws IOException {
    boolean may =
        LISTS.contains(BundleFormats.recognise(head).id()) && file.size() <= LARGEST_DESCRIPTION;
    if (!may || !properties(all)) {
      return false;
    }
    try {
      Described found = Described.read(file.path(), Files.readAllBytes(file.content()));
      return found.manifest().isPresent() || found.dictionary().isPresent();
    } catch (UnreadableFileException broken) {
      return true;
    }
  }

  /** True for a picture, a model or a document; by itself a file may hold a table all the same. */
  private static boolean attached(Arriving file, byte[] head, boolean alone) {
    return alone
        ? FileKind.starts(head).isPresent() || FileKind.solid(file.name())
        : FileKind.attached(file.name(), head);
  }

  /** The files of a delivery in their order. */
  @Transactional(readOnly = true)
  List<Document> documents(long id) {
    return documents.findByDeliveryIdOrderByFileNo(id);
  }

  @Transactional(readOnly = true)
  List<Delivery> newest() {
    return deliveries.findByPutAwayAtIsNullOrderByIdDesc(Limit.of(MOST));
  }

  @Transactional(readOnly = true)
  Delivery get(long id) {
    return deliveries
        .findByIdAndPutAwayAtIsNull(id)
        .orElseThrow(() -> Refusal.notFound("there is no delivery " + id));
  }

  private static void atRest(Delivery delivery) {
    if (delivery.state == Delivery.State.READING || delivery.state == Delivery.State.WAITING) {
      throw Refusal.conflict("the delivery is being read; stop that first");
    }
  }

  /** Reads a delivery again with other decisions on one file; refused once lines were taken. */
  void readAgain(long id, int fileNo, ReadingChoice choice) {
    transaction.executeWithoutResult(status -> {
      Delivery delivery =
          deliveries.lock(id).orElseThrow(() -> Refusal.notFound("there is no delivery " + id));
      atRest(delivery);
      if (counts.of(id).taken() > 0) {
        throw Refusal.conflict("lines were taken already; add the file again instead");
      }
      Document document =
          documents
              .findByDeliveryIdAndFileNo(id, fileNo)
              .orElseThrow(() -> Refusal.notFound("the delivery has no file " + fileNo));
      Readings.requireTable(document);
      document.reading = json.text(readings.decided(document, choice));
      delivery.state = Delivery.State.WAITING;
      delivery.note = "";
      stops.clear(delivery.work());
      live.say("delivery", id, "reading again");
    });
    InspectionQueue.add(scheduler.getObject(), id);
  }

  /** A file of a delivery. */
  @Transactional(readOnly = true)
  Document document(long id, int fileNo) {
    get(id);
    return documents
        .findByDeliveryIdAndFileNo(id, fileNo)
        .orElseThrow(() -> Refusal.notFound("the delivery has no file " + fileNo));
  }

  /**
   * Has lines held against the models that they name; what was taken stays as it is.
   *
   * @param lineIds the lines; null for all that were not
   */
  void inspect(long id, @Nullable List<Long> lineIds) {
    boolean any =
        transaction.execute(status -> {
          Delivery delivery =
              deliveries.lock(id).orElseThrow(() -> Refusal.notFound("there is no delivery " + id));
          if (delivery.state != Delivery.State.READY) {
            throw Refusal.conflict("the delivery is not read to its end yet; wait for it");
          }
          boolean asked = counts.askInspection(id, lineIds);
          if (asked) {
            delivery.state = Delivery.State.READING;
            stops.clear(delivery.work());
            live.say("delivery", id, "inspecting");
          }
          return asked;
        });
    if (any) {
      InspectionQueue.add(scheduler.getObject(), id);
    }
  }

  /** Asks the running work on a delivery to stop. */
  void stop(long id) {
    stops.ask(get(id).work());
  }

  /**
   * Puts a delivery away; what was taken from it stays. Its lines and files are cleared later.
   *
   * @return line of the trail that brings it back
   */
  public long putAway(long id) {
    Instant now = Instant.now(clock);
    long undo =
        transaction.execute(status -> {
          Delivery delivery =
              deliveries.lock(id).orElseThrow(() -> Refusal.notFound("there is no delivery " + id));
          atRest(delivery);
          delivery.putAwayAt = now;
          live.say("delivery", id, "deleted");
          return trail.record(
              TrailRecord.of("delivery", id, "deleted delivery " + delivery.name)
                  .undoneBy(PutAwayUndo.KIND, new PutAwayUndo.PutAway(id)));
        });
    ClearingWork.queue(scheduler.getObject(), id, now);
    return undo;
  }
}
