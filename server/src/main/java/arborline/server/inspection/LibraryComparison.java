package arborline.server.inspection;

import arborline.server.support.Refusal;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** A delivery beside the library that it came from: new, changed, same and missing tools. */
@Service
@Transactional(readOnly = true)
class LibraryComparison {

  private static final int SHOWN = 500;
  private static final String TOOLS = "l.kind in ('CUTTER', 'INSERT')";

  private final JdbcClient jdbc;

  LibraryComparison(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  /** A tool of the library that no line of the delivery names. */
  record MissingTool(long toolId, long entryId, String code, String name) {}

  /**
   * How a delivery stands to a library.
   *
   * @param library with which most codes are common; null where none has any
   * @param fresh lines whose code the shop does not have
   * @param changed lines whose code the shop has for a tool with other values
   * @param same lines that the shop has as they are
   * @param missing tools of the library that the delivery does not name
   * @param missingTools the first 500 of them
   */
  record Compared(
      @Nullable Long library,
      @Nullable String libraryName,
      long fresh,
      long changed,
      long same,
      long missing,
      List<MissingTool> missingTools) {}

  private record Head(long id, String name) {}

  /**
   * Compares.
   *
   * @param wanted the library; null for the one with most codes in common
   */
  Compared of(long deliveryId, @Nullable Long wanted) {
    Optional<Head> library = wanted == null ? nearest(deliveryId) : Optional.of(head(wanted));
    long all =
        count(
            "select count(*) from delivery_line l where l.delivery_id = :delivery and "
                + TOOLS
                + " and l.code_key <> ''",
            deliveryId);
    long known =
        count(
            "select count(*) from delivery_line l join tool t on t.code_key = l.code_key"
                + " where l.delivery_id = :delivery and l.taken_id is null and "
                + TOOLS,
            deliveryId);
    long same =
        count(
            "select count(distinct l.id) from delivery_line l join line_finding f on f.line_id = l.id"
                + " where l.delivery_id = :delivery and f.code = 'already-here' and "
                + TOOLS,
            deliveryId);
    long missing = library.map(head -> missing(deliveryId, head.id())).orElse(0L);
    return new Compared(
        library.map(Head::id).orElse(null),
        library.map(Head::name).orElse(null),
        all - known,
        Math.max(0, known - same),
        same,
        missing,
        library.map(head -> missingTools(deliveryId, head.id())).orElse(List.of()));
  }

  private long count(String sql, long deliveryId) {
    return jdbc.sql(sql).param("delivery", deliveryId).query(Long.class).single();
  }

  private Head head(long libraryId) {
    return jdbc.sql("select id, name from library where id = ?")
        .param(libraryId)
        .query(Head.class)
        .optional()
        .orElseThrow(() -> Refusal.notFound("there is no library " + libraryId));
  }

  private Optional<Head> nearest(long deliveryId) {
    return jdbc.sql(
            """
            select b.id, b.name from delivery_line l
            join tool t on t.code_key = l.code_key
            join entry e on e.tool_id = t.id
            join library b on b.id = e.library_id
            where l.delivery_id = :delivery and l.kind in ('CUTTER', 'INSERT')
            group by b.id, b.name order by count(*) desc, b.id limit 1\
            """)
        .param("delivery", deliveryId)
        .query(Head.class)
        .optional();
  }

  private static final String NOT_NAMED =
      """
      from entry e join tool t on t.id = e.tool_id
      join tool_version v on v.id = t.version_id
      where e.library_id = :library and not exists(select 1 from delivery_line l
        where l.delivery_id = :delivery and l.code_key = t.code_key)\
      """;

  private long missing(long deliveryId, long libraryId) {
    return jdbc.sql("select count(*) " + NOT_NAMED)
        .param("library", libraryId)
        .param("delivery", deliveryId)
        .query(Long.class)
        .single();
  }

  private List<MissingTool> missingTools(long deliveryId, long libraryId) {
    return jdbc.sql(
            "select t.id as tool_id, e.id as entry_id, t.code, v.name "
                + NOT_NAMED
                + " order by t.code_key limit "
                + SHOWN)
        .param("library", libraryId)
        .param("delivery", deliveryId)
        .query(MissingTool.class)
        .list();
  }
}
