package arborline.server.inspection;

import arborline.core.finding.FindingKind;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Finds the lines that a change is for, a thousand at a time in the order of their ids. */
@Component
class FoundLines {

  private static final int CHUNK = 1000;
  private static final String ONE_REPAIR =
      "and (repair_id = :repair or repair_id is not null and kind = :repair)";

  private final JdbcClient jdbc;

  FoundLines(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  /** What a repair of a finding does, in words; empty where no line offers it. */
  Optional<String> title(long deliveryId, FindingChoice choice, String repair) {
    return concerned("repair_title", deliveryId, choice, ONE_REPAIR, 0)
        .param("repair", repair)
        .param("most", 1)
        .query(String.class)
        .optional()
        .map(title -> FindingKind.orderOfAll(repair).orElse(title));
  }

  /** The next lines that offer a repair for a finding; the kind of it stands for all they offer. */
  List<Long> offering(long deliveryId, FindingChoice choice, String repair, long after) {
    return concerned("distinct line_id", deliveryId, choice, ONE_REPAIR, after)
        .param("repair", repair)
        .param("most", CHUNK)
        .query(Long.class)
        .list();
  }

  /** The next lines that have a finding, or one of a kind. */
  List<Long> having(long deliveryId, FindingChoice choice, long after) {
    return concerned("distinct line_id", deliveryId, choice, "", after)
        .param("most", CHUNK)
        .query(Long.class)
        .list();
  }

  private JdbcClient.StatementSpec concerned(
      String what, long deliveryId, FindingChoice choice, String condition, long after) {
    return jdbc.sql(
            """
            select %s from line_finding
            where delivery_id = :delivery and kind = :kind and (code = :finding or kind = :finding)
              and severity = coalesce(:severity, severity) and line_id > :after %s
            order by line_id limit :most\
            """
                .formatted(what, condition))
        .param("delivery", deliveryId)
        .param("kind", FindingKind.of(choice.finding()))
        .param("finding", choice.finding())
        .param("severity", choice.severity() == null ? null : choice.severity().name())
        .param("after", after);
  }

  /** The next of lines that somebody named. */
  static List<Long> among(List<Long> named, long after) {
    return named.stream().filter(id -> id > after).sorted().distinct().limit(CHUNK).toList();
  }
}
