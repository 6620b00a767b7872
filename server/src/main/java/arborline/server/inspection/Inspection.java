package arborline.server.inspection;

import arborline.core.library.Codes;
import arborline.core.part21.PropertyDictionary;
import arborline.server.delivery.AttachedFiles;
import arborline.server.delivery.Clearing;
import arborline.server.delivery.Delivery;
import arborline.server.delivery.DeliveryRepository;
import arborline.server.delivery.Document;
import arborline.server.delivery.DocumentRepository;
import arborline.server.delivery.VendorPackages;
import arborline.server.live.Live;
import arborline.server.support.PassingFault;
import arborline.server.support.StopRequests;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Has a delivery's files read, one after the other. After a crash, or where the database was not
 * there, each goes on behind its checkpoint.
 */
@Component
public class Inspection {

  private static final Logger LOG = LoggerFactory.getLogger(Inspection.class);

  private final DeliveryRepository deliveries;
  private final DocumentRepository documents;
  private final FileReading reading;
  private final LineStore store;
  private final VendorPackages packages;
  private final RestatedLines restated;
  private final VendorIdentity identity;
  private final LooseLines loose;
  private final FilesByCode filesByCode;
  private final ModelChecks models;
  private final LineClashes clashes;
  private final DeliverySummary summary;
  private final AttachedFiles attachedFiles;
  private final Clearing clearing;
  private final Live live;
  private final StopRequests stops;
  private final TransactionTemplate transaction;

  Inspection(
      DeliveryRepository deliveries,
      DocumentRepository documents,
      FileReading reading,
      LineStore store,
      VendorPackages packages,
      RestatedLines restated,
      VendorIdentity identity,
      LooseLines loose,
      FilesByCode filesByCode,
      ModelChecks models,
      LineClashes clashes,
      DeliverySummary summary,
      AttachedFiles attachedFiles,
      Clearing clearing,
      Live live,
      StopRequests stops,
      TransactionTemplate transaction) {
    this.deliveries = deliveries;
    this.documents = documents;
    this.reading = reading;
    this.store = store;
    this.packages = packages;
    this.restated = restated;
    this.identity = identity;
    this.loose = loose;
    this.filesByCode = filesByCode;
    this.models = models;
    this.clashes = clashes;
    this.summary = summary;
    this.attachedFiles = attachedFiles;
    this.clearing = clearing;
    this.live = live;
    this.stops = stops;
    this.transaction = transaction;
  }

  /** Inspects a delivery from where it stands to the end. */
  public void run(long deliveryId) {
    if (deliveries.waiting(deliveryId)) {
      clearing.lines(deliveryId);
    }
    Optional<Delivery> found = transaction.execute(status -> begin(deliveryId));
    if (found.isEmpty()) {
      return;
    }
    try {
      boolean whole = read(found.get());
      if (whole) {
        restated.join(deliveryId);
        identity.join(deliveryId);
        loose.join(deliveryId);
        filesByCode.join(deliveryId);
        if (models.check(deliveryId, () -> stops.asked(found.get().work()))) {
          whole = solids(found.get());
        } else {
          stops.clear(found.get().work());
        }
      }
      if (whole) {
        clashes.judge(deliveryId);
        finish(deliveryId);
      } else {
        stopped(found.get());
      }
    } catch (LineStore.SupersededException other) {
      LOG.info("delivery {} is read by another worker", deliveryId);
    } catch (IOException broken) {
      LOG.error("delivery {} cannot be read", deliveryId, broken);
      end(deliveryId, Delivery.State.FAILED, "the stored file cannot be read; bring it in again");
    } catch (RuntimeException defect) {
      if (PassingFault.is(defect)) {
        throw defect;
      }
      LOG.error("delivery {} cannot be read", deliveryId, defect);
      end(
          deliveryId,
          Delivery.State.FAILED,
          "a fault of ours that was logged stops the reading; read it another way or convert it");
    }
  }

  private Optional<Delivery> begin(long deliveryId) {
    Optional<Delivery> found =
        deliveries
            .lock(deliveryId)
            .filter(locked ->
                locked.state == Delivery.State.WAITING || locked.state == Delivery.State.READING);
    found.ifPresent(delivery -> delivery.state = Delivery.State.READING);
    live.say("delivery", deliveryId, "reading");
    return found;
  }

  /**
   * Reads all files of a delivery in their order but for models; false where somebody stopped it.
   */
  private boolean read(Delivery delivery) throws IOException {
    long before = 0;
    List<Document> all = documents.findByDeliveryIdOrderByFileNo(delivery.id);
    PropertyDictionary dictionary = packages.describe(all).dictionary();
    for (Document document : all) {
      if (document.solid()) {
        continue;
      }
      long lines =
          document.finished
              ? document.linesRead
              : read(delivery, document, reading.open(document, before, dictionary));
      if (lines < 0) {
        return false;
      }
      before += lines;
    }
    return true;
  }

