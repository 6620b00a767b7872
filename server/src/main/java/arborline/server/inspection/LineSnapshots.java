package arborline.server.inspection;

import arborline.server.support.Refusal;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Keeps what lines were before a change, and brings that back. */
@Component
class LineSnapshots {

  private final JdbcClient jdbc;

  LineSnapshots(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  /** A number for the next change of lines of a delivery. */
  int next(long deliveryId) {
    return jdbc.sql(
            """
            select coalesce(max(change_no), 0) + 1 from delivery_line_before
            where delivery_id = ?\
            """)
        .param(deliveryId)
        .query(Integer.class)
        .single();
  }

  /** Keeps lines as they stand in the database now. */
  void keep(long deliveryId, int changeNo, List<Long> lineIds) {
    jdbc.sql(
            """
            insert into delivery_line_before
              (delivery_id, change_no, line_id, cells, reading_findings, looked_at, choice, allowed,
                kind, stacks, stacks_kept, cutting)
            select delivery_id, :change, id, cells, reading_findings, looked_at, choice, allowed,
              kind, stacks, true, cutting
            from delivery_line where delivery_id = :delivery and id in (:lines)\
            """)
        .param("change", changeNo)
        .param("delivery", deliveryId)
        .param("lines", lineIds)
        .update();
  }

  /** Refuses where a change cannot be taken back. */
  void check(long deliveryId, int changeNo) {
    if (ids(deliveryId, changeNo, 0, 1).isEmpty()) {
      throw Refusal.conflict("the delivery was read again since: there is nothing to take back");
    }
    if (any("l.taken_id is not null", deliveryId, changeNo)) {
      throw Refusal.conflict("lines of this change were taken since; take that back first");
    }
    String later =
        """
        exists(select 1 from delivery_line_before n
          where n.line_id = b.line_id and n.change_no > b.change_no)\
        """;
    if (any(later, deliveryId, changeNo)) {
      throw Refusal.conflict(
          "lines of this change were changed again since; take the later change back first");
    }
  }

  private boolean any(String condition, long deliveryId, int changeNo) {
    return jdbc.sql(
            """
            select exists(select 1 from delivery_line_before b
              join delivery_line l on l.id = b.line_id
              where b.delivery_id = ? and b.change_no = ? and %s)\
            """
                .formatted(condition))
        .params(deliveryId, changeNo)
        .query(Boolean.class)
        .single();
  }

  /** The next lines of a change behind one of them, in the order of their ids. */
  List<Long> ids(long deliveryId, int changeNo, long after, int limit) {
    return jdbc.sql(
            """
            select line_id from delivery_line_before
            where delivery_id = ? and change_no = ? and line_id > ? order by line_id limit ?\
            """)
        .params(deliveryId, changeNo, after, limit)
        .query(Long.class)
        .list();
  }

  /** Gives lines back what was kept of them. */
  void bringBack(long deliveryId, int changeNo, List<Long> lineIds) {
    jdbc.sql(
            """
            update delivery_line l join delivery_line_before b
              on b.delivery_id = :delivery and b.change_no = :change and b.line_id = l.id
            set l.cells = b.cells, l.reading_findings = b.reading_findings,
              l.looked_at = b.looked_at, l.choice = b.choice, l.allowed = b.allowed,
              l.kind = coalesce(b.kind, l.kind),
              l.stacks = if(b.stacks_kept, b.stacks, l.stacks),
              l.cutting = if(b.stacks_kept, b.cutting, l.cutting)
            where l.id in (:lines)\
            """)
        .param("delivery", deliveryId)
        .param("change", changeNo)
        .param("lines", lineIds)
        .update();
  }

  /** Forgets a change that was taken back. */
  void forget(long deliveryId, int changeNo) {
    jdbc.sql("delete from delivery_line_before where delivery_id = ? and change_no = ?")
        .params(deliveryId, changeNo)
        .update();
  }
}
