package arborline.server.inspection;

import arborline.core.exchange.Cell;
import arborline.core.exchange.CellsJson;
import arborline.core.exchange.ItemKind;
import arborline.core.exchange.RawItem;
import arborline.core.exchange.StackReading;
import arborline.core.finding.Finding;
import arborline.core.finding.Severity;
import arborline.core.inspect.Allowance;
import arborline.core.inspect.Disposition;
import arborline.core.property.Dictionary;
import arborline.core.quantity.Unit;
import arborline.server.delivery.Delivery;
import arborline.server.delivery.DeliveryLine;
import arborline.server.delivery.DeliveryRepository;
import arborline.server.delivery.LineRepository;
import arborline.server.live.Live;
import arborline.server.support.Json;
import arborline.server.support.Refusal;
import arborline.server.trail.Trail;
import arborline.server.trail.TrailRecord;
import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.function.Consumer;
import java.util.function.LongFunction;
import java.util.function.Predicate;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Puts lines of a delivery right: one, or all that have a finding. */
@Service
class Correcting {

  private static final int LONGEST_CELL = 200;

  private final DeliveryRepository deliveries;
  private final LineRepository lines;
  private final FoundLines found;
  private final LineChange change;
  private final LineSnapshots before;
  private final DecidedLines decided;
  private final Trail trail;
  private final Live live;
  private final Json json;

  Correcting(
      DeliveryRepository deliveries,
      LineRepository lines,
      FoundLines found,
      LineChange change,
      LineSnapshots before,
      DecidedLines decided,
      Trail trail,
      Live live,
      Json json) {
    this.deliveries = deliveries;
    this.lines = lines;
    this.found = found;
    this.change = change;
    this.before = before;
    this.decided = decided;
    this.trail = trail;
    this.live = live;
    this.json = json;
  }

  /**
   * What was put right.
   *
   * @param undo line of the trail that takes it back; 0 where nothing was changed
   */
  record Changed(long lines, long undo) {}

  /**
   * Replaces cells of one line.
   *
   * @param kind what it is from now on; null as before
   */
  @Transactional
  DeliveryLine correct(long id, long lineId, Map<String, String> cells, @Nullable String kind) {
    Optional<ItemKind> other = Optional.ofNullable(kind).map(Correcting::kind);
    Delivery delivery = ready(id);
    DeliveryLine line = open(id, lineId);
    long lineNo = line.lineNo;
    make(
        delivery,
        after -> FoundLines.among(List.of(lineId), after),
        changed -> true,
        changed -> {
          other.ifPresent(is -> changed.kind = is);
          replace(changed, cells, Correcting::typed);
        },
        count ->
            "corrected line %d of %s: %s"
                .formatted(
                    lineNo,
                    delivery.name,
                    other.map(is -> is.word() + (cells.isEmpty() ? "" : ", ")).orElse("")
                        + text(cells)));
    return lines.findByDeliveryIdAndId(id, lineId).orElseThrow();
  }

  /**
   * Says how far the tool of a stack stands out.
   *
   * @param index which stack of the line, from 0
   * @param overhang mm
   */
  @Transactional
  Changed overhang(long id, long lineId, int index, BigDecimal overhang) {
    Delivery delivery = ready(id);
    DeliveryLine line = open(id, lineId);
    if (index < 0 || index >= line.raw().stacks().size()) {
      throw Refusal.notFound("the line has no stack " + index);
    }
    Cell cell = LineStacks.overhang(overhang);
    String code = line.code;
    return make(
        delivery,
        after -> FoundLines.among(List.of(lineId), after),
        changed -> true,
        changed -> {
          changed.restack(index, Map.of(StackReading.OVERHANG, cell));
          changed.readingFindings =
              unsettled(changed.readingFindings, Map.of(StackReading.OVERHANG, cell.text()));
        },
        count -> "%s of %s stands out %s mm".formatted(code, delivery.name, cell.text()));
  }

  /**
   * Says from which end the solid of a line is seen.
   *
   * @param item what the line says then
   * @param turned true for the other end than the one that is guessed
   */
  @Transactional
  DeliveryLine turn(long id, long lineId, RawItem item, boolean turned) {
    Delivery delivery = ready(id);
    String code = open(id, lineId).code;
    make(
        delivery,
        after -> FoundLines.among(List.of(lineId), after),
        changed -> true,
        changed -> {
          changed.kind = item.kind();
          changed.cells = CellsJson.toText(item.cells());
          changed.readingFindings = json.text(item.findings());
          changed.lookedAt = false;
          changed.allowed = null;
        },
        count ->
            "turned %s of %s %s"
                .formatted(code, delivery.name, turned ? "around" : "back as it was read"));
    return lines.findByDeliveryIdAndId(id, lineId).orElseThrow();
  }

