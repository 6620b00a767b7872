package arborline.server.exchange;

import arborline.core.tool.Tool;
import arborline.server.tool.StoredTools;
import java.util.Collection;
import java.util.HashSet;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** The inserts of the shop that tools take by their designation, for whoever writes a file. */
@Component
class InsertsOfTools {

  private final JdbcClient jdbc;

  InsertsOfTools(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  /** An insert of the shop. */
  record Insert(long id, String key, Tool tool) {}

  /** Those with these keys, by the id of their tool. */
  SortedMap<Long, Insert> byKeys(Collection<String> keys) {
    SortedMap<Long, Insert> found = new TreeMap<>();
    if (keys.isEmpty()) {
      return found;
    }
    jdbc.sql(
            """
            select t.id, t.code, v.insert_key, v.name, v.class_id, v.vals
            from tool_version v join tool t on t.id = v.tool_id and t.version_id = v.id
            where v.insert_key in (:keys) and v.class_id = 'insert'\
            """)
        .param("keys", keys)
        .query(row -> {
          found.put(
              row.getLong("id"),
              new Insert(
                  row.getLong("id"),
                  row.getString("insert_key"),
                  StoredTools.tool(
                      row.getString("code"),
                      row.getString("name"),
                      row.getString("class_id"),
                      row.getString("vals"))));
        });
    return found;
  }

  /** Those of these tools that a library holds. */
  Set<Long> heldBy(long libraryId, Collection<Long> toolIds) {
    return toolIds.isEmpty()
        ? Set.of()
        : new HashSet<>(
            jdbc.sql("select tool_id from entry where library_id = :library and tool_id in (:ids)")
                .param("library", libraryId)
                .param("ids", toolIds)
                .query(Long.class)
                .list());
  }
}
