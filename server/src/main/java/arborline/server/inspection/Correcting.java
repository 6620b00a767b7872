package arborline.server.inspection;

import arborline.core.exchange.Cell;
import arborline.core.exchange.CellsJson;
import arborline.core.exchange.ItemKind;
import arborline.core.exchange.RawItem;
import arborline.core.exchange.StackReading;
import arborline.core.finding.Finding;
import arborline.server.delivery.Delivery;
import arborline.server.delivery.DeliveryLine;
import arborline.server.delivery.DeliveryRepository;
import arborline.server.delivery.LineRepository;
import arborline.server.support.Json;
import arborline.server.support.Refusal;
import arborline.server.trail.TrailRecord;
import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Corrects what lines of a delivery say: one, or all that have a finding. */
@Service
class Correcting {

  private static final int LONGEST_CELL = 200;

  private final DeliveryRepository deliveries;
  private final LineRepository lines;
  private final FoundLines found;
  private final LineDeeds deeds;
  private final CellReplacing replacing;
  private final Json json;

  Correcting(
      DeliveryRepository deliveries,
      LineRepository lines,
      FoundLines found,
      LineDeeds deeds,
      CellReplacing replacing,
      Json json) {
    this.deliveries = deliveries;
    this.lines = lines;
    this.found = found;
    this.deeds = deeds;
    this.replacing = replacing;
    this.json = json;
  }

  /**
   * Replaces cells of one line.
   *
   * @param kind what it is from now on; null as before
   */
  @Transactional
  DeliveryLine correct(long id, long lineId, Map<String, String> cells, @Nullable String kind) {
    Optional<ItemKind> other = Optional.ofNullable(kind).map(Correcting::kind);
    Delivery delivery = deeds.ready(id);
    DeliveryLine line = deeds.open(id, lineId);
    long lineNo = line.lineNo;
    deeds.make(
        delivery,
        after -> FoundLines.among(List.of(lineId), after),
        changed -> true,
        changed -> {
          other.ifPresent(is -> changed.kind = is);
          replacing.replace(changed, cells, CellReplacing::typed);
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
  LineDeeds.Changed overhang(long id, long lineId, int index, BigDecimal overhang) {
    Delivery delivery = deeds.ready(id);
    DeliveryLine line = deeds.open(id, lineId);
    if (index < 0 || index >= line.raw().stacks().size()) {
      throw Refusal.notFound("the line has no stack " + index);
    }
    Cell cell = LineStacks.overhang(overhang);
    String code = line.code;
    return deeds.make(
        delivery,
        after -> FoundLines.among(List.of(lineId), after),
        changed -> true,
        changed -> {
          changed.restack(index, Map.of(StackReading.OVERHANG, cell));
          changed.readingFindings =
              replacing.unsettled(
                  changed.readingFindings, Map.of(StackReading.OVERHANG, cell.text()));
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
    Delivery delivery = deeds.ready(id);
    String code = deeds.open(id, lineId).code;
    deeds.make(
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

  /**
   * Gives a tool cutting data before it enters, in place of what came with it.
   *
   * @param cuts cells of each line: {@code MATERIAL}, {@code VC}, {@code FEED} and so on
   */
  @Transactional
  LineDeeds.Changed cutting(long id, long lineId, List<Map<String, String>> cuts) {
    Delivery delivery = deeds.ready(id);
    DeliveryLine line = deeds.open(id, lineId);
    if (line.kind != ItemKind.CUTTER && line.kind != ItemKind.INSERT) {
      throw Refusal.badRequest("only a tool has cutting data");
    }
    String code = line.code;
    List<SortedMap<String, Cell>> cells = cuts.stream().map(Correcting::cells).toList();
    return deeds.make(
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
  LineDeeds.Changed repair(long id, FindingChoice choice, String repair) {
    Delivery delivery = deeds.ready(id);
    Optional<String> title = found.title(id, choice, repair);
    if (title.isEmpty()) {
      return new LineDeeds.Changed(0, 0);
    }
    return deeds.make(
        delivery,
        after -> found.offering(id, choice, repair, after),
        line -> true,
        line -> replacing.replace(line, offered(line, choice, repair), CellReplacing::cell),
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

  /** Refuses a delivery that is not there. */
  @Transactional(readOnly = true)
  void known(long id) {
    deliveries
        .findByIdAndPutAwayAtIsNull(id)
        .orElseThrow(() -> Refusal.notFound("there is no delivery " + id));
  }
}
