package arborline.server.account;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Where an account is signed in. */
@Component
class Sessions {

  private final JdbcClient jdbc;

  Sessions(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  /** In how many browsers people are signed in, by name. */
  Map<String, Integer> counts() {
    Map<String, Integer> counts = new HashMap<>();
    jdbc.sql(
            """
            select principal_name, count(*) from SPRING_SESSION where principal_name is not null
            group by principal_name\
            """)
        .query(row -> {
          counts.put(row.getString(1), row.getInt(2));
        });
    return counts;
  }

  /**
   * Signs somebody out everywhere.
   *
   * @param but id of the one session that stays; null for none
   * @return from how many browsers
   */
  int end(String name, @Nullable String but) {
    return jdbc.sql("delete from SPRING_SESSION where principal_name = ? and session_id <> ?")
        .params(name, Optional.ofNullable(but).orElse(""))
        .update();
  }
}
