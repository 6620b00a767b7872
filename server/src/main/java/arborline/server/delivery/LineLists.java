package arborline.server.delivery;

import arborline.core.exchange.Cell;
import arborline.core.exchange.ItemKind;
import arborline.core.exchange.PartReading;
import arborline.core.exchange.RawBundle;
import arborline.core.exchange.RawItem;
import arborline.core.finding.Finding;
import arborline.core.finding.Severity;
import arborline.core.property.Dictionary;
import arborline.core.quantity.Unit;
import arborline.core.stack.PartOutline;
import arborline.core.tool.Completed;
import arborline.core.tool.Silhouettes;
import arborline.core.tool.Tool;
import arborline.core.tool.Value;
import arborline.core.tool.outline.Outline;
import arborline.server.support.Json;
import arborline.server.support.Refusal;
import arborline.server.support.Slice;
import arborline.server.tool.StoredTools;
import jakarta.persistence.EntityManager;
import jakarta.persistence.TypedQuery;
import java.math.BigDecimal;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Lists the lines of a delivery. */
@Service
@Transactional(readOnly = true)
public class LineLists {

  private static final long MOST_SKIPPED = 1_000_000;

  private final EntityManager entities;
  private final Json json;

  LineLists(EntityManager entities, Json json) {
    this.entities = entities;
    this.json = json;
  }

  /**
   * A cell of a line.
   *
   * @param implied where a value comes from that nobody wrote: {@code follows from LCF}; null for
   *     what is written
   * @param formula by which it follows from others, as written; null without one
   */
  record CellView(
      String text, @Nullable String unit, @Nullable String implied, @Nullable String formula) {}

  /**
   * What somebody chose where the shop has another tool under the code.
   *
   * @param answer {@code KEEP}, {@code REPLACE} or {@code MERGE}
   */
  record ChoiceView(String answer, List<String> fields) {}

  /** A line of cutting data: where it starts in its file, and its cells. */
  record CuttingView(long line, Map<String, CellView> cells) {}

  /** A stack: where it starts in its file, its cells, the codes of its parts. */
  record StackView(long line, Map<String, CellView> cells, List<String> parts) {}

  /**
   * A line for showing.
   *
   * @param file which file of the delivery, from 0
   * @param line where it starts in that file, from 1
   * @param position its place among all lines of the delivery
   * @param kind {@code cutter}, {@code insert}, {@code holder}..., {@code stack} or {@code cutting}
   * @param disposition {@code pass}, {@code query}, {@code hold} or {@code skipped}
   * @param allowed why somebody let it in although it was held; null where nobody did
   * @param choice what somebody chose against the shop's tool under its code; null for none
   * @param takenPartId the holder or other part that it became
   * @param unitsOfAdded in which unit a number is meant that is typed where nothing is written
   * @param cutting lines of cutting data that belong to it
   * @param stacks that hold it
   * @param parts codes of all parts of these stacks
   * @param notes what else came with it, by heading
   * @param vendorItem by what its vendor calls it; null where it comes from none
   * @param inspected false while it was not held against the model that it names
   */
  public record LineView(
      long id,
      int file,
      long line,
      long position,
      String kind,
      String code,
      String name,
      String classId,
      String disposition,
      boolean lookedAt,
      @Nullable String allowed,
      @Nullable ChoiceView choice,
      @Nullable Long takenToolId,
      @Nullable Long takenPartId,
      Map<String, CellView> cells,
      Map<String, String> unitsOfAdded,
      List<CuttingView> cutting,
      List<StackView> stacks,
      List<String> parts,
      Map<String, String> notes,
      List<Finding> findings,
      @Nullable String vendorItem,
      boolean inspected,
      @Nullable Outline outline) {}

