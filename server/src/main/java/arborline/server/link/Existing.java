package arborline.server.link;

import arborline.server.support.Refusal;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Whether something that is asked for is there. */
@Component
class Existing {

  private final JdbcClient jdbc;

  Existing(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  /**
   * Refuses what is not there.
   *
   * @param from table and condition, with {@code :id}
   * @param what it is called in the refusal
   */
  Object need(String from, Object id, String what) {
    if (jdbc.sql("select count(*) from " + from).param("id", id).query(Long.class).single() == 0) {
      throw Refusal.notFound("there is no %s %s".formatted(what, id));
    }
    return id;
  }
}
