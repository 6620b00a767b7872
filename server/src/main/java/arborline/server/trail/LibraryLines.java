package arborline.server.trail;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Set;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Lines of the trail that changed a library, and can be taken back. */
@Component
public class LibraryLines {

  private final JdbcClient jdbc;

  LibraryLines(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  /** What was done to a library: {@code text} is a sentence without its subject. */
  public record LibraryLine(long id, Instant at, String who, String text) {}

  /** Keeps which libraries a line changed. */
  @Transactional(propagation = Propagation.MANDATORY)
  void changed(long line, Collection<Long> libraries) {
    libraries.forEach(library ->
        jdbc.sql("insert into trail_library (library_id, trail_id) values (?, ?)")
            .params(library, line)
            .update());
  }

  /** The libraries that a line changed. */
  Set<Long> changedBy(long line) {
    return Set.copyOf(
        jdbc.sql("select library_id from trail_library where trail_id = ?")
            .param(line)
            .query(Long.class)
            .list());
  }

  /** The newest first, without those that were taken back. */
  @Transactional(readOnly = true)
  public List<LibraryLine> of(long libraryId, int most) {
    return jdbc.sql(
            """
            select t.id, t.happened_at, t.who, t.text from trail_library l
            join trail_entry t on t.id = l.trail_id
            where l.library_id = ? and t.undone_by is null
            order by t.happened_at desc, t.id desc limit ?\
            """)
        .params(libraryId, most)
        .query((row, index) ->
            new LibraryLine(
                row.getLong(1),
                row.getTimestamp(2).toInstant(),
                row.getString(3),
                row.getString(4)))
        .list();
  }
}
