package arborline.server.library;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Which versions the pinned tools of a list stand at. */
@Component
class ListedVersions {

  private final JdbcClient jdbc;

  ListedVersions(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  /**
   * A tool that a library keeps at a version.
   *
   * @param version number of that one
   * @param newest number of the newest of the tool
   */
  public record Pinned(int version, int newest) {}

  /** By the entries of those that are pinned. */
  Map<Long, Pinned> of(List<ListedTool> listed) {
    List<Long> ids = listed.stream().filter(ListedTool::pinned).map(ListedTool::id).toList();
    Map<Long, Pinned> pinned = new HashMap<>();
    if (!ids.isEmpty()) {
      jdbc.sql(
              """
              select e.id, v.version_no, t.version_no from entry e
              join tool_version v on v.id = e.version_id join tool t on t.id = e.tool_id
              where e.id in (:ids)\
              """)
          .param("ids", ids)
          .query(row -> {
            pinned.put(row.getLong(1), new Pinned(row.getInt(2), row.getInt(3)));
          });
    }
    return pinned;
  }
}
