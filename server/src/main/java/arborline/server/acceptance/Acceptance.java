package arborline.server.acceptance;

import arborline.core.exchange.Interpreter;
import arborline.core.exchange.ItemKind;
import arborline.core.exchange.RawItem;
import arborline.core.inspect.Disposition;
import arborline.core.library.Numbering;
import arborline.server.delivery.Counts;
import arborline.server.delivery.Delivery;
import arborline.server.delivery.DeliveryLine;
import arborline.server.delivery.DeliveryRepository;
import arborline.server.delivery.LineRepository;
import arborline.server.inspection.LineJudge;
import arborline.server.library.AcceptedTools;
import arborline.server.library.Libraries;
import arborline.server.live.Live;
import arborline.server.support.Refusal;
import arborline.server.support.StopRequests;
import arborline.server.trail.Trail;
import arborline.server.trail.TrailRecord;
import jakarta.persistence.EntityManager;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.OptionalLong;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Limit;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Takes the good lines of a delivery into a library: all in one transaction, so that a crash or a
 * stop leaves nothing half taken.
 */
@Service
public class Acceptance {

  private static final int CHUNK = 1000;
  private static final List<List<ItemKind>> ORDER =
      List.of(
          TakenParts.KINDS,
          List.of(ItemKind.CUTTER, ItemKind.INSERT),
          List.of(ItemKind.STACK, ItemKind.CUTTING));

  private final DeliveryRepository deliveries;
  private final LineRepository lines;
  private final LineJudge judge;
  private final Libraries libraries;
  private final AcceptedTools intake;
  private final TakenParts parts;
  private final TakenBelongings belonging;
  private final TakenPieces pieces;
  private final TakenChanges changed;
  private final VendorTakings vendors;
  private final Counts counts;
  private final Trail trail;
  private final Live live;
  private final StopRequests stops;
  private final JdbcClient jdbc;
  private final EntityManager entities;

  Acceptance(
      DeliveryRepository deliveries,
      LineRepository lines,
      LineJudge judge,
      Libraries libraries,
      AcceptedTools intake,
      TakenParts parts,
      TakenBelongings belonging,
      TakenPieces pieces,
      TakenChanges changed,
      VendorTakings vendors,
      Counts counts,
      Trail trail,
      Live live,
      StopRequests stops,
      JdbcClient jdbc,
      EntityManager entities) {
    this.deliveries = deliveries;
    this.lines = lines;
    this.judge = judge;
    this.libraries = libraries;
    this.intake = intake;
    this.parts = parts;
    this.belonging = belonging;
    this.pieces = pieces;
    this.changed = changed;
    this.vendors = vendors;
    this.counts = counts;
    this.trail = trail;
    this.live = live;
    this.stops = stops;
    this.jdbc = jdbc;
    this.entities = entities;
  }

  /**
   * What became of the lines.
   *
   * @param accepted entered the library now
   * @param what the same in words: {@code 12 tools and 2 other items}
   * @param held stay in the delivery: holds, and queries nobody has looked at
   * @param skipped nothing to take: the shop has them, or they were taken before
   * @param renumbered entered under another number than they came with
   * @param refused how many of the held ones the library is not for, though they pass
   * @param refusal why the first of those cannot stand there; empty where there is none
   * @param undo line of the trail that takes it back; 0 where nothing entered
   */
  public record Taken(
      long accepted,
      String what,
      long held,
      long skipped,
      int renumbered,
      int refused,
      String refusal,
      long undo) {}

