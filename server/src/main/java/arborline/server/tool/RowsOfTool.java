package arborline.server.tool;

import arborline.server.support.Json;
import arborline.server.trail.TrailRecord;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;

/** Rows of a table that name their tool in a column, and follow it by that alone. */
public final class RowsOfTool implements ToolReference {

  private final JdbcClient jdbc;
  private final Json json;
  private final Rows rows;

  /**
   * Which rows these are.
   *
   * @param name under which what followed is kept
   * @param column that names the tool
   * @param which condition in SQL; {@code :into} is the tool that they would follow
   * @param noun what one of them is called
   */
  public record Rows(String name, String table, String column, String which, String noun) {}

  public RowsOfTool(JdbcClient jdbc, Json json, Rows rows) {
    this.jdbc = jdbc;
    this.json = json;
    this.rows = rows;
  }

  /** Identities of rows. */
  record Moved(List<Long> ids) {}

  @Override
  public String name() {
    return rows.name();
  }

  @Override
  public Followed follow(CurrentTool from, CurrentTool into) {
    List<Long> ids =
        jdbc.sql(
                "select id from %s where %s = :from and (%s) and :into > 0 order by id"
                    .formatted(rows.table(), rows.column(), rows.which()))
            .param("from", from.id())
            .param("into", into.id())
            .query(Long.class)
            .list();
    if (ids.isEmpty()) {
      return Followed.NOTHING;
    }
    name(ids, into.id());
    return new Followed(
        json.text(new Moved(ids)),
        List.of(
            "%s of %s goes to %s"
                .formatted(TrailRecord.count(ids.size(), rows.noun()), from.code(), into.code())));
  }

  @Override
  public void goBack(CurrentTool from, CurrentTool into, String kept) {
    List<Long> ids = json.read(kept, Moved.class).ids();
    List<Long> there =
        jdbc.sql(
                "select id from %s where %s = :into and id in (:ids)"
                    .formatted(rows.table(), rows.column()))
            .param("into", into.id())
            .param("ids", ids)
            .query(Long.class)
            .list();
    if (!there.isEmpty()) {
      name(there, from.id());
    }
  }

  private void name(List<Long> ids, long toolId) {
    jdbc.sql("update %s set %s = :tool where id in (:ids)".formatted(rows.table(), rows.column()))
        .param("tool", toolId)
        .param("ids", ids)
        .update();
  }
}
