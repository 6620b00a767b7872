package arborline.server.support;

import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Asks long work to stop, whichever server instance does it; heard at once. */
@Component
public class StopRequests {

  private final JdbcClient jdbc;

  StopRequests(@Background JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  public void ask(String work) {
    jdbc.sql("insert ignore into stop_request (work) values (?)").param(work).update();
  }

  public boolean asked(String work) {
    return jdbc.sql("select count(*) from stop_request where work = ?")
            .param(work)
            .query(Integer.class)
            .single()
        > 0;
  }

  public void clear(String work) {
    jdbc.sql("delete from stop_request where work = ?").param(work).update();
  }
}