  /**
   * Which lines are asked for; what is null does not narrow them.
   *
   * @param text in code or name
   * @param dcFrom least diameter, mm
   * @param by what lines are grouped by
   * @param group which of these groups
   * @param inspected true for those that were held against their models, false for the others
   */
  record Asked(
      @Nullable String severity,
      @Nullable String finding,
      @Nullable String disposition,
      @Nullable String kind,
      @Nullable String classId,
      @Nullable String text,
      @Nullable BigDecimal dcFrom,
      @Nullable BigDecimal dcTo,
      @Nullable String by,
      @Nullable String group,
      @Nullable Boolean inspected) {}

  /** When the file of a line was last changed. */
  private static final String DATED =
      """
      (select d.dated from Document d where d.deliveryId = l.deliveryId and d.fileNo = l.fileNo)\
      """;

  /** What lines can be grouped by: a name by its first word, a number by its hundred. */
  private static final Map<String, String> GROUPS =
      Map.of(
          "class", "l.classId",
          "kind", "cast(l.kind as string)",
          "file", "cast(l.fileNo as string)",
          "date", "cast(%s as string)".formatted(DATED),
          "name", "substring(l.name, 1, locate(' ', concat(l.name, ' ')) - 1)",
          "number", "coalesce(cast(l.number - mod(l.number, 100) as string), '')");

  private static final int MOST_GROUPS = 500;

  private static String grouping(String by) {
    String expression = GROUPS.get(by);
    if (expression == null) {
      throw Refusal.badRequest(
          "by is one of " + String.join(", ", new java.util.TreeSet<>(GROUPS.keySet())));
    }
    return expression;
  }

  /**
   * Lines that have something in common.
   *
   * @param group what it is; empty where they have none
   */
  record LineGroup(String group, long count) {}

  /** The groups of lines, the largest first. */
  List<LineGroup> groups(long deliveryId, Asked asked, String by) {
    String expression = grouping(by);
    Map<String, Object> parameters = new LinkedHashMap<>();
    String where = where(deliveryId, asked, null, parameters);
    TypedQuery<Object[]> query =
        entities.createQuery(
            "select %1$s, count(l) from DeliveryLine l%2$s group by %1$s order by count(l) desc, %1$s"
                .formatted(expression, where),
            Object[].class);
    parameters.forEach(query::setParameter);
    return query
        .setMaxResults(MOST_GROUPS)
        .getResultStream()
        .map(row -> new LineGroup((String) row[0], (Long) row[1]))
        .toList();
  }

  /** By what lines can be sorted; where two are alike, by their place. */
  private static final Map<String, String> SORTS =
      Map.of(
          "position", "l.position",
          "code", "l.codeKey",
          "name", "l.name",
          "class", "l.classId",
          "number", "l.number",
          "diameter", "l.dc",
          "vendor", "l.vendorItem",
          "date", DATED,
          "finding", "(select min(f.code) from LineFinding f where f.lineId = l.id)");

  /**
   * Lists lines.
   *
   * @param sort {@code position}, {@code code}, {@code name}, {@code class}, {@code number}, {@code
   *     diameter}, {@code date}, {@code vendor} or {@code finding}
   * @param after place of the last line that was seen; for other orders how many were seen
   */
  Slice<LineView> lines(
      long deliveryId, Asked asked, String sort, @Nullable Long after, int limit) {
    String order = SORTS.get(sort);
    if (order == null) {
      throw Refusal.badRequest(
          "sort is one of " + String.join(", ", new java.util.TreeSet<>(SORTS.keySet())));
    }
    boolean placed = sort.equals("position");
    Map<String, Object> parameters = new LinkedHashMap<>();
    String where = where(deliveryId, asked, placed ? after : null, parameters);
    TypedQuery<DeliveryLine> query =
        entities.createQuery(
            "select l from DeliveryLine l"
                + where
                + " order by "
                + order
                + (placed ? "" : ", l.position"),
            DeliveryLine.class);
    parameters.forEach(query::setParameter);
    int skipped = placed || after == null ? 0 : (int) Math.clamp(after, 0, MOST_SKIPPED);
    List<LineView> items =
        query
            .setFirstResult(skipped)
            .setMaxResults(limit + 1)
            .getResultStream()
            .map(this::view)
            .toList();
    return Slice.cut(
        items, limit, line -> Long.toString(placed ? line.position() : (long) skipped + limit));
  }

