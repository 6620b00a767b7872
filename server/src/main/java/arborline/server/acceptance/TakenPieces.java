package arborline.server.acceptance;

import java.util.List;
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

  void forget(long deliveryId, int takeNo) {
    jdbc.sql("delete from taken_piece where delivery_id = ? and take_no = ?")
        .params(deliveryId, takeNo)
        .update();
  }
}
