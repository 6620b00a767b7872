package arborline.server.receiving;

import arborline.core.exchange.Cell;
import arborline.core.exchange.CellsJson;
import arborline.core.exchange.RawTool;
import arborline.core.exchange.TableReading;
import arborline.core.exchange.ToolFormats;
import arborline.core.finding.Finding;
import arborline.core.inspect.Disposition;
import arborline.server.account.Actor;
import arborline.server.live.Live;
import arborline.server.support.Json;
import arborline.server.support.Refusal;
import arborline.server.support.StopRequests;
import arborline.server.trail.Said;
import arborline.server.trail.Trail;
import com.github.kagkarlsson.scheduler.SchedulerClient;
import java.io.IOException;
import java.io.InputStream;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/** Brings deliveries in and puts their lines right. */
@Service
public class Deliveries {

  private static final int MOST = 200;
  private static final int SHARING = 1000;

  private final DeliveryRepository deliveries;
  private final DocumentRepository documents;
  private final LineRepository lines;
  private final StoredFile files;
  private final Inspection inspection;
  private final LineJudge judge;
  private final ObjectProvider<SchedulerClient> scheduler;
  private final StopRequests stops;
  private final Trail trail;
  private final Live live;
  private final Json json;
  private final Clock clock;
  private final TransactionTemplate transaction;

  Deliveries(
      DeliveryRepository deliveries,
      DocumentRepository documents,
      LineRepository lines,
      StoredFile files,
      Inspection inspection,
      LineJudge judge,
      ObjectProvider<SchedulerClient> scheduler,
      StopRequests stops,
      Trail trail,
      Live live,
      Json json,
      Clock clock,
      TransactionTemplate transaction) {
    this.deliveries = deliveries;
    this.documents = documents;
    this.lines = lines;
    this.files = files;
    this.inspection = inspection;
    this.judge = judge;
    this.scheduler = scheduler;
    this.stops = stops;
    this.trail = trail;
    this.live = live;
    this.json = json;
    this.clock = clock;
    this.transaction = transaction;
  }

  /** A file that arrives; its content can be opened once. */
  public record Arriving(String name, long size, InputStream content) {}

  /** Stores files as one new delivery and queues its inspection. */
  public long bring(List<Arriving> arriving) {
    long id =
        transaction.execute(status -> {
          try {
            return store(arriving);
          } catch (IOException broken) {
            throw new java.io.UncheckedIOException(broken);
          }
        });
    InspectionWork.queue(scheduler.getObject(), id);
    return id;
  }

