package arborline.server.delivery;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Counts the lines of a delivery by where they ended up. */
@Component
public class Counts {

  private final JdbcClient jdbc;

  Counts(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  /**
   * Read is always the sum of pass, query, hold and skipped; taken lines are among those.
   *
   * @param others lines that may enter now and are no tools: parts, stacks, cutting data
   * @param asked lines that wait for being held against their models
   * @param left lines that were not held against their models, because somebody stopped it
   */
  public record LineCounts(
      long read,
      long pass,
      long query,
      long hold,
      long skipped,
      long taken,
      long others,
      long asked,
      long left) {}

  public LineCounts of(long deliveryId) {
    Map<String, Long> counts = new HashMap<>();
    long[] taken = {0};
    long[] others = {0};
    long[] asked = {0};
    long[] left = {0};
    jdbc.sql(
            """
            select disposition, count(*) as lines_there, count(taken_id) as lines_taken,
              sum(disposition = 'PASS' and taken_id is null
                and inspection = 'DONE' and kind not in ('CUTTER', 'INSERT')) as others_open,
              sum(inspection = 'ASKED') as lines_asked, sum(inspection = 'LEFT') as lines_left
            from delivery_line where delivery_id = ? group by disposition\
            """)
        .param(deliveryId)
        .query(row -> {
          counts.put(row.getString("disposition"), row.getLong("lines_there"));
          taken[0] += row.getLong("lines_taken");
          others[0] += row.getLong("others_open");
          asked[0] += row.getLong("lines_asked");
          left[0] += row.getLong("lines_left");
        });
    return new LineCounts(
        counts.values().stream().mapToLong(Long::longValue).sum(),
        counts.getOrDefault("PASS", 0L),
        counts.getOrDefault("QUERY", 0L),
        counts.getOrDefault("HOLD", 0L),
        counts.getOrDefault("SKIPPED", 0L),
        taken[0],
        others[0],
        asked[0],
        left[0]);
  }

  /**
   * Asks for lines to be held against their models; false where there are none.
   *
   * @param lineIds the lines; null for all that were not
   */
  boolean askInspection(long deliveryId, @Nullable List<Long> lineIds) {
    String which = lineIds == null ? "inspection <> 'DONE'" : "id in (:lines)";
    List<Long> ids = lineIds == null || lineIds.isEmpty() ? List.of(0L) : lineIds;
    return jdbc.sql(
                """
                update delivery_line set inspection = 'ASKED'
                where delivery_id = :delivery and taken_id is null and %s\
                """
                    .formatted(which))
            .param("delivery", deliveryId)
            .params(lineIds == null ? Map.of() : Map.of("lines", ids))
            .update()
        > 0;
  }
}
