package arborline.server.physical;

import arborline.core.physical.PhysicalState;
import arborline.core.physical.Whereabouts;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.support.GeneratedKeyHolder;
import org.springframework.stereotype.Component;

/** Physical tools in the database. */
@Component
class PhysicalStore {

  private static final String COLUMNS =
      """
      select id, serial, tool_id, for_machine, state, where_kind, machine_id, place, assembled_at,
        assembled_by, parts, regrinds, version_no
      from physical_tool\s\
      """;

  private final JdbcClient jdbc;

  PhysicalStore(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  private static PhysicalTool row(ResultSet row, int index) throws SQLException {
    Timestamp assembled = row.getTimestamp("assembled_at");
    String parts = row.getString("parts");
    return new PhysicalTool(
        row.getLong("id"),
        row.getString("serial"),
        row.getLong("tool_id"),
        row.getString("for_machine"),
        PhysicalState.valueOf(row.getString("state")),
        where(row.getString("where_kind"), row.getString("machine_id"), row.getString("place")),
        assembled == null ? null : assembled.toInstant(),
        row.getString("assembled_by"),
        parts.isEmpty() ? List.of() : List.of(parts.split(" ")),
        row.getInt("regrinds"),
        row.getInt("version_no"));
  }

  private static Whereabouts where(String kind, @Nullable String machine, String place) {
    return new Whereabouts(
        Whereabouts.Kind.valueOf(kind),
        Optional.ofNullable(machine),
        Optional.of(place).filter(named -> !named.isEmpty()));
  }

  /**
   * Pieces by serial.
   *
   * @param after serial of the last one before
   * @param query what of them is wanted
   */
  List<PhysicalTool> list(PhysicalQuery query, String after, int limit) {
    return jdbc.sql(
            COLUMNS
                + " where deleted_at is null and serial > :after "
                + query.condition()
                + " order by serial limit :limit")
        .param("after", after)
        .param("limit", limit)
        .params(query.parameters())
        .query(PhysicalStore::row)
        .list();
  }

  Optional<PhysicalTool> get(long id) {
    return jdbc.sql(COLUMNS + " where id = ? and deleted_at is null")
        .param(id)
        .query(PhysicalStore::row)
        .optional();
  }

  Optional<PhysicalTool> bySerial(String serial) {
    return jdbc.sql(COLUMNS + " where serial = ? and deleted_at is null")
        .param(serial)
        .query(PhysicalStore::row)
        .optional();
  }

  /** As {@link #get}, with nobody else changing it until the transaction ends. */
  Optional<PhysicalTool> lock(long id) {
    return jdbc.sql(COLUMNS + " where id = ? and deleted_at is null for update")
        .param(id)
        .query(PhysicalStore::row)
        .optional();
  }

  /** The piece that stands in a place, or in the spindle where the place is empty. */
  Optional<PhysicalTool> standing(String machine, String place) {
    return jdbc.sql(COLUMNS + " where machine_id = ? and place = ?")
        .params(machine, place)
        .query(PhysicalStore::row)
        .optional();
  }

  /** Keeps others from making pieces of a tool until the transaction ends. */
  void lockTool(long toolId) {
    jdbc.sql("select id from tool where id = ? for update").param(toolId).query(Long.class).list();
  }

  /** Serials that begin so, those of pieces that are gone as well: none is given twice. */
  Collection<String> serials(String beginning) {
    return jdbc.sql("select serial from physical_tool where serial like concat(?, '%')")
        .param(beginning.replace("_", "\\_"))
        .query(String.class)
        .list();
  }

  long insert(PhysicalTool piece, Instant now, String by) {
    GeneratedKeyHolder key = new GeneratedKeyHolder();
    jdbc.sql(
            """
            insert into physical_tool
              (serial, tool_id, for_machine, state, where_kind, made_at, made_by)
            values (?, ?, ?, ?, ?, ?, ?)\
            """)
        .params(
            piece.serial(),
            piece.toolId(),
            piece.forMachine(),
            piece.state().name(),
            piece.where().kind().name(),
            Timestamp.from(now),
            by)
        .update(key, "id");
    return key.getKey().longValue();
  }

  /** Writes a piece as it is from now on; its version grows. */
  void update(PhysicalTool piece) {
    jdbc.sql(
            """
            update physical_tool set for_machine = ?, state = ?, where_kind = ?, machine_id = ?,
              place = ?, assembled_at = ?, assembled_by = ?, parts = ?, regrinds = ?,
              version_no = version_no + 1
            where id = ?\
            """)
        .params(
            piece.forMachine(),
            piece.state().name(),
            piece.where().kind().name(),
            piece.where().machine().orElse(null),
            piece.where().place().orElse(""),
            piece.assembledAt() == null ? null : Timestamp.from(piece.assembledAt()),
            piece.assembledBy(),
            String.join(" ", piece.parts()),
            piece.regrinds(),
            piece.id())
        .update();
  }

  void delete(long id, Instant now) {
    jdbc.sql("update physical_tool set deleted_at = ?, version_no = version_no + 1 where id = ?")
        .params(Timestamp.from(now), id)
        .update();
  }

  void bringBack(long id) {
    jdbc.sql("update physical_tool set deleted_at = null, version_no = version_no + 1 where id = ?")
        .param(id)
        .update();
  }

  /** Materials that pieces have cut, by piece, in the order in which they were noted. */
  Map<Long, List<String>> cuts(Collection<Long> pieces) {
    Map<Long, List<String>> cuts = new HashMap<>();
    if (pieces.isEmpty()) {
      return cuts;
    }
    jdbc.sql(
            """
            select physical_id, material_id from physical_cut where physical_id in (:pieces)
            order by noted_at, material_id\
            """)
        .param("pieces", new TreeSet<>(pieces))
        .query((row, index) -> Map.entry(row.getLong(1), row.getString(2)))
        .list()
        .forEach(
            cut -> cuts.computeIfAbsent(cut.getKey(), id -> new ArrayList<>()).add(cut.getValue()));
    return cuts;
  }

  /** True where that was not noted before. */
  boolean cut(long id, String material, Instant now, String by) {
    return jdbc.sql(
                """
                insert ignore into physical_cut (physical_id, material_id, noted_at, noted_by)
                values (?, ?, ?, ?)\
                """)
            .params(id, material, Timestamp.from(now), by)
            .update()
        > 0;
  }

  void uncut(long id, String material) {
    jdbc.sql("delete from physical_cut where physical_id = ? and material_id = ?")
        .params(id, material)
        .update();
  }
}
