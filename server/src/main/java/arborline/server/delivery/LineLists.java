package arborline.server.delivery;

import arborline.core.exchange.Cell;
import arborline.core.exchange.CellsJson;
import arborline.core.finding.Finding;
import arborline.core.finding.Severity;
import arborline.core.quantity.Unit;
import arborline.core.tool.Completed;
import arborline.core.tool.Silhouettes;
import arborline.core.tool.Value;
import arborline.core.tool.outline.Outline;
import arborline.server.support.Json;
import arborline.server.support.Refusal;
import arborline.server.support.Slice;
import arborline.server.tool.StoredTools;
import jakarta.persistence.EntityManager;
import jakarta.persistence.TypedQuery;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.SortedMap;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Lists the lines of a delivery. */
@Service
@Transactional(readOnly = true)
public class LineLists {

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
   */
  record CellView(String text, @Nullable String unit, @Nullable String implied) {}

  /**
   * A line for showing.
   *
   * @param file which file of the delivery, from 0
   * @param line where it starts in that file, from 1
   * @param position its place among all lines of the delivery
   * @param disposition {@code pass}, {@code query}, {@code hold} or {@code skipped}
   */
  public record LineView(
      long id,
      int file,
      long line,
      long position,
      String code,
      String name,
      String classId,
      String disposition,
      boolean lookedAt,
      @Nullable Long takenToolId,
      Map<String, CellView> cells,
      List<Finding> findings,
      @Nullable Outline outline) {}

  Slice<LineView> lines(
      long deliveryId,
      @Nullable String severity,
      @Nullable String finding,
      @Nullable String disposition,
      @Nullable Long after,
      int limit) {
    StringBuilder where = new StringBuilder(" where l.deliveryId = :delivery");
    Map<String, Object> parameters = new LinkedHashMap<>();
    parameters.put("delivery", deliveryId);
    if (severity != null || finding != null) {
      where.append(" and exists (select 1 from LineFinding f where f.lineId = l.id");
      if (severity != null) {
        where.append(" and f.severity = :severity");
        parameters.put("severity", severity(severity));
      }
      if (finding != null) {
        where.append(" and (f.code = :finding or f.kind = :finding)");
        parameters.put("finding", finding);
      }
      where.append(')');
    }
    if (disposition != null) {
      where.append(" and cast(l.disposition as string) = :disposition");
      parameters.put("disposition", disposition.toUpperCase(Locale.ROOT));
    }
    if (after != null) {
      where.append(" and l.position > :after");
      parameters.put("after", after);
    }
    TypedQuery<DeliveryLine> query =
        entities.createQuery(
            "select l from DeliveryLine l" + where + " order by l.position", DeliveryLine.class);
    parameters.forEach(query::setParameter);
    List<LineView> items =
        query.setMaxResults(limit + 1).getResultStream().map(this::view).toList();
    return Slice.cut(items, limit, line -> Long.toString(line.position()));
  }

  private static String severity(String text) {
    try {
      return Severity.valueOf(text.toUpperCase(Locale.ROOT)).name();
    } catch (IllegalArgumentException unknown) {
      throw Refusal.badRequest("severity is hold, query or note");
    }
  }

  public LineView view(DeliveryLine line) {
    SortedMap<String, Cell> written = CellsJson.fromText(line.cells);
    Map<String, CellView> cells = new LinkedHashMap<>();
    written.forEach((symbol, cell) -> cells.put(symbol, view(cell, null)));
    Completed completed =
        Completed.of(StoredTools.tool(line.code, line.name, line.classId, line.cells));
    completed
        .origins()
        .forEach((symbol, origin) -> {
          if (yields(written.get(symbol))) {
            Value value = completed.tool().values().get(symbol);
            cells.put(symbol, view(Cell.of(value), origin.text()));
          }
        });
    return new LineView(
        line.id,
        line.fileNo,
        line.lineNo,
        line.position,
        line.code,
        line.name,
        line.classId,
        line.disposition.name().toLowerCase(Locale.ROOT),
        line.lookedAt,
        line.takenToolId,
        cells,
        List.of(json.read(line.findings, Finding[].class)),
        Silhouettes.of(completed.tool()).orElse(null));
  }

  /** True for a cell that somebody filled with nothing, or only with what is usual. */
  private static boolean yields(@Nullable Cell written) {
    return written == null || written.text().isBlank() || written.defaulted();
  }

  private static CellView view(Cell cell, @Nullable String implied) {
    return new CellView(
        cell.text(),
        cell.unit().filter(unit -> unit != Unit.ONE).map(Unit::code).orElse(null),
        implied);
  }
}
