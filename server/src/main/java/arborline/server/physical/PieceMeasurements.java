package arborline.server.physical;

import arborline.core.table.TableField;
import java.math.BigDecimal;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Instant;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.TreeSet;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** What was measured of pieces, in the database. */
@Component
class PieceMeasurements {

  private static final int SHOWN = 200;
  private static final String COLUMNS =
      """
      select physical_id, field, size, nominal, entered, gauge, measured_at, measured_by, regrinds,
        although
      from physical_measurement\s\
      """;

  private final JdbcClient jdbc;

  PieceMeasurements(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  private static PieceMeasurement row(ResultSet row, int index) throws SQLException {
    String nominal = row.getString("nominal");
    return new PieceMeasurement(
        row.getLong("physical_id"),
        TableField.valueOf(row.getString("field")),
        new BigDecimal(row.getString("size")),
        nominal == null ? null : new BigDecimal(nominal),
        row.getString("entered"),
        Gauge.valueOf(row.getString("gauge")),
        row.getTimestamp("measured_at").toInstant(),
        row.getString("measured_by"),
        row.getInt("regrinds"),
        row.getString("although"));
  }

  void add(PieceMeasurement measured) {
    jdbc.sql(
            """
            insert into physical_measurement
              (physical_id, field, size, nominal, entered, gauge, measured_at, measured_by,
                regrinds, although)
            values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?)\
            """)
        .params(
            measured.pieceId(),
            measured.field().id(),
            measured.size().toPlainString(),
            measured.nominal() == null ? null : measured.nominal().toPlainString(),
            measured.entered(),
            measured.gauge().name(),
            Timestamp.from(measured.at()),
            measured.by(),
            measured.regrinds(),
            measured.although())
        .update();
  }

  /** The last one of every size, by piece and field. */
  Map<Long, Map<TableField, PieceMeasurement>> last(Collection<Long> pieces) {
    Map<Long, Map<TableField, PieceMeasurement>> last = new HashMap<>();
    if (pieces.isEmpty()) {
      return last;
    }
    jdbc.sql(
            COLUMNS
                + """
                where id in (
                  select max(id) from physical_measurement where physical_id in (:pieces)
                  group by physical_id, field)\
                """)
        .param("pieces", new TreeSet<>(pieces))
        .query(PieceMeasurements::row)
        .list()
        .forEach(measured ->
            last.computeIfAbsent(measured.pieceId(), id -> new TreeMap<>())
                .put(measured.field(), measured));
    return last;
  }

  /** All of a piece, the newest first. */
  List<PieceMeasurement> of(long piece) {
    return jdbc.sql(COLUMNS + " where physical_id = ? order by id desc limit " + SHOWN)
        .param(piece)
        .query(PieceMeasurements::row)
        .list();
  }

  /** What somebody measured last of other pieces, since a moment, of one size. */
  Optional<PieceMeasurement> justBefore(String by, TableField field, long except, Instant since) {
    return jdbc.sql(
            COLUMNS
                + """
                where measured_by = ? and field = ? and physical_id <> ? and measured_at >= ?
                order by id desc limit 1\
                """)
        .params(by, field.id(), except, Timestamp.from(since))
        .query(PieceMeasurements::row)
        .optional();
  }

  /** Sizes that hold of a piece now, mm: the last ones, none from before it was ground again. */
  Map<TableField, String> sizes(PhysicalTool piece) {
    Map<TableField, String> sizes = new TreeMap<>();
    last(List.of(piece.id())).getOrDefault(piece.id(), Map.of()).values().stream()
        .filter(measured -> measured.holdsOf(piece))
        .forEach(measured -> sizes.put(measured.field(), measured.size().toPlainString()));
    return sizes;
  }
}