  /**
   * Reads the models that no line names, each as an item behind all others; false where somebody
   * stopped it.
   */
  private boolean solids(Delivery delivery) throws IOException {
    List<Document> all = documents.findByDeliveryIdOrderByFileNo(delivery.id);
    List<Integer> unnamed =
        attachedFiles.unnamed(delivery.id).stream()
            .map(AttachedFiles.AttachedFile::fileNo)
            .toList();
    Set<String> expected = expected(delivery.id);
    long before = all.stream().mapToLong(document -> document.linesRead).sum();
    for (Document document : all) {
      if (!document.solid() || document.finished) {
        continue;
      }
      if (!unnamed.contains(document.fileNo) || expected.contains(stem(document.name))) {
        store.finish(document, null);
        continue;
      }
      long lines = read(delivery, document, reading.openSolid(document, before));
      if (lines < 0) {
        return false;
      }
      before += lines - document.linesRead;
    }
    return true;
  }

  /**
   * Keys of items whose properties a vendor forgot to send: their models are none by themselves.
   */
  private Set<String> expected(long deliveryId) {
    return packages.of(deliveryId).stream()
        .flatMap(known -> known.notCompared().stream())
        .map(Codes::key)
        .collect(Collectors.toSet());
  }

  private static String stem(String name) {
    return Codes.key(name.replaceFirst("\\.[^.]*$", ""));
  }

  /** The lines of a file once all are stored; -1 where somebody stopped it. */
  private long read(Delivery delivery, Document document, FileReading.Batches opened)
      throws IOException {
    long stored = document.linesRead;
    try (FileReading.Batches batches = opened) {
      LineBatch batch = batches.next();
      while (!batch.empty()) {
        if (stops.asked(delivery.work())) {
          return -1;
        }
        CompletableFuture<LineBatch> next = CompletableFuture.supplyAsync(() -> ahead(batches));
        try {
          store.store(document, stored, batch);
          stored += batch.rows().size();
        } finally {
          batch = joined(next);
        }
      }
      store.finish(document, batches.problem().orElse(null));
      return stored;
    }
  }

  /** Makes the next rows while the last ones are being stored. */
  private static LineBatch ahead(FileReading.Batches batches) {
    try {
      return batches.next();
    } catch (IOException broken) {
      throw new UncheckedIOException(broken);
    }
  }

  private static LineBatch joined(CompletableFuture<LineBatch> next) throws IOException {
    try {
      return next.join();
    } catch (CompletionException failed) {
      if (failed.getCause() instanceof UncheckedIOException broken) {
        throw broken.getCause();
      }
      if (failed.getCause() instanceof RuntimeException defect) {
        throw defect;
      }
      throw failed;
    }
  }

  /** A delivery of which nothing could be read has failed; else what could not is sentences. */
  private void finish(long deliveryId) {
    List<Document> all = documents.findByDeliveryIdOrderByFileNo(deliveryId);
    boolean nothing =
        all.stream().allMatch(document -> document.problem != null && document.linesRead == 0);
    List<String> sentences = new ArrayList<>();
    for (Document document : all) {
      if (document.problem != null) {
        sentences.add(
            all.size() == 1
                ? document.problem
                : "%s: %s".formatted(document.name, document.problem));
      }
    }
    if (!nothing) {
      sentences.add(summary.of(deliveryId));
      sentences.add(unnamed(deliveryId));
    }
    end(
        deliveryId,
        nothing ? Delivery.State.FAILED : Delivery.State.READY,
        String.join("; ", sentences.stream().filter(sentence -> !sentence.isEmpty()).toList()));
  }

  private static final int NAMED = 5;

  /** Pictures and documents that no line names, in words. */
  private String unnamed(long deliveryId) {
    List<AttachedFiles.AttachedFile> files = attachedFiles.unnamed(deliveryId);
    String names =
        files.stream()
            .limit(NAMED)
            .map(AttachedFiles.AttachedFile::path)
            .collect(Collectors.joining(", "));
    String more = files.size() > NAMED ? " and %d more".formatted(files.size() - NAMED) : "";
    return files.isEmpty() ? "" : "no line names %s%s".formatted(names, more);
  }

  private void stopped(Delivery delivery) {
    clearing.lines(delivery.id);
    stops.clear(delivery.work());
    end(delivery.id, Delivery.State.STOPPED, "reading was stopped; nothing of it was kept");
  }

  private void end(long deliveryId, Delivery.State state, String note) {
    transaction.executeWithoutResult(status -> {
      deliveries
          .lock(deliveryId)
          .filter(delivery -> delivery.state == Delivery.State.READING)
          .ifPresent(delivery -> {
            delivery.state = state;
            delivery.say(note);
          });
      live.say("delivery", deliveryId, state.name());
    });
  }
}
