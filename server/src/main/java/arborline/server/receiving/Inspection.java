package arborline.server.receiving;

import arborline.core.exchange.RawTool;
import arborline.core.exchange.RawToolSource;
import arborline.core.exchange.TableReading;
import arborline.core.exchange.ToolFormat;
import arborline.core.exchange.ToolFormats;
import arborline.core.exchange.UnreadableFileException;
import arborline.core.finding.Finding;
import arborline.core.inspect.Inspected;
import arborline.core.inspect.Inspector;
import arborline.server.live.Live;
import arborline.server.support.Bulk;
import arborline.server.support.Ids;
import arborline.server.support.Json;
import arborline.server.support.StopRequests;
import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Supplier;
import java.util.stream.IntStream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Reads a delivery's files and stores their inspected lines, a thousand in a transaction. After a
 * crash it goes on behind the last thousand that was stored.
 */
@Component
class Inspection {

  private static final Logger LOG = LoggerFactory.getLogger(Inspection.class);
  private static final int CHUNK = 1000;
  private static final int HEAD = 64 * 1024;

  private final DeliveryRepository deliveries;
  private final DocumentRepository documents;
  private final LineRepository lines;
  private final StoredFile files;
  private final LineJudge judge;
  private final Bulk bulk;
  private final Ids ids;
  private final Json json;
  private final Clearing clearing;
  private final Live live;
  private final StopRequests stops;
  private final JdbcClient jdbc;
  private final TransactionTemplate transaction;

  Inspection(
      DeliveryRepository deliveries,
      DocumentRepository documents,
      LineRepository lines,
      StoredFile files,
      LineJudge judge,
      Bulk bulk,
      Ids ids,
      Json json,
      Clearing clearing,
      Live live,
      StopRequests stops,
      JdbcClient jdbc,
      TransactionTemplate transaction) {
    this.deliveries = deliveries;
    this.documents = documents;
    this.lines = lines;
    this.files = files;
    this.judge = judge;
    this.bulk = bulk;
    this.ids = ids;
    this.json = json;
    this.clearing = clearing;
    this.live = live;
    this.stops = stops;
    this.jdbc = jdbc;
    this.transaction = transaction;
  }

  /** Reads the first bytes of a file that was stored. */
  byte[] head(long deliveryId, int fileNo) {
    try (InputStream file = files.open(deliveryId, fileNo)) {
      return file.readNBytes(HEAD);
    } catch (IOException broken) {
      throw new UncheckedIOException(broken);
    }
  }

  /** Inspects a delivery from where it stands to the end. */
  void run(long deliveryId) {
    if (deliveries.waiting(deliveryId)) {
      clearing.lines(deliveryId);
    }
    Optional<Delivery> found = transaction.execute(status -> begin(deliveryId));
    if (found.isEmpty()) {
      return;
    }
    Delivery delivery = found.get();
    try {
      List<String> unread = new ArrayList<>();
      if (read(delivery, unread)) {
        clashes(deliveryId);
        finish(deliveryId, unread);
      } else {
        stopped(delivery);
      }
    } catch (IOException broken) {
      LOG.error("delivery {} cannot be read", deliveryId, broken);
      end(deliveryId, Delivery.State.FAILED, "the stored file cannot be read; bring it in again");
    }
  }

  /** A delivery of which nothing could be read has failed; else what could not is said. */
  private void finish(long deliveryId, List<String> unread) {
    boolean nothing = unread.size() == documents.findByDeliveryIdOrderByFileNo(deliveryId).size();
    List<String> said = new ArrayList<>(unread);
    if (!nothing) {
      said.add(summary(deliveryId));
    }
    end(
        deliveryId,
        nothing ? Delivery.State.FAILED : Delivery.State.READY,
        String.join("; ", said.stream().filter(each -> !each.isEmpty()).toList()));
  }

  private Optional<Delivery> begin(long deliveryId) {
    Optional<Delivery> found =
        deliveries
            .lock(deliveryId)
            .filter(each ->
                each.state == Delivery.State.WAITING || each.state == Delivery.State.READING);
    found.ifPresent(each -> each.state = Delivery.State.READING);
    live.say("delivery", deliveryId, "reading");
    return found;
  }

  /**
   * Reads all files of a delivery in their order; false where somebody stopped it.
   *
   * @param unread takes what cannot be read and why
   */
  private boolean read(Delivery delivery, List<String> unread) throws IOException {
    List<Document> all = documents.findByDeliveryIdOrderByFileNo(delivery.id);
    Progress progress = new Progress(delivery.linesRead);
    for (Document document : all) {
      try {
        if (!read(delivery, document, progress)) {
          return false;
        }
      } catch (UnreadableFileException unreadable) {
        unread.add(
            all.size() == 1
                ? unreadable.getMessage()
                : "%s: %s".formatted(document.name, unreadable.getMessage()));
      }
    }
    return true;
  }

  /** How many lines were stored before, and how many of all files were passed by now. */
  private static final class Progress {
    private final long stored;
    private long passed;

    Progress(long stored) {
      this.stored = stored;
    }
  }

