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
import java.util.Set;
import java.util.TreeSet;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Keeps the last readings of controls, and what plan and control last agreed on. */
@Component
class TableStore {

  private static final int READINGS_KEPT = 20;

  private final JdbcClient jdbc;
  private final Json json;
  private final Clock clock;
  private final TableHistory history;
  private final TableWatches watch;
  private final TableWrites writes;

  TableStore(
      JdbcClient jdbc,
      Json json,
      Clock clock,
      TableHistory history,
      TableWatches watch,
      TableWrites writes) {
    this.writes = writes;
    this.history = history;
    this.watch = watch;
    this.jdbc = jdbc;
    this.json = json;
    this.clock = clock;
  }

  /** A control's table as it was read at one time. */
  record Reading(long id, Instant at, ControlTable table) {}

  /**
   * Keeps a reading and what became different since the last; one that says the same as the last
   * takes its place. A reading that was begun before the last had come is older than that one,
   * which is answered instead.
   *
   * @param begun when the control was asked
   */
  @Transactional
  public Reading keep(String machineId, ControlTable table, Instant begun) {
    watch.lock(machineId);
    Instant now = Instant.now(clock);
    Optional<Reading> last = latest(machineId);
    if (last.filter(reading -> reading.at().isAfter(begun)).isPresent()) {
      return last.get();
    }
    if (last.filter(reading -> reading.table().equals(table)).isPresent()) {
      jdbc.sql("update table_reading set read_at = ?, read_by = ? where id = ?")
          .params(Timestamp.from(now), Actor.name(), last.get().id())
          .update();
      return new Reading(last.get().id(), now, table);
    }
    jdbc.sql(
            "insert into table_reading (machine_id, read_at, read_by, content) values (?, ?, ?, ?)")
        .params(machineId, Timestamp.from(now), Actor.name(), json.text(table))
        .update();
    long id = jdbc.sql("select last_insert_id()").query(Long.class).single();
    last.ifPresent(before ->
        history.record(
            machineId,
            table.changesFrom(before.table()),
            before.at(),
            now,
            writes.sentSince(machineId, before.at())));
    forgetOld(machineId);
    return new Reading(id, now, table);
  }

  private void forgetOld(String machineId) {
    jdbc.sql(
            """
            select id from table_reading where machine_id = ?
            order by id desc limit 1 offset %d\
            """
                .formatted(READINGS_KEPT))
        .param(machineId)
        .query(Long.class)
        .optional()
        .ifPresent(oldest ->
            jdbc.sql("delete from table_reading where machine_id = ? and id <= ?")
                .params(machineId, oldest)
                .update());
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

  /** What was agreed, by place; empty where nothing ever was. */
  Optional<Map<String, TableEntry>> agreed(String machineId) {
    Map<String, TableEntry> agreed = new HashMap<>();
    jdbc.sql("select place, fields from agreed_place where machine_id = ?")
        .param(machineId)
        .query(row -> {
          agreed.put(row.getString("place"), json.read(row.getString("fields"), TableEntry.class));
        });
    return agreed.isEmpty() ? Optional.empty() : Optional.of(agreed);
  }

  /** Records what is agreed now; a tool that is agreed anew is no longer agreed elsewhere. */
  void agree(String machineId, Map<String, TableEntry> entries) {
    Set<String> tools = new TreeSet<>();
    entries.values().stream()
        .map(TableEntry::key)
        .filter(key -> !key.isEmpty())
        .forEach(tools::add);
    agreed(machineId)
        .orElse(Map.of())
        .forEach((place, before) -> {
          if (!entries.containsKey(place) && tools.contains(before.key())) {
            put(machineId, place, TableEntry.EMPTY);
          }
        });
    entries.forEach((place, entry) -> put(machineId, place, entry));
  }

  private void put(String machineId, String place, TableEntry entry) {
    jdbc.sql("replace into agreed_place (machine_id, place, fields) values (?, ?, ?)")
        .params(machineId, place, json.text(entry))
        .update();
  }
}
