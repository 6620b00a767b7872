package arborline.server.delivery;

import java.util.HashMap;
import java.util.Map;
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
   */
  public record LineCounts(
      long read, long pass, long query, long hold, long skipped, long taken, long others) {}

  public LineCounts of(long deliveryId) {
    Map<String, Long> counts = new HashMap<>();
    long[] taken = {0};
    long[] others = {0};
    jdbc.sql(
            """
            select disposition, count(*) as lines_there, count(taken_id) as lines_taken,
              sum(disposition = 'PASS' and taken_id is null
                and kind not in ('CUTTER', 'INSERT')) as others_open
            from delivery_line where delivery_id = ? group by disposition\
            """)
        .param(deliveryId)
        .query(row -> {
          counts.put(row.getString("disposition"), row.getLong("lines_there"));
          taken[0] += row.getLong("lines_taken");
          others[0] += row.getLong("others_open");
        });
    return new LineCounts(
        counts.values().stream().mapToLong(Long::longValue).sum(),
        counts.getOrDefault("PASS", 0L),
        counts.getOrDefault("QUERY", 0L),
        counts.getOrDefault("HOLD", 0L),
        counts.getOrDefault("SKIPPED", 0L),
        taken[0],
        others[0]);
  }
}
