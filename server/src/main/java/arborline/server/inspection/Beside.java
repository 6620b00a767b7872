package arborline.server.inspection;

import arborline.core.inspect.Likeness;
import arborline.core.library.Codes;
import arborline.core.tool.Completed;
import arborline.core.tool.Silhouettes;
import arborline.core.tool.Tool;
import arborline.core.tool.outline.Outline;
import arborline.server.delivery.DeliveryLine;
import arborline.server.delivery.LineRepository;
import arborline.server.support.Refusal;
import arborline.server.tool.StoredTools;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What stands beside a line: the shop's tool under its code, and others that look like it. */
@Service
@Transactional(readOnly = true)
class Beside {

  private static final int CANDIDATES = 200;
  private static final int SHOWN = 4;
  private static final int LIBRARIES = 50;
  private static final BigDecimal NEAR = new BigDecimal("0.005");

  private final LineRepository lines;
  private final LineJudge judge;
  private final JdbcClient jdbc;

  Beside(LineRepository lines, LineJudge judge, JdbcClient jdbc) {
    this.lines = lines;
    this.judge = judge;
    this.jdbc = jdbc;
  }

  /**
   * A tool beside a line.
   *
   * @param toolId of the shop; null for another line of the delivery
   * @param lineId of the delivery; null for a tool of the shop
   * @param sameCode true where it stands under the code of the line
   * @param percent how alike they are, from 0 to 100
   */
  record Neighbour(
      @Nullable Long toolId,
      @Nullable Long lineId,
      String code,
      String name,
      String classId,
      boolean sameCode,
      int percent,
      List<Likeness.Difference> differences,
      @Nullable Outline outline) {}

  /** Those under the same code first, then the most alike. */
  List<Neighbour> of(long deliveryId, long lineId) {
    DeliveryLine line =
        lines
            .findByDeliveryIdAndId(deliveryId, lineId)
            .orElseThrow(() -> Refusal.notFound("there is no such line in the delivery"));
    if (line.part() || !line.kind.standsAlone()) {
      return List.of();
    }
    Tool tool = judge.inspected(line).tool();
    List<Neighbour> found = new ArrayList<>(shop(line, tool));
    found.addAll(delivery(line, tool));
    return found.stream()
        .filter(other -> other.sameCode() || other.percent() >= Likeness.LIKELY)
        .sorted(
            Comparator.comparing(Neighbour::sameCode)
                .reversed()
                .thenComparing(Comparator.comparingInt(Neighbour::percent).reversed()))
        .limit(SHOWN)
        .toList();
  }

  private static Neighbour neighbour(
      @Nullable Long toolId, @Nullable Long lineId, Tool mine, Tool other) {
    Likeness likeness = Likeness.of(mine, other);
    return new Neighbour(
        toolId,
        lineId,
        other.code(),
        other.name(),
        other.toolClass(),
        Codes.key(mine.code()).equals(Codes.key(other.code())),
        likeness.percent(),
        likeness.differences(),
        Silhouettes.of(Completed.of(other).tool()).orElse(null));
  }

  private List<Neighbour> shop(DeliveryLine line, Tool tool) {
    List<Neighbour> found =
        new ArrayList<>(
            neighbours(
                jdbc.sql(
                        SELECT
                            + " where t.id = (select coalesce(c.merged_into, c.id) from tool c"
                            + " where c.code_key = :key)")
                    .param("key", line.codeKey),
                tool));
    List<Long> libraries =
        jdbc.sql("select id from library order by id desc limit " + LIBRARIES)
            .query(Long.class)
            .list();
    for (Long library : line.dc == null ? List.<Long>of() : libraries) {
      found.addAll(
          neighbours(
              jdbc.sql(
                      SELECT
                          + " join entry e on e.tool_id = t.id where e.library_id = :library"
                          + " and e.dc between :least and :most and e.class_id = :class limit "
                          + CANDIDATES)
                  .param("library", library)
                  .param("class", line.classId)
                  .param("least", bound(line, BigDecimal.ONE.subtract(NEAR)))
                  .param("most", bound(line, BigDecimal.ONE.add(NEAR))),
              tool));
    }
    return found.stream()
        .collect(Collectors.toMap(Neighbour::toolId, one -> one, (one, again) -> one))
        .values()
        .stream()
        .toList();
  }

  private static final String SELECT =
      """
      select t.id, t.code, v.name, v.class_id, v.vals
      from tool t join tool_version v on v.id = t.version_id\
      """;

  private static List<Neighbour> neighbours(JdbcClient.StatementSpec tools, Tool mine) {
    return tools
        .query((row, index) ->
            neighbour(
                row.getLong("id"),
                null,
                mine,
                StoredTools.tool(
                    row.getString("code"),
                    row.getString("name"),
                    row.getString("class_id"),
                    row.getString("vals"))))
        .list();
  }

  private static @Nullable BigDecimal bound(DeliveryLine line, BigDecimal factor) {
    return line.dc == null ? null : line.dc.multiply(factor);
  }

  private List<Neighbour> delivery(DeliveryLine line, Tool tool) {
    List<Long> ids =
        jdbc.sql(
                """
                select id from delivery_line
                where delivery_id = :delivery and id <> :line and kind in ('CUTTER', 'INSERT')
                  and (code_key = :key and code_key <> '' or class_id = :class
                    and dc between :least and :most)
                order by position limit %d\
                """
                    .formatted(CANDIDATES))
            .param("delivery", line.deliveryId)
            .param("line", line.id)
            .param("key", line.codeKey)
            .param("class", line.classId)
            .param("least", bound(line, BigDecimal.ONE.subtract(NEAR)))
            .param("most", bound(line, BigDecimal.ONE.add(NEAR)))
            .query(Long.class)
            .list();
    return lines.findByDeliveryIdAndIdIn(line.deliveryId, ids).stream()
        .map(other -> neighbour(null, other.id, tool, judge.inspected(other).tool()))
        .toList();
  }
}
