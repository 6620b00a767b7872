package arborline.server.inspection;

import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Finds the lines that a change is for, a thousand at a time in the order of their ids. */
@Component
class FoundLines {

  private static final int CHUNK = 1000;

  private final JdbcClient jdbc;

  FoundLines(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  /** What a repair of a finding does, in words; empty where no line offers it. */
  Optional<String> title(long deliveryId, String finding, String repair) {
    return jdbc.sql(
            """
            select repair_title from line_finding
            where delivery_id = ? and code = ? and repair_id = ? limit 1\
            """)
        .params(deliveryId, finding, repair)
        .query(String.class)
        .optional();
  }

  /** The next lines that offer a repair for a finding. */
  List<Long> offering(long deliveryId, String finding, String repair, long after) {
    return jdbc.sql(
            """
            select line_id from line_finding
            where delivery_id = ? and code = ? and repair_id = ? and line_id > ?
            order by line_id limit ?\
            """)
        .params(deliveryId, finding, repair, after, CHUNK)
        .query(Long.class)
        .list();
  }

  /** The next lines that have a finding. */
  List<Long> having(long deliveryId, String finding, long after) {
    return jdbc.sql(
            """
            select line_id from line_finding
            where delivery_id = ? and code = ? and line_id > ? order by line_id limit ?\
            """)
        .params(deliveryId, finding, after, CHUNK)
        .query(Long.class)
        .list();
  }

  /** The next of lines that somebody named. */
  static List<Long> among(List<Long> named, long after) {
    return named.stream().filter(id -> id > after).sorted().distinct().limit(CHUNK).toList();
  }
}