  private boolean read(Delivery delivery, Document document, Progress progress) throws IOException {
    byte[] head = head(delivery.id, document.fileNo);
    TableReading reading = json.read(document.reading, ReadingView.class).reading();
    ToolFormat format = ToolFormats.named(document.format).orElseThrow();
    try (InputStream file =
            new BufferedInputStream(files.open(delivery.id, document.fileNo), HEAD);
        RawToolSource source = format.open(file, head, reading)) {
      while (progress.passed < progress.stored && source.next().isPresent()) {
        progress.passed++;
      }
      Chunk chunk = chunk(document, progress.passed, source);
      while (!chunk.rows().isEmpty()) {
        if (stops.asked(delivery.work())) {
          return false;
        }
        long behind = progress.passed + chunk.rows().size();
        CompletableFuture<Chunk> next =
            CompletableFuture.supplyAsync(ahead(document, behind, source));
        try {
          store(delivery.id, chunk);
          progress.passed = behind;
        } finally {
          chunk = joined(next);
        }
      }
      return true;
    }
  }

  /** Rows that are ready to be stored, and what is to say of those that have findings. */
  private record Chunk(List<DeliveryLine> rows, Map<Long, List<Finding>> findings) {}

  /** Makes the next rows while the last ones are being stored. */
  private Supplier<Chunk> ahead(Document document, long passed, RawToolSource source) {
    return () -> {
      try {
        return chunk(document, passed, source);
      } catch (IOException broken) {
        throw new UncheckedIOException(broken);
      }
    };
  }

  private static Chunk joined(CompletableFuture<Chunk> next) throws IOException {
    try {
      return next.join();
    } catch (CompletionException failed) {
      if (failed.getCause() instanceof UncheckedIOException broken) {
        throw broken.getCause();
      }
      throw failed;
    }
  }

  private Chunk chunk(Document document, long passed, RawToolSource source) throws IOException {
    List<RawTool> raw = read(source);
    Map<Long, List<Finding>> findings = new ConcurrentHashMap<>();
    List<DeliveryLine> rows =
        IntStream.range(0, raw.size())
            .parallel()
            .mapToObj(index -> row(document, passed + index + 1, raw.get(index), findings))
            .toList();
    return new Chunk(rows, findings);
  }

  private DeliveryLine row(
      Document document, long position, RawTool raw, Map<Long, List<Finding>> findings) {
    Inspected inspected = Inspector.inspect(raw);
    boolean clean = inspected.findings().isEmpty();
    DeliveryLine row =
        new DeliveryLine(
            ids.next("delivery_line"),
            document.deliveryId,
            document.fileNo,
            position,
            inspected,
            clean ? "[]" : json.text(inspected.findings()));
    row.readingFindings = raw.findings().isEmpty() ? null : json.text(raw.findings());
    if (!clean) {
      findings.put(row.id, inspected.findings());
    }
    return row;
  }

  private static List<RawTool> read(RawToolSource source) throws IOException {
    List<RawTool> chunk = new ArrayList<>(CHUNK);
    while (chunk.size() < CHUNK) {
      Optional<RawTool> next = source.next();
      if (next.isEmpty()) {
        return chunk;
      }
      chunk.add(next.get());
    }
    return chunk;
  }

  private void store(long deliveryId, Chunk chunk) {
    transaction.executeWithoutResult(status -> {
      bulk.insert(DeliveryLine.TARGET, chunk.rows());
      judge.insert(deliveryId, chunk.findings());
      jdbc.sql("update delivery set lines_read = lines_read + ? where id = ?")
          .params(chunk.rows().size(), deliveryId)
          .update();
      live.say("delivery", deliveryId, "reading");
    });
  }

  /** Judges anew the lines whose code an earlier line or the shop has as well. */
  private void clashes(long deliveryId) {
    List<Long> affected =
        jdbc.sql(
                """
                select l.id from delivery_line l join tool t on t.code_key = l.code_key
                where l.delivery_id = :delivery
                union
                select l.id from delivery_line l join held_code h on h.code_key = l.code_key
                where l.delivery_id = :delivery
                union
                select l.id
                from (select code_key, min(position) as first_line from delivery_line
                  where delivery_id = :delivery and code_key <> ''
                  group by code_key having count(*) > 1) twice
                straight_join delivery_line l
                  on l.delivery_id = :delivery and l.code_key = twice.code_key
                  and l.position > twice.first_line\
                """)
            .param("delivery", deliveryId)
            .query(Long.class)
            .list();
    for (int from = 0; from < affected.size(); from += CHUNK) {
      List<Long> batch = affected.subList(from, Math.min(affected.size(), from + CHUNK));
      transaction.executeWithoutResult(
          status -> judge.judge(deliveryId, lines.findByDeliveryIdAndIdIn(deliveryId, batch)));
    }
  }

  private String summary(long deliveryId) {
    boolean open =
        jdbc.sql(
                "select exists(select 1 from delivery_line where delivery_id = ? and disposition <> 'SKIPPED')")
            .param(deliveryId)
            .query(Boolean.class)
            .single();
    long all =
        jdbc.sql("select lines_read from delivery where id = ?")
            .param(deliveryId)
            .query(Long.class)
            .single();
    if (all == 0) {
      return "the file has no lines under its header: nothing to take";
    }
    return open
        ? ""
        : "nothing changed: the shop has all %d tools with the same values".formatted(all);
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
          .ifPresent(delivery -> {
            delivery.state = state;
            delivery.say(note);
          });
      live.say("delivery", deliveryId, state.name());
    });
  }
}
