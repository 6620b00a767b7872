package arborline.server.machine;

import arborline.core.use.ToolUse;
import arborline.server.support.Json;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Uses that somebody chose, in the database; one counts as long as its tool stays in its place. */
@Component
class UseStore {

  private final JdbcClient jdbc;
  private final Json json;

  UseStore(JdbcClient jdbc, Json json) {
    this.jdbc = jdbc;
    this.json = json;
  }

  private record Row(long toolId, String place, String way) {}

  /** Uses at a machine, by tool and place as {@link #key} says. */
  Map<String, ToolUse> all(String machine) {
    Map<String, ToolUse> all = new HashMap<>();
    jdbc.sql("select tool_id, place, way from plan_use where machine_id = ?")
        .param(machine)
        .query(Row.class)
        .list()
        .forEach(
            row -> all.put(key(row.toolId(), row.place()), json.read(row.way(), ToolUse.class)));
    return all;
  }

  static String key(long tool, String place) {
    return tool + "@" + place;
  }

  /** What is kept of a tool in a place, as it is written; empty where it is the usual use. */
  Optional<String> written(String machine, long tool, String place) {
    return jdbc.sql("select way from plan_use where machine_id = ? and tool_id = ? and place = ?")
        .params(machine, tool, place)
        .query(String.class)
        .optional();
  }

  /**
   * Keeps a use.
   *
   * @param way as it is written; null for the usual use
   */
  void write(String machine, long tool, String place, @Nullable String way) {
    jdbc.sql("delete from plan_use where machine_id = ? and place = ?")
        .params(machine, place)
        .update();
    if (way != null) {
      jdbc.sql("insert into plan_use (machine_id, tool_id, place, way) values (?, ?, ?, ?)")
          .params(machine, tool, place, way)
          .update();
    }
  }
}
