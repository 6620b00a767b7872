package arborline.server.inspection;

import arborline.core.finding.Finding;
import arborline.server.support.Bulk;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/** Keeps the findings of lines beside them, so that lines can be grouped by them. */
@Component
class LineFindings {

  private final JdbcTemplate template;
  private final Bulk bulk;

  LineFindings(JdbcTemplate template, Bulk bulk) {
    this.template = template;
    this.bulk = bulk;
  }

  /** Replaces the findings of lines that were judged anew, by line id. */
  void replace(long deliveryId, Map<Long, List<Finding>> findings) {
    if (!findings.isEmpty()) {
      bulk.each("delete from line_finding where line_id = ?", findings.keySet());
      insert(deliveryId, findings);
    }
  }

  /** Keeps the findings of new lines, by line id. */
  void insert(long deliveryId, Map<Long, List<Finding>> findings) {
    List<Object[]> rows = new ArrayList<>();
    findings.forEach((lineId, found) ->
        found.stream()
            .collect(Collectors.toMap(Finding::code, finding -> finding, (one, other) -> one))
            .values()
            .forEach(finding -> rows.add(row(deliveryId, lineId, finding))));
    if (!rows.isEmpty()) {
      template.batchUpdate(
          "insert into line_finding"
              + " (line_id, code, kind, delivery_id, severity, repair_id, repair_title)"
              + " values (?, ?, ?, ?, ?, ?, ?)",
          rows);
    }
  }

  private static Object[] row(long deliveryId, long lineId, Finding finding) {
    return new Object[] {
      lineId,
      finding.code(),
      finding.kind(),
      deliveryId,
      finding.severity().name(),
      finding.repair().map(repair -> repair.id()).orElse(null),
      finding.repair().map(repair -> repair.title()).orElse(null)
    };
  }
}