  /**
   * Takes lines.
   *
   * @param libraryId which the tools enter; null where none is among them, only holders and other
   *     parts, which stand in no library
   * @param lineIds the lines to take, queries among them counting as looked at; null for all that
   *     pass
   */
  @Transactional
  public Taken take(
      long deliveryId,
      @Nullable Long libraryId,
      @Nullable String section,
      Numbering numbering,
      @Nullable List<Long> lineIds) {
    Delivery delivery =
        deliveries
            .lock(deliveryId)
            .orElseThrow(() -> Refusal.notFound("there is no delivery " + deliveryId));
    if (delivery.state != Delivery.State.READY) {
      throw Refusal.conflict("the delivery is not read to its end yet; wait for it");
    }
    stops.clear(delivery.work());
    String where = libraryId == null ? "the shop" : libraries.get(libraryId).name();
    AcceptedTools.@Nullable Session session =
        libraryId == null
            ? null
            : intake.into(
                libraryId, section == null ? "" : section, "delivery " + delivery.name, numbering);
    int takeNo = nextTake(deliveryId);
    long accepted = takeAll(delivery, session, lineIds, takeNo);
    Counts.LineCounts after0 = counts.of(deliveryId);
    String what = items(deliveryId, takeNo, accepted);
    long undo =
        accepted == 0
            ? 0
            : trail.record(
                TrailRecord.of(
                        "delivery",
                        deliveryId,
                        "took %s of %s into %s".formatted(what, delivery.name, where))
                    .in(libraryId == null ? Set.of() : Set.of(libraryId))
                    .undoneBy(
                        AcceptanceUndo.KIND,
                        new AcceptanceUndo.Take(deliveryId, libraryId, takeNo)));
    live.say("delivery", deliveryId, "taken");
    if (libraryId != null) {
      live.say("library", libraryId, "taken");
    }
    int refused = session == null ? 0 : session.refused();
    long held = after0.hold() + after0.query() + refused;
    long left = after0.read() - accepted - held;
    return new Taken(
        accepted,
        what,
        held,
        left,
        session == null ? 0 : session.renumbered(),
        refused,
        session == null ? "" : session.refusal(),
        undo);
  }

  /** Parts first, so that the stacks of the tools find them; then tools, then what stands alone. */
  private long takeAll(
      Delivery delivery,
      AcceptedTools.@Nullable Session session,
      @Nullable List<Long> lineIds,
      int takeNo) {
    try {
      long accepted = 0;
      for (List<ItemKind> kinds : ORDER) {
        accepted += chunks(delivery, session, lineIds, kinds, takeNo, accepted);
      }
      return accepted;
    } catch (RuntimeException failed) {
      live.sayNow("delivery", delivery.id, "not done");
      throw failed;
    }
  }

  private long chunks(
      Delivery delivery,
      AcceptedTools.@Nullable Session session,
      @Nullable List<Long> lineIds,
      List<ItemKind> kinds,
      int takeNo,
      long before) {
    long accepted = 0;
    long after = 0;
    for (List<DeliveryLine> chunk = chunk(delivery.id, after, lineIds, kinds);
        !chunk.isEmpty();
        chunk = chunk(delivery.id, after, lineIds, kinds)) {
      after = chunk.getLast().id;
      accepted += takeChunk(delivery, session, chunk, takeNo);
      entities.flush();
      entities.clear();
      live.sayNow("delivery", delivery.id, "taking " + (before + accepted));
      if (stops.asked(delivery.work())) {
        stops.clear(delivery.work());
        throw Refusal.conflict("taking was stopped; nothing was taken");
      }
    }
    return accepted;
  }

  /** What was taken, in words: {@code 12 tools and 2 other items}. */
  private String items(long deliveryId, int takeNo, long accepted) {
    long others =
        jdbc.sql(
                """
                select count(*) from delivery_line where delivery_id = ? and take_no = ?
                  and kind not in ('CUTTER', 'INSERT')\
                """)
            .params(deliveryId, takeNo)
            .query(Long.class)
            .single();
    String tools = TrailRecord.count(accepted - others, "tool");
    if (others == 0) {
      return tools;
    }
    return others == accepted
        ? TrailRecord.count(others, "item")
        : tools + " and " + TrailRecord.count(others, "other item");
  }

  private int nextTake(long deliveryId) {
    return jdbc.sql("select coalesce(max(take_no), 0) + 1 from delivery_line where delivery_id = ?")
        .param(deliveryId)
        .query(Integer.class)
        .single();
  }

  private List<DeliveryLine> chunk(
      long deliveryId, long after, @Nullable List<Long> lineIds, List<ItemKind> kinds) {
    if (lineIds == null) {
      return lines.passing(deliveryId, after, kinds, Limit.of(CHUNK));
    }
    List<Long> next = lineIds.stream().filter(id -> id > after).sorted().limit(CHUNK).toList();
    while (!next.isEmpty()) {
      List<DeliveryLine> some =
          lines.findByDeliveryIdAndIdIn(deliveryId, next).stream()
              .filter(line -> kinds.contains(line.kind))
              .sorted(Comparator.comparing(line -> line.id))
              .toList();
      if (!some.isEmpty()) {
        return some;
      }
      long last = next.getLast();
      next = lineIds.stream().filter(id -> id > last).sorted().limit(CHUNK).toList();
    }
    return List.of();
  }