  /** A line that was not taken yet. */
  private DeliveryLine open(long id, long lineId) {
    DeliveryLine line =
        lines
            .findByDeliveryIdAndId(id, lineId)
            .orElseThrow(() -> Refusal.notFound("there is no such line in the delivery"));
    if (line.takenId != null) {
      throw Refusal.conflict("the line was taken already; change the tool on its sheet");
    }
    return line;
  }

  /**
   * Gives a tool cutting data before it enters, in place of what came with it.
   *
   * @param cuts cells of each line: {@code MATERIAL}, {@code VC}, {@code FEED} and so on
   */
  @Transactional
  Changed cutting(long id, long lineId, List<Map<String, String>> cuts) {
    Delivery delivery = ready(id);
    DeliveryLine line = open(id, lineId);
    if (line.kind != ItemKind.CUTTER && line.kind != ItemKind.INSERT) {
      throw Refusal.badRequest("only a tool has cutting data");
    }
    String code = line.code;
    List<SortedMap<String, Cell>> cells = cuts.stream().map(Correcting::cells).toList();
    return make(
        delivery,
        after -> FoundLines.among(List.of(lineId), after),
        changed -> true,
        changed -> changed.recut(cells),
        count ->
            "gave %s of %s %s of cutting data"
                .formatted(code, delivery.name, TrailRecord.count(cuts.size(), "line")));
  }

  private static SortedMap<String, Cell> cells(Map<String, String> texts) {
    SortedMap<String, Cell> cells = new TreeMap<>();
    texts.forEach((symbol, text) -> {
      if (text == null || text.length() > LONGEST_CELL || symbol.length() > LONGEST_CELL) {
        throw Refusal.badRequest("a cell is a text of up to %d letters".formatted(LONGEST_CELL));
      }
      if (!text.isBlank()) {
        cells.put(symbol, Cell.of(text));
      }
    });
    return cells;
  }

  private static ItemKind kind(String word) {
    return ItemKind.named(word)
        .filter(kind -> kind.standsAlone() && kind != ItemKind.REMARK)
        .orElseThrow(() ->
            Refusal.badRequest(
                "'%s' is nothing that a line can be: say cutter, insert, holder, extension,"
                        .formatted(word)
                    + " collet, arbor or aggregate"));
  }

  private static String text(Map<String, String> cells) {
    return String.join(
        ", ",
        new TreeMap<>(cells)
            .entrySet().stream().map(cell -> cell.getKey() + " " + cell.getValue()).toList());
  }

  /**
   * Applies a repair to each line that offers it.
   *
   * @param repair its id; the kind for all that findings of it offer
   */
  @Transactional
  Changed repair(long id, FindingChoice choice, String repair) {
    Delivery delivery = ready(id);
    Optional<String> title = found.title(id, choice, repair);
    if (title.isEmpty()) {
      return new Changed(0, 0);
    }
    return make(
        delivery,
        after -> found.offering(id, choice, repair, after),
        line -> true,
        line -> replace(line, offered(line, choice, repair), Correcting::cell),
        count ->
            "corrected %s of %s: %s"
                .formatted(TrailRecord.count(count, "line"), delivery.name, title.get()));
  }

  private Map<String, String> offered(DeliveryLine line, FindingChoice choice, String repair) {
    Map<String, String> changes = new TreeMap<>();
    for (Finding offered : json.read(line.findings, Finding[].class)) {
      offered
          .repair()
          .filter(offer -> choice.takesIn(offered))
          .filter(offer -> offer.id().equals(repair) || offered.kind().equals(repair))
          .ifPresent(offer -> changes.putAll(offer.changes()));
    }
    return changes;
  }

  /** Makes a cell of a text that stands in an item from now on. */
  private interface NewCell {
    Cell of(RawItem item, String symbol, String text);
  }

  private void replace(DeliveryLine line, Map<String, String> cells, NewCell made) {
    TreeMap<String, Cell> replacements = new TreeMap<>();
    RawItem raw = line.raw().item();
    cells.forEach((symbol, text) -> replacements.put(symbol, made.of(raw, symbol, text)));
    line.cells = CellsJson.toText(raw.with(replacements).cells());
    line.readingFindings = unsettled(line.readingFindings, cells);
    line.lookedAt = false;
    line.allowed = null;
  }

  /** What went wrong while reading stays until the cell that it is about is replaced. */
  private @Nullable String unsettled(@Nullable String reading, Map<String, String> cells) {
    if (reading == null) {
      return null;
    }
    List<Finding> left =
        Stream.of(json.read(reading, Finding[].class))
            .filter(found -> !found.properties().isEmpty())
            .filter(found -> !cells.containsKey(found.properties().getFirst()))
            .toList();
    return left.isEmpty() ? null : json.text(left);
  }