  private long store(List<Arriving> arriving) throws IOException {
    String first = arriving.getFirst().name();
    String name =
        arriving.size() == 1 ? first : "%s and %d more".formatted(first, arriving.size() - 1);
    long size = arriving.stream().mapToLong(Arriving::size).sum();
    Delivery delivery = deliveries.save(new Delivery(name, size, Instant.now(clock), Actor.name()));
    int fileNo = 0;
    for (Arriving each : arriving) {
      files.store(delivery.id, fileNo, each.content());
      byte[] head = inspection.head(delivery.id, fileNo);
      documents.save(
          new Document(
              delivery.id,
              fileNo,
              each.name(),
              each.size(),
              ToolFormats.recognise(head).id(),
              json.text(ReadingView.of(TableReading.propose(head)))));
      fileNo++;
    }
    trail.record(Said.of("delivery", delivery.id, "brought in " + delivery.name));
    live.say("delivery", delivery.id, "brought in");
    return delivery.id;
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

  private Delivery ready(long id) {
    Delivery delivery =
        deliveries.lock(id).orElseThrow(() -> Refusal.notFound("there is no delivery " + id));
    if (delivery.state != Delivery.State.READY) {
      throw Refusal.conflict("the delivery is not read to its end yet; wait for it");
    }
    return delivery;
  }

  private static void atRest(Delivery delivery) {
    if (delivery.state == Delivery.State.READING || delivery.state == Delivery.State.WAITING) {
      throw Refusal.conflict("the delivery is being read; stop that first");
    }
  }

  /** Reads a delivery again with other decisions on one file; refused once lines were taken. */
  void readAgain(long id, int fileNo, ReadingChoice choice, long taken) {
    transaction.executeWithoutResult(status -> {
      Delivery delivery =
          deliveries.lock(id).orElseThrow(() -> Refusal.notFound("there is no delivery " + id));
      atRest(delivery);
      if (taken > 0) {
        throw Refusal.conflict("lines were taken already; bring the file in again instead");
      }
      Document document =
          documents
              .findByDeliveryIdAndFileNo(id, fileNo)
              .orElseThrow(() -> Refusal.notFound("the delivery has no file " + fileNo));
      document.reading = json.text(ReadingView.of(choice.apply(inspection.head(id, fileNo))));
      delivery.state = Delivery.State.WAITING;
      delivery.note = "";
      live.say("delivery", id, "reading again");
    });
    InspectionWork.queue(scheduler.getObject(), id);
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
          live.say("delivery", id, "put away");
          return trail.record(
              Said.of("delivery", id, "put away " + delivery.name)
                  .undoneBy(PutAwayUndo.KIND, new PutAwayUndo.PutAway(id)));
        });
    ClearingWork.queue(scheduler.getObject(), id, now);
    return undo;
  }

  /** Replaces cells of one line and judges it, and the lines it shares a code with, anew. */
  @Transactional
  public DeliveryLine correct(long id, long lineId, Map<String, String> changes) {
    ready(id);
    DeliveryLine line =
        lines
            .findByDeliveryIdAndId(id, lineId)
            .orElseThrow(() -> Refusal.notFound("there is no such line in the delivery"));
    change(id, List.of(line), each -> changes);
    return line;
  }

  /** Applies the repair that each line with a finding offers; answers how many were changed. */
  @Transactional
  public int repair(long id, String finding, String repair, List<Long> affected) {
    ready(id);
    List<DeliveryLine> found = lines.findByDeliveryIdAndIdIn(id, affected);
    List<DeliveryLine> open = found.stream().filter(line -> line.takenToolId == null).toList();
    change(id, open, line -> offered(line, finding, repair));
    trail.record(Said.of("delivery", id, "repaired %d lines: %s".formatted(open.size(), repair)));
    return open.size();
  }

  private Map<String, String> offered(DeliveryLine line, String finding, String repair) {
    for (Finding each : json.read(line.findings, Finding[].class)) {
      if (each.code().equals(finding)
          && each.repair().filter(offer -> offer.id().equals(repair)).isPresent()) {
        return each.repair().get().changes();
      }
    }
    return Map.of();
  }

  private void change(
      long id,
      List<DeliveryLine> changed,
      java.util.function.Function<DeliveryLine, Map<String, String>> changes) {
    Set<String> keys = new LinkedHashSet<>();
    for (DeliveryLine line : changed) {
      if (line.takenToolId != null) {
        throw Refusal.conflict("the line was taken already; change the tool on its sheet");
      }
      keys.add(line.codeKey);
      TreeMap<String, Cell> replacements = new TreeMap<>();
      RawTool raw = line.raw();
      changes
          .apply(line)
          .forEach((symbol, text) -> replacements.put(symbol, cell(raw, symbol, text)));
      line.cells = CellsJson.toText(raw.with(replacements).cells());
      line.readingFindings = null;
      line.lookedAt = false;
      keys.add(line.raw().text(RawTool.CODE).toUpperCase(java.util.Locale.ROOT));
    }
    judgeInTurn(id, changed);
    keys.remove("");
    if (!keys.isEmpty()) {
      judgeInTurn(id, lines.sharing(id, keys, Limit.of(SHARING)));
    }
    live.say("delivery", id, "corrected");
  }

  /** One by one, so that each sees the codes that the lines before it now have. */
  private void judgeInTurn(long id, List<DeliveryLine> changed) {
    boolean codes = changed.size() <= SHARING;
    if (codes) {
      for (DeliveryLine line : changed) {
        judge.judge(id, List.of(line));
        lines.flush();
      }
    } else {
      judge.judge(id, changed);
      lines.flush();
    }
  }

  private static Cell cell(RawTool raw, String symbol, String text) {
    Cell before = raw.cells().get(symbol);
    return new Cell(text, before == null ? Optional.empty() : before.unit(), false);
  }

  /** Marks lines as looked at, so that their queries no longer keep them from entering. */
  @Transactional
  public int look(long id, List<Long> lineIds) {
    ready(id);
    List<DeliveryLine> looked = new ArrayList<>();
    for (DeliveryLine line : lines.findByDeliveryIdAndIdIn(id, lineIds)) {
      if (line.disposition == Disposition.QUERY) {
        line.lookedAt = true;
        line.disposition = Disposition.PASS;
        looked.add(line);
      }
    }
    trail.record(Said.of("delivery", id, "looked at %d queries".formatted(looked.size())));
    live.say("delivery", id, "looked at");
    return looked.size();
  }
}
