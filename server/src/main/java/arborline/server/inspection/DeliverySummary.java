package arborline.server.inspection;

import arborline.server.trail.TrailRecord;
import java.util.ArrayList;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Says what came of a delivery of which nothing can be taken. */
@Component
class DeliverySummary {

  private final JdbcClient jdbc;

  DeliverySummary(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  /** What happened to the lines; empty where some are open. */
  String of(long deliveryId) {
    long all =
        jdbc.sql("select lines_read from delivery where id = ?")
            .param(deliveryId)
            .query(Long.class)
            .single();
    if (all == 0) {
      return "the file has no lines under its header: nothing to take";
    }
    return anyOpen(deliveryId) ? "" : skipped(deliveryId);
  }

  private boolean anyOpen(long deliveryId) {
    return jdbc.sql(
            "select exists(select 1 from delivery_line where delivery_id = ? and disposition <> 'SKIPPED')")
        .param(deliveryId)
        .query(Boolean.class)
        .single();
  }

  private String skipped(long deliveryId) {
    long here = count(deliveryId, "already-here");
    long blank = count(deliveryId, "line-blank");
    List<String> sentences = new ArrayList<>();
    if (here > 0) {
      sentences.add(
          "the shop has %s with the same values".formatted(TrailRecord.count((int) here, "tool")));
    }
    if (blank > 0) {
      sentences.add(
          blank == 1
              ? "1 line is blank"
              : "%s are blank".formatted(TrailRecord.count((int) blank, "line")));
    }
    return "nothing to take: " + String.join(", ", sentences);
  }

  private long count(long deliveryId, String finding) {
    return jdbc.sql("select count(*) from line_finding where delivery_id = ? and code = ?")
        .params(deliveryId, finding)
        .query(Long.class)
        .single();
  }
}
