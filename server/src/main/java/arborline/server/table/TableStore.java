package arborline.server.table;

import arborline.core.table.ControlTable;
import arborline.core.table.TableEntry;
import arborline.server.account.Actor;
import arborline.server.support.Json;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Instant;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Keeps readings, writings and the agreed state of tool tables. */
@Component
class TableStore {

  private final JdbcClient jdbc;
  private final Json json;
  private final Clock clock;

  TableStore(JdbcClient jdbc, Json json, Clock clock) {
    this.jdbc = jdbc;
    this.json = json;
    this.clock = clock;
  }

  /** A control's table as it was read at one time. */
  record Reading(long id, Instant at, ControlTable table) {}

  Reading keep(String machineId, ControlTable table) {
    Instant now = Instant.now(clock);
    jdbc.sql(
            "insert into table_reading (machine_id, read_at, read_by, content) values (?, ?, ?, ?)")
        .params(machineId, Timestamp.from(now), Actor.name(), json.text(table))
        .update();
    long id = jdbc.sql("select last_insert_id()").query(Long.class).single();
    return new Reading(id, now, table);
  }

  Optional<Reading> reading(String machineId, long id) {
    return jdbc.sql(
            "select id, read_at, content from table_reading where machine_id = ? and id = ?")
        .params(machineId, id)
        .query((row, index) -> reading(row))
        .optional();
  }

  Optional<Reading> latest(String machineId) {
    return jdbc.sql(
            """
            select id, read_at, content from table_reading
            where machine_id = ? order by id desc limit 1\
            """)
        .param(machineId)
        .query((row, index) -> reading(row))
        .optional();
  }

  private Reading reading(java.sql.ResultSet row) throws java.sql.SQLException {
    return new Reading(
        row.getLong("id"),
        row.getTimestamp("read_at").toInstant(),
        json.read(row.getString("content"), ControlTable.class));
  }

  Map<String, TableEntry> agreed(String machineId) {
    Map<String, TableEntry> agreed = new HashMap<>();
    jdbc.sql("select place, fields from agreed_place where machine_id = ?")
        .param(machineId)
        .query(row -> {
          agreed.put(row.getString("place"), json.read(row.getString("fields"), TableEntry.class));
        });
    return agreed;
  }

  void agree(String machineId, Map<String, TableEntry> entries) {
    entries.forEach((place, entry) ->
        jdbc.sql("replace into agreed_place (machine_id, place, fields) values (?, ?, ?)")
            .params(machineId, place, json.text(entry))
            .update());
  }

  void written(String machineId, String state, Object content) {
    jdbc.sql(
            """
            insert into table_write (machine_id, written_at, written_by, state, content)
            values (?, ?, ?, ?, ?)\
            """)
        .params(
            machineId, Timestamp.from(Instant.now(clock)), Actor.name(), state, json.text(content))
        .update();
  }
}
