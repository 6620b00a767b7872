package arborline.server.tool;

import java.util.List;
import java.util.Map;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Copies of tools that are trusted as far as these; always inside a caller's transaction. */
@Component
public class TrustedCopies {

  private static final int CHUNK = 500;

  private final JdbcTemplate jdbc;
  private final ApplicationEventPublisher events;

  TrustedCopies(JdbcTemplate jdbc, ApplicationEventPublisher events) {
    this.jdbc = jdbc;
    this.events = events;
  }

  /**
   * Has copies trusted as their originals, with who brought those there and when.
   *
   * @param originals by copy; each a tool that stands as it was copied
   */
  @Transactional(propagation = Propagation.MANDATORY)
  public void trust(Map<Long, Long> originals) {
    jdbc.batchUpdate(
        """
        update tool c join tool o on o.id = ?
        set c.standing = o.standing, c.standing_by = o.standing_by, c.standing_at = o.standing_at
        where c.id = ?\
        """,
        List.copyOf(originals.entrySet()),
        CHUNK,
        (statement, copy) -> {
          statement.setLong(1, copy.getValue());
          statement.setLong(2, copy.getKey());
        });
    events.publishEvent(new StandingChanged(List.copyOf(originals.keySet())));
  }
}
