package arborline.server.derived;

import arborline.core.library.Codes;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Derived libraries in the database. */
@Component
class DerivedStore {

  private static final int CHUNK = 1000;

  private final JdbcClient jdbc;
  private final JdbcTemplate template;

  DerivedStore(JdbcClient jdbc, JdbcTemplate template) {
    this.jdbc = jdbc;
    this.template = template;
  }

  private static DerivedLibrary library(ResultSet row, int index) throws SQLException {
    return new DerivedLibrary(
        row.getLong("library_id"),
        row.getLong("base_id"),
        row.getLong("edition_id"),
        row.getString("ending"),
        row.getTimestamp("derived_at").toInstant(),
        row.getString("derived_by"));
  }

  Optional<DerivedLibrary> of(long library) {
    return jdbc.sql("select * from derived_library where library_id = ?")
        .param(library)
        .query(DerivedStore::library)
        .optional();
  }

  void add(DerivedLibrary one) {
    jdbc.sql("insert into derived_library values (?, ?, ?, ?, ?, ?)")
        .params(
            one.libraryId(),
            one.baseId(),
            one.editionId(),
            one.ending(),
            Timestamp.from(one.derivedAt()),
            one.by())
        .update();
  }

  /** It is a library like others from now on. */
  void remove(long library) {
    jdbc.sql("delete from derived_library where library_id = ?").param(library).update();
  }

  void took(long library, long edition) {
    jdbc.sql("update derived_library set edition_id = ? where library_id = ?")
        .params(edition, library)
        .update();
  }

  /** The libraries, which are there, that were derived from one. */
  List<Long> from(long base) {
    return jdbc.sql(
            """
            select l.id from derived_library d join library l on l.id = d.library_id
            where d.base_id = ? and l.put_away_at is null order by l.name\
            """)
        .param(base)
        .query(Long.class)
        .list();
  }

  /** The name of a library, also of one that was deleted; and whether it is there. */
  record Base(String name, boolean there) {}

  Base base(long library) {
    return jdbc.sql("select name, put_away_at from library where id = ?")
        .param(library)
        .query((row, index) -> new Base(row.getString(1), row.getTimestamp(2) == null))
        .optional()
        .orElse(new Base("", false));
  }

  /** From which tools of the base those came that a library holds, by tool. */
  Map<Long, Long> bases(long library) {
    Map<Long, Long> bases = new HashMap<>();
    jdbc.sql(
            """
            select d.tool_id, d.base_tool_id from derived_tool d
            join entry e on e.tool_id = d.tool_id and e.library_id = d.library_id
            where d.library_id = ?\
            """)
        .param(library)
        .query(row -> {
          bases.put(row.getLong(1), row.getLong(2));
        });
    return bases;
  }

  /** The tools that a library holds. */
  List<Long> tools(long library) {
    return jdbc.sql("select tool_id from entry where library_id = ? order by code, id")
        .param(library)
        .query(Long.class)
        .list();
  }

  /** Those of some tools that a library holds. */
  Set<Long> held(long library, Collection<Long> tools) {
    Set<Long> held = new HashSet<>();
    each(
        tools,
        some ->
            held.addAll(
                jdbc.sql(
                        "select tool_id from entry where library_id = :library and tool_id in (:tools)")
                    .param("library", library)
                    .param("tools", some)
                    .query(Long.class)
                    .list()));
    return held;
  }

  /** Notes from which tools others came, by tool. */
  void came(long library, Map<Long, Long> bases) {
    template.batchUpdate(
        """
        insert into derived_tool (tool_id, library_id, base_tool_id) values (?, ?, ?)
        on duplicate key update library_id = values(library_id), base_tool_id = values(base_tool_id)\
        """,
        List.copyOf(bases.entrySet()),
        CHUNK,
        (statement, one) -> {
          statement.setLong(1, one.getKey());
          statement.setLong(2, library);
          statement.setLong(3, one.getValue());
        });
  }

  /**
   * A tool that came from another one and stands in no library any more.
   *
   * @param baseToolId from which it came
   */
  record LeftTool(long toolId, long baseToolId) {}

  /** Tools with some codes that came from others and are in no library now, by key of the code. */
  Map<String, LeftTool> left(Collection<String> codes) {
    Map<String, LeftTool> left = new HashMap<>();
    each(
        codes.stream().map(Codes::key).toList(),
        some ->
            jdbc.sql(
                    """
                    select t.code_key, t.id, d.base_tool_id from tool t
                    join derived_tool d on d.tool_id = t.id
                    where t.code_key in (:keys) and t.merged_into is null
                      and not exists(select 1 from entry e where e.tool_id = t.id)\
                    """)
                .param("keys", some)
                .query(row -> {
                  left.put(row.getString(1), new LeftTool(row.getLong(2), row.getLong(3)));
                }));
    return left;
  }

  /** Keys of those of some codes that something in the shop has, or may not have again. */
  Set<String> taken(Collection<String> codes) {
    Set<String> taken = new HashSet<>();
    each(
        codes.stream().map(Codes::key).toList(),
        some ->
            taken.addAll(
                jdbc.sql(
                        """
                        select code_key from tool where code_key in (:keys)
                        union select code_key from component where code_key in (:keys)
                        union select code_key from held_code where code_key in (:keys)
                          and (until is null or until > utc_timestamp(6))\
                        """)
                    .param("keys", some)
                    .query(String.class)
                    .list()));
    return taken;
  }

  private static <T> void each(Collection<T> all, java.util.function.Consumer<List<T>> some) {
    List<T> list = List.copyOf(all);
    for (int from = 0; from < list.size(); from += CHUNK) {
      some.accept(list.subList(from, Math.min(list.size(), from + CHUNK)));
    }
  }
}
