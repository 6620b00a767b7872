package arborline.server.library;

import java.sql.Timestamp;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Which libraries hold tools of which by reference, in the database. */
@Component
class IncludeStore {

  private static final String SELECT =
      """
      select id, library_id, from_id, section_id, refused, refusal, made_at, made_by
      from library_include\
      """;

  private final JdbcClient jdbc;

  IncludeStore(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  /**
   * A library that holds tools of another one.
   *
   * @param sectionId 0 for all of it
   * @param refused how many of them cannot stand there
   * @param refusal why the first of these cannot; empty for none
   */
  record Include(
      long id,
      long libraryId,
      long fromId,
      long sectionId,
      int refused,
      String refusal,
      Instant madeAt,
      String madeBy) {}

  List<Include> of(long library) {
    return jdbc.sql(SELECT + " where library_id = ? order by id")
        .param(library)
        .query(Include.class)
        .list();
  }

  Optional<Include> get(long id) {
    return jdbc.sql(SELECT + " where id = ?").param(id).query(Include.class).optional();
  }

  /** Those whose library, or the one that they take from, changed since they were followed. */
  List<Include> behind() {
    return jdbc.sql(
            """
            select i.id, i.library_id, i.from_id, i.section_id, i.refused, i.refusal, i.made_at,
              i.made_by
            from library_include i join library f on f.id = i.from_id
            join library l on l.id = i.library_id
            where f.numbering_no <> i.seen_no and l.put_away_at is null
              and l.archived_at is null
            order by i.id\
            """)
        .query(Include.class)
        .list();
  }

  /** How often a library was changed. */
  long changes(long library) {
    return jdbc.sql("select numbering_no from library where id = ?")
        .param(library)
        .query(Long.class)
        .single();
  }

  /** Keeps one; with an identity that it had before, or 0 for a new one. */
  long add(long id, Include one) {
    jdbc.sql(
            """
            insert into library_include (id, library_id, from_id, section_id, made_at, made_by)
            values (?, ?, ?, ?, ?, ?)\
            """)
        .params(
            id == 0 ? null : id,
            one.libraryId(),
            one.fromId(),
            one.sectionId(),
            Timestamp.from(one.madeAt()),
            one.madeBy())
        .update();
    return id == 0 ? jdbc.sql("select last_insert_id()").query(Long.class).single() : id;
  }

  void remove(long id) {
    jdbc.sql("delete from library_include where id = ?").param(id).update();
  }

  void followed(long id, long changes, int refused, @Nullable String refusal) {
    jdbc.sql("update library_include set seen_no = ?, refused = ?, refusal = ? where id = ?")
        .params(changes, refused, refusal == null ? "" : cut(refusal), id)
        .update();
  }

  private static String cut(String text) {
    return text.length() > 300 ? text.substring(0, 300) : text;
  }

  /** True where a library holds tools of another one, over however many others. */
  boolean reaches(long library, long other) {
    return jdbc.sql(
            """
            with recursive reached as (
              select from_id as id from library_include where library_id = :library
              union select i.from_id from library_include i join reached r on i.library_id = r.id)
            select exists(select 1 from reached where id = :other)\
            """)
        .param("library", library)
        .param("other", other)
        .query(Boolean.class)
        .single();
  }

  /** The libraries, which are there, that hold tools of one. */
  List<Long> including(long from) {
    return jdbc.sql(
            """
            select distinct l.id from library_include i join library l on l.id = i.library_id
            where i.from_id = ? and l.put_away_at is null order by l.id\
            """)
        .param(from)
        .query(Long.class)
        .list();
  }

  /** Of some tools one that a library holds by reference, with the library that it comes from. */
  Optional<String> included(long library, List<Long> tools) {
    return tools.isEmpty()
        ? Optional.empty()
        : jdbc.sql(
                """
                select concat(e.code, ' comes with the included library ''', l.name, '''')
                from entry e join library_include i on i.id = e.include_id
                join library l on l.id = i.from_id
                where e.library_id = :library and e.tool_id in (:tools) limit 1\
                """)
            .param("library", library)
            .param("tools", tools)
            .query(String.class)
            .optional();
  }
}