  private int takeChunk(
      Delivery delivery,
      AcceptedTools.@Nullable Session session,
      List<DeliveryLine> chunk,
      int takeNo) {
    if (chunk.getFirst().part()) {
      return parts.take(delivery.id, chunk, takeNo);
    }
    if (!chunk.getFirst().kind.standsAlone()) {
      return belonging.take(delivery.id, chunk, takeNo);
    }
    if (session == null) {
      throw Refusal.badRequest("say which library the tools enter");
    }
    return takeTools(delivery, session, chunk, takeNo);
  }

  private int takeTools(
      Delivery delivery, AcceptedTools.Session session, List<DeliveryLine> chunk, int takeNo) {
    Map<String, Present> present = present(chunk);
    Set<String> held = judge.held(chunk);
    List<DeliveryLine> clashing =
        chunk.stream()
            .filter(line -> present.containsKey(line.codeKey) || held.contains(line.codeKey))
            .toList();
    if (!clashing.isEmpty()) {
      judge.judge(delivery.id, clashing);
    }
    List<DeliveryLine> entering = new ArrayList<>();
    List<DeliveryLine> staying = new ArrayList<>();
    List<AcceptedTools.Arriving> arriving = new ArrayList<>();
    Set<String> codes = new HashSet<>();
    for (DeliveryLine line : chunk) {
      boolean enters = line.enters() && codes.add(line.codeKey);
      Present existing = present.get(line.codeKey);
      if (enters && existing != null && existing.shelved()) {
        staying.add(line);
      } else if (enters) {
        AcceptedTools.Arriving one = arriving(line, existing);
        if (session.holds(one.tool(), line.disposition == Disposition.PASS)) {
          entering.add(line);
          arriving.add(one);
        }
      }
    }
    int taken = parts.takeNeeded(delivery.id, entering, takeNo);
    taken += parts.takeNeeded(delivery.id, staying, takeNo);
    for (DeliveryLine line : entering) {
      if (present.containsKey(line.codeKey)) {
        changed.change(delivery, takeNo, present.get(line.codeKey).id(), line);
      }
    }
    List<Long> toolIds = session.take(arriving);
    for (int i = 0; i < entering.size(); i++) {
      entering.get(i).taken(toolIds.get(i), takeNo);
      belonging.take(delivery.id, takeNo, toolIds.get(i), entering.get(i));
    }
    for (DeliveryLine line : staying) {
      long toolId = present.get(line.codeKey).id();
      changed.change(delivery, takeNo, toolId, line);
      line.taken(toolId, takeNo);
      pieces.note(delivery.id, takeNo, TakenPieces.STAYING, List.of(toolId));
      belonging.take(delivery.id, takeNo, toolId, line);
    }
    vendors.note(delivery.id, takeNo, entering);
    vendors.note(delivery.id, takeNo, staying);
    return taken + entering.size() + staying.size();
  }

  /** A tool that the shop has: in a library, where it stays, or in none. */
  private record Present(String codeKey, long id, boolean shelved) {}

  private Map<String, Present> present(List<DeliveryLine> chunk) {
    return jdbc
        .sql(
            """
            select code_key, id,
              exists(select 1 from entry e where e.tool_id = tool.id) as shelved
            from tool where code_key in (:keys)\
            """)
        .param("keys", chunk.stream().map(line -> line.codeKey).toList())
        .query(Present.class)
        .list()
        .stream()
        .collect(Collectors.toMap(Present::codeKey, tool -> tool));
  }

  private static AcceptedTools.Arriving arriving(DeliveryLine line, @Nullable Present existing) {
    RawItem item = line.raw().item();
    return new AcceptedTools.Arriving(
        Interpreter.interpret(item).tool(),
        line.number == null ? OptionalInt.empty() : OptionalInt.of(line.number),
        Math.toIntExact(line.position),
        existing == null ? OptionalLong.empty() : OptionalLong.of(existing.id()),
        item.text(RawItem.SECTION));
  }
}
