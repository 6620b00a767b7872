package arborline.server.library;

import arborline.server.support.Bulk;
import arborline.server.support.Ids;
import arborline.server.support.Refusal;
import arborline.server.tool.CurrentTool;
import arborline.server.tool.ToolStore;
import arborline.server.tool.Tools;
import jakarta.persistence.EntityManager;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * Takes many entries out of libraries at once and keeps them until that is taken back; always
 * inside a caller's transaction that has locked the libraries.
 */
@Component
@Transactional(propagation = Propagation.MANDATORY)
class PutAwayEntries {

  private static final String COLUMNS =
      "id, library_id, tool_id, version_id, pinned, number, process, section, code, name,"
          + " class_id, dc, words, include_id";
  private static final int CHUNK = 500;

  private final JdbcClient jdbc;
  private final EntityManager entities;
  private final EntryStore store;
  private final ToolStore versions;
  private final Tools tools;
  private final Bulk bulk;
  private final Ids ids;

  PutAwayEntries(
      JdbcClient jdbc,
      EntityManager entities,
      EntryStore store,
      ToolStore versions,
      Tools tools,
      Bulk bulk,
      Ids ids) {
    this.jdbc = jdbc;
    this.entities = entities;
    this.store = store;
    this.versions = versions;
    this.tools = tools;
    this.bulk = bulk;
    this.ids = ids;
  }

  /** A new number under which entries are put away. */
  long begin() {
    return ids.next("put_away");
  }

  /** Puts all entries of a library away. */
  void library(long putAway, long libraryId) {
    entities.flush();
    jdbc.sql(copying("e.library_id = ?")).params(putAway, libraryId).update();
    jdbc.sql("delete from entry where library_id = ?").param(libraryId).update();
    entities.clear();
  }

  /** Puts some entries away. */
  void entries(long putAway, Collection<Long> entryIds) {
    entities.flush();
    List<Long> all = entryIds.stream().sorted().toList();
    for (int from = 0; from < all.size(); from += CHUNK) {
      List<Long> some = all.subList(from, Math.min(all.size(), from + CHUNK));
      jdbc.sql(copying("e.id in (:ids)").replaceFirst("\\?", ":number"))
          .param("number", putAway)
          .param("ids", some)
          .update();
      bulk.each("delete from entry where id = ?", some);
    }
    entities.clear();
  }

  private static String copying(String which) {
    return """
    insert into put_away_entry (put_away_id, %s, section_ids)
    select ?, %s, coalesce(
      (select left(group_concat(es.section_id), 1000) from entry_section es
       where es.entry_id = e.id), '')
    from entry e where %s\
    """
        .formatted(COLUMNS, COLUMNS, which);
  }

  /**
   * Brings entries back with their sections, as far as these are still there. What follows the
   * newest version goes to it.
   *
   * @throws Refusal where a tool or a number stands in the library again
   */
  void bringBack(long putAway) {
    entities.flush();
    versions.hold(
        jdbc.sql("select tool_id from put_away_entry where put_away_id = ?")
            .param(putAway)
            .query(Long.class)
            .list());
    gone(putAway)
        .ifPresent(name -> {
          throw Refusal.conflict(
              "library '%s' was deleted since; bring it back first".formatted(name));
        });
    clash(putAway)
        .ifPresent(code -> {
          throw Refusal.conflict(
              "%s or its number stands in the library again; take that one out first"
                  .formatted(code));
        });
    jdbc.sql(
            "insert into entry (%s) select %s from put_away_entry where put_away_id = ?"
                .formatted(COLUMNS, COLUMNS))
        .param(putAway)
        .update();
    jdbc.sql(
            """
            insert into entry_section (entry_id, section_id)
            select p.id, s.id from put_away_entry p join section s
              on s.library_id = p.library_id and find_in_set(s.id, p.section_ids)
            where p.put_away_id = ?\
            """)
        .param(putAway)
        .update();
    entities.clear();
    followAgain(putAway);
    store.entered(
        jdbc.sql("select id from put_away_entry where put_away_id = ?")
            .param(putAway)
            .query(Long.class)
            .list());
    jdbc.sql("delete from put_away_entry where put_away_id = ?").param(putAway).update();
  }

  private Optional<String> gone(long putAway) {
    return jdbc.sql(
            """
            select coalesce(b.name, '') from put_away_entry p
            left join library b on b.id = p.library_id
            where p.put_away_id = ? and (b.id is null or b.put_away_at is not null) limit 1\
            """)
        .param(putAway)
        .query(String.class)
        .optional();
  }

  private Optional<String> clash(long putAway) {
    return jdbc.sql(
            """
            select p.code from put_away_entry p
            join entry e on e.library_id = p.library_id and e.tool_id = p.tool_id
            where p.put_away_id = ?
            union all
            select p.code from put_away_entry p
            join entry e on e.library_id = p.library_id
              and e.process = p.process and e.number = p.number
            where p.put_away_id = ? limit 1\
            """)
        .params(putAway, putAway)
        .query(String.class)
        .optional();
  }

  private record Behind(long id, long toolId) {}

  /** Tools may have changed meanwhile; they are held, so none does from here on. */
  private void followAgain(long putAway) {
    List<Behind> behind =
        jdbc.sql(
                """
                select p.id, p.tool_id from put_away_entry p join tool t on t.id = p.tool_id
                where p.put_away_id = ?
                  and (t.code <> p.code or not p.pinned and t.version_id <> p.version_id)\
                """)
            .param(putAway)
            .query(Behind.class)
            .list();
    for (int from = 0; from < behind.size(); from += CHUNK) {
      List<Behind> some = behind.subList(from, Math.min(behind.size(), from + CHUNK));
      Map<Long, CurrentTool> current = tools.current(some.stream().map(Behind::toolId).toList());
      for (Behind one : some) {
        Entry entry = entities.find(Entry.class, one.id());
        CurrentTool now = current.get(one.toolId());
        if (entry.pinned) {
          entry.recode(now.code());
        } else {
          store.follow(entry, now);
        }
      }
      entities.flush();
    }
  }
}