  private static String where(
      long deliveryId, Asked asked, @Nullable Long after, Map<String, Object> parameters) {
    StringBuilder where = new StringBuilder(" where l.deliveryId = :delivery");
    parameters.put("delivery", deliveryId);
    if (asked.severity() != null || asked.finding() != null) {
      where.append(" and exists (select 1 from LineFinding f where f.lineId = l.id");
      if (asked.severity() != null) {
        where.append(" and f.severity = :severity");
        parameters.put("severity", severity(asked.severity()));
      }
      if (asked.finding() != null) {
        where.append(" and (f.code = :finding or f.kind = :finding)");
        parameters.put("finding", asked.finding());
      }
      where.append(')');
    }
    if (asked.disposition() != null) {
      where.append(" and cast(l.disposition as string) = :disposition");
      parameters.put("disposition", asked.disposition().toUpperCase(Locale.ROOT));
    }
    if (asked.kind() != null) {
      where.append(" and cast(l.kind as string) = :kind");
      parameters.put("kind", asked.kind().toUpperCase(Locale.ROOT));
    }
    if (asked.classId() != null) {
      where.append(" and l.classId = :class");
      parameters.put("class", asked.classId());
    }
    if (asked.text() != null && !asked.text().isBlank()) {
      where.append(" and (locate(:text, lower(l.code)) > 0 or locate(:text, lower(l.name)) > 0)");
      parameters.put("text", asked.text().strip().toLowerCase(Locale.ROOT));
    }
    if (asked.dcFrom() != null) {
      where.append(" and l.dc >= :dcFrom");
      parameters.put("dcFrom", asked.dcFrom());
    }
    if (asked.dcTo() != null) {
      where.append(" and l.dc <= :dcTo");
      parameters.put("dcTo", asked.dcTo());
    }
    if (asked.inspected() != null) {
      where.append(" and l.inspection %s :done".formatted(asked.inspected() ? "=" : "<>"));
      parameters.put("done", DeliveryLine.Inspection.DONE);
    }
    if (asked.by() != null && asked.group() != null) {
      where.append(" and %s = :group".formatted(grouping(asked.by())));
      parameters.put("group", asked.group());
    }
    if (after != null) {
      where.append(" and l.position > :after");
      parameters.put("after", after);
    }
    return where.toString();
  }

  private static String severity(String text) {
    try {
      return Severity.valueOf(text.toUpperCase(Locale.ROOT)).name();
    } catch (IllegalArgumentException unknown) {
      throw Refusal.badRequest("severity is hold, query or note");
    }
  }

  public LineView view(DeliveryLine line) {
    RawBundle raw = line.raw();
    Map<String, CellView> cells = new LinkedHashMap<>();
    Map<String, String> notes = new LinkedHashMap<>();
    raw.item()
        .cells()
        .forEach((symbol, cell) -> {
          if (RawItem.isNote(symbol)) {
            notes.put(heading(symbol), cell.text());
          } else if (line.kind.standsAlone()) {
            cells.put(symbol, view(cell, null));
          }
        });
    Completed completed = completed(line);
    completed
        .origins()
        .forEach((symbol, origin) -> {
          if (yields(raw.item().cells().get(symbol))) {
            Value value = completed.tool().values().get(symbol);
            cells.put(symbol, view(Cell.of(value), origin.text()));
          }
        });
    List<StackView> stacks = of(raw, ItemKind.STACK).map(LineLists::stack).toList();
    List<Finding> findings = List.of(json.read(line.findings, Finding[].class));
    return new LineView(
        line.id,
        line.fileNo,
        line.lineNo,
        line.position,
        line.kind.word(),
        line.code,
        line.name,
        line.classId,
        line.disposition.name().toLowerCase(Locale.ROOT),
        line.lookedAt,
        line.allowed,
        line.choice == null ? null : json.read(line.choice, ChoiceView.class),
        line.takenToolId(),
        line.part() ? line.takenId : null,
        cells,
        unitsOfAdded(raw.item(), cells, findings),
        of(raw, ItemKind.CUTTING).map(LineLists::cutting).toList(),
        stacks,
        stacks.stream().flatMap(stack -> stack.parts().stream()).distinct().toList(),
        notes,
        findings,
        line.vendorItem,
        line.inspection == DeliveryLine.Inspection.DONE,
        outline(line, raw, completed).orElse(null));
  }