  private static Cell cell(RawItem raw, String symbol, String text) {
    Cell before = raw.cells().get(symbol);
    return new Cell(text, before == null ? Optional.empty() : before.unit(), false);
  }

  /** What a person typed is meant in the unit of the values beside it, which is shown there. */
  private static Cell typed(RawItem raw, String symbol, String text) {
    Optional<Unit> unit = Dictionary.standard().find(symbol).flatMap(raw::unitBeside);
    return unit.isPresent() ? Cell.of(text, unit.get()) : cell(raw, symbol, text);
  }

  /**
   * Marks lines as looked at: queries no longer keep them from entering, and of those that pass it
   * is known that somebody holds them for right.
   */
  @Transactional
  Changed look(long id, List<Long> lineIds) {
    return look(
        id,
        after -> FoundLines.among(lineIds, after),
        line ->
            line.disposition == Disposition.QUERY
                || line.disposition == Disposition.PASS && !line.lookedAt,
        "");
  }

  /** Marks all lines that have such a finding as looked at. */
  @Transactional
  Changed look(long id, FindingChoice choice) {
    return look(
        id,
        after -> found.having(id, choice, after),
        line -> line.disposition == Disposition.QUERY,
        "queries of ");
  }

  /**
   * Settles for lines whose code the shop has for another tool whose values stand.
   *
   * @param lineIds the lines; null for all that have such a finding
   * @param finding that they have
   */
  @Transactional
  Changed settle(long id, @Nullable List<Long> lineIds, FindingChoice finding, LineChoice choice) {
    Delivery delivery = ready(id);
    String text = json.text(choice);
    Changed settled =
        make(
            delivery,
            concerned(id, lineIds, finding),
            line -> line.kind.standsAlone(),
            line -> line.choice = text,
            count ->
                "chose to %s for %s of %s"
                    .formatted(
                        choice.answer().name().toLowerCase(java.util.Locale.ROOT),
                        TrailRecord.count(count, "line"),
                        delivery.name));
    decided.note(id);
    return settled;
  }

  /**
   * Lets lines in that are held by doubts about their sizes.
   *
   * @param reason stays on the trail and with the lines
   */
  @Transactional
  Changed allow(
      long id, @Nullable List<Long> lineIds, @Nullable FindingChoice choice, String reason) {
    Delivery delivery = ready(id);
    return make(
        delivery,
        concerned(id, lineIds, choice),
        this::allowable,
        line -> {
          line.allowed = reason;
          line.lookedAt = true;
        },
        count ->
            "let in %s of %s: %s"
                .formatted(TrailRecord.count(count, "held line"), delivery.name, reason));
  }

  private boolean allowable(DeliveryLine line) {
    List<Finding> held =
        Stream.of(json.read(line.findings, Finding[].class))
            .filter(finding -> finding.severity() == Severity.HOLD)
            .toList();
    return line.disposition == Disposition.HOLD && held.stream().allMatch(Allowance::possible);
  }

  private LongFunction<List<Long>> concerned(
      long id, @Nullable List<Long> lineIds, @Nullable FindingChoice choice) {
    if (lineIds != null) {
      return after -> FoundLines.among(lineIds, after);
    }
    if (choice == null) {
      throw Refusal.badRequest("say which lines or a finding are meant");
    }
    return after -> found.having(id, choice, after);
  }

  private Changed look(
      long id, LongFunction<List<Long>> next, Predicate<DeliveryLine> concerned, String what) {
    Delivery delivery = ready(id);
    return make(
        delivery,
        next,
        concerned,
        line -> line.lookedAt = true,
        count ->
            "looked at %s%s of %s"
                .formatted(what, TrailRecord.count(count, "line"), delivery.name));
  }

  private Changed make(
      Delivery delivery,
      LongFunction<List<Long>> next,
      Predicate<DeliveryLine> concerned,
      Consumer<DeliveryLine> edit,
      LongFunction<String> text) {
    int changeNo = before.next(delivery.id);
    long count =
        change.make(
            delivery,
            next,
            ids -> {
              List<DeliveryLine> some =
                  change.open(delivery.id, ids).stream().filter(concerned).toList();
              if (!some.isEmpty()) {
                before.keep(delivery.id, changeNo, some.stream().map(line -> line.id).toList());
                some.forEach(edit);
              }
              return some;
            });
    if (count == 0) {
      return new Changed(0, 0);
    }
    live.say("delivery", delivery.id, "corrected");
    long undo =
        trail.record(
            TrailRecord.of("delivery", delivery.id, text.apply(count))
                .undoneBy(LineUndo.KIND, new LineUndo.Change(delivery.id, changeNo)));
    return new Changed(count, undo);
  }

  /** Refuses a delivery that is not there. */
  @Transactional(readOnly = true)
  void known(long id) {
    deliveries
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
}
