package arborline.server.acceptance;

import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Which rows of other modules came with a taking. */
@Component
class TakenPieces {

  /** Tools that the shop had in a library already and that only got what belongs to them. */
  static final String STAYING = "staying";

  private final JdbcClient jdbc;

  TakenPieces(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  void note(long deliveryId, int takeNo, String kind, List<Long> rows) {
    for (Long row : rows) {
      jdbc.sql("insert into taken_piece (delivery_id, take_no, kind, row_id) values (?, ?, ?, ?)")
          .params(deliveryId, takeNo, kind, row)
          .update();
    }
  }

  List<Long> of(long deliveryId, int takeNo, String kind) {
    return jdbc.sql(
            "select row_id from taken_piece where delivery_id = ? and take_no = ? and kind = ?")
        .params(deliveryId, takeNo, kind)
        .query(Long.class)
        .list();
  }

  /** Notes the version that a row had before. */
  void version(long deliveryId, int takeNo, String kind, long row, int before) {
    jdbc.sql(
            """
            insert into taken_piece (delivery_id, take_no, kind, row_id, version_no)
            values (?, ?, ?, ?, ?)\
            """)
        .params(deliveryId, takeNo, kind, row, before)
        .update();
  }

  /** The versions that rows had before, by row. */
  Map<Long, Integer> versions(long deliveryId, int takeNo, String kind) {
    Map<Long, Integer> versions = new TreeMap<>();
    jdbc.sql(
            """
            select row_id, version_no from taken_piece
            where delivery_id = ? and take_no = ? and kind = ?\
            """)
        .params(deliveryId, takeNo, kind)
        .query(row -> {
          versions.put(row.getLong("row_id"), row.getInt("version_no"));
        });
    return versions;
  }

  void forget(long deliveryId, int takeNo) {
    jdbc.sql("delete from taken_piece where delivery_id = ? and take_no = ?")
        .params(deliveryId, takeNo)
        .update();
  }
}