  /**
   * For what is not written yet, or without a unit: in which unit a number is meant that somebody
   * types there.
   */
  private static Map<String, String> unitsOfAdded(
      RawItem item, Map<String, CellView> cells, List<Finding> findings) {
    Map<String, String> units = new TreeMap<>();
    Stream<String> asked = findings.stream().flatMap(found -> found.properties().stream());
    Stream.concat(cells.keySet().stream(), asked)
        .filter(symbol -> unitless(item.cells().get(symbol)))
        .flatMap(symbol -> Dictionary.standard().find(symbol).stream())
        .filter(property -> property.unit().filter(unit -> unit != Unit.ONE).isPresent())
        .forEach(property ->
            units.put(
                property.symbol(),
                item.unitBeside(property).or(property::unit).orElseThrow().code()));
    return units;
  }

  private static boolean unitless(@Nullable Cell cell) {
    return cell == null || cell.unit().isEmpty();
  }

  /** Findings as lines keep them. */
  String text(List<Finding> findings) {
    return findings.isEmpty() ? "[]" : json.text(findings);
  }

  private static Optional<Outline> outline(DeliveryLine line, RawBundle raw, Completed completed) {
    return line.kind
        .component()
        .map(part -> PartOutline.of(PartReading.interpret(raw.item(), part).component()))
        .orElseGet(() -> Silhouettes.of(completed.tool()));
  }

  /** What belongs to a line, and the line itself where it stands for one of these. */
  private static Stream<RawItem> of(RawBundle raw, ItemKind kind) {
    return raw.item().kind() == kind
        ? Stream.of(raw.item())
        : (kind == ItemKind.STACK ? raw.stacks() : raw.cutting()).stream();
  }

  private static Completed completed(DeliveryLine line) {
    boolean tool = line.kind == ItemKind.CUTTER || line.kind == ItemKind.INSERT;
    return Completed.of(
        tool
            ? StoredTools.tool(line.code, line.name, line.classId, line.cells)
            : Tool.of(line.code, line.name, "", Map.of()));
  }

  private static CuttingView cutting(RawItem item) {
    return new CuttingView(item.line(), views(item));
  }

  private static StackView stack(RawItem item) {
    return new StackView(item.line(), views(item), item.parts());
  }

  private static Map<String, CellView> views(RawItem item) {
    Map<String, CellView> views = new LinkedHashMap<>();
    item.cells().forEach((symbol, cell) -> views.put(symbol, view(cell, null)));
    return views;
  }

  private static String heading(String column) {
    return column.equals(RawItem.NOTE) ? "" : column.substring(RawItem.NOTE.length() + 1);
  }

  /** True for a cell that somebody filled with nothing, or only with what is usual. */
  private static boolean yields(@Nullable Cell written) {
    return written == null || written.text().isBlank() || written.defaulted();
  }

  private static CellView view(Cell cell, @Nullable String implied) {
    return new CellView(
        cell.text(),
        cell.unit().filter(unit -> unit != Unit.ONE).map(Unit::code).orElse(null),
        implied,
        cell.formula().orElse(null));
  }
}
