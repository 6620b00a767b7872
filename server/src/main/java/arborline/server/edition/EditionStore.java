package arborline.server.edition;

import arborline.core.edition.FrozenEntry;
import arborline.core.edition.FrozenTool;
import arborline.server.support.Refusal;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Editions in the database. */
@Component
public class EditionStore {

  private static final int CHUNK = 1000;
  private static final int MOST_EDITIONS = 1_000;
  private static final String HEAD =
      """
      select id, library_id, edition_no, words, hash, tools, made_at, made_by from edition\
      """;

  private final JdbcClient jdbc;
  private final JdbcTemplate template;

  EditionStore(JdbcClient jdbc, JdbcTemplate template) {
    this.jdbc = jdbc;
    this.template = template;
  }

  /**
   * A tool of a library at a moment.
   *
   * @param hash of its content
   */
  public record PlacedTool(
      long toolId,
      long versionId,
      int number,
      String section,
      String code,
      String name,
      String classId,
      String hash) {}

  private static EditionHead head(ResultSet row, int index) throws SQLException {
    return new EditionHead(
        row.getLong("id"),
        row.getLong("library_id"),
        row.getInt("edition_no"),
        row.getString("words"),
        row.getString("hash"),
        row.getInt("tools"),
        row.getTimestamp("made_at").toInstant(),
        row.getString("made_by"));
  }

  public EditionHead get(long id) {
    return jdbc.sql(HEAD + " where id = ?")
        .param(id)
        .query(EditionStore::head)
        .optional()
        .orElseThrow(() -> Refusal.notFound("there is no edition " + id));
  }

  /** The newest first. */
  List<EditionHead> of(long library) {
    return jdbc.sql(HEAD + " where library_id = ? order by edition_no desc limit " + MOST_EDITIONS)
        .param(library)
        .query(EditionStore::head)
        .list();
  }

  public Optional<EditionHead> newest(long library) {
    return jdbc.sql(HEAD + " where library_id = ? order by edition_no desc limit 1")
        .param(library)
        .query(EditionStore::head)
        .optional();
  }

  void add(EditionHead edition) {
    jdbc.sql(
            """
            insert into edition
              (id, library_id, edition_no, words, hash, tools, made_at, made_by)
            values (?, ?, ?, ?, ?, ?, ?, ?)\
            """)
        .params(
            edition.id(),
            edition.libraryId(),
            edition.number(),
            edition.words(),
            edition.hash(),
            edition.tools(),
            Timestamp.from(edition.madeAt()),
            edition.madeBy())
        .update();
  }

  /** Which version of each tool a library holds, by tool. */
  Map<Long, Long> versions(long library, Collection<Long> tools) {
    Map<Long, Long> versions = new HashMap<>();
    jdbc.sql(
            "select tool_id, version_id from entry where library_id = :library and tool_id in (:tools)")
        .param("library", library)
        .param("tools", tools)
        .query(row -> {
          versions.put(row.getLong(1), row.getLong(2));
        });
    return versions;
  }

  /** Adds some tools, with the parts of their stacks, to an edition. */
  void add(long edition, LibraryNow.Frozen some) {
    template.batchUpdate(
        "insert ignore into edition_content (hash, content) values (?, ?)",
        List.copyOf(some.contents().entrySet()),
        CHUNK,
        (statement, content) -> {
          statement.setString(1, content.getKey());
          statement.setString(2, content.getValue());
        });
    template.batchUpdate(
        "insert ignore into edition_part (edition_id, code, content_hash) values (?, ?, ?)",
        List.copyOf(some.parts().entrySet()),
        CHUNK,
        (statement, part) -> {
          statement.setLong(1, edition);
          statement.setString(2, part.getKey());
          statement.setString(3, part.getValue());
        });
    template.batchUpdate(
        """
        insert into edition_tool
          (edition_id, tool_id, version_id, number, section, code, name, class_id, content_hash)
        values (?, ?, ?, ?, ?, ?, ?, ?, ?)\
        """,
        some.tools(),
        CHUNK,
        (statement, tool) -> {
          statement.setLong(1, edition);
          statement.setLong(2, tool.toolId());
          statement.setLong(3, tool.versionId());
          statement.setInt(4, tool.number());
          statement.setString(5, tool.section());
          statement.setString(6, tool.code());
          statement.setString(7, tool.name());
          statement.setString(8, tool.classId());
          statement.setString(9, tool.hash());
        });
  }

  private static PlacedTool placed(ResultSet row, int index) throws SQLException {
    return new PlacedTool(
        row.getLong("tool_id"),
        row.getLong("version_id"),
        row.getInt("number"),
        row.getString("section"),
        row.getString("code"),
        row.getString("name"),
        row.getString("class_id"),
        row.getString("content_hash"));
  }

  /** All tools of an edition, by tool. */
  public Map<Long, PlacedTool> tools(long edition) {
    Map<Long, PlacedTool> tools = new LinkedHashMap<>();
    jdbc.sql("select * from edition_tool where edition_id = ? order by code, tool_id")
        .param(edition)
        .query(EditionStore::placed)
        .list()
        .forEach(tool -> tools.put(tool.toolId(), tool));
    return tools;
  }

  /** Those tools of an edition that stand as it has them. */
  public Set<Long> standing(long edition) {
    return new HashSet<>(
        jdbc.sql(
                """
                select t.id from edition_tool e
                join tool t on t.id = e.tool_id and t.version_id = e.version_id
                where e.edition_id = ? and t.merged_into is null\
                """)
            .param(edition)
            .query(Long.class)
            .list());
  }

  /** Hashes of the parts of the stacks of an edition, by code. */
  SortedMap<String, String> parts(long edition) {
    SortedMap<String, String> parts = new TreeMap<>();
    jdbc.sql("select code, content_hash from edition_part where edition_id = ?")
        .param(edition)
        .query(row -> {
          parts.put(row.getString(1), row.getString(2));
        });
    return parts;
  }

  /** Tools behind a code, in the order of codes. */
  List<PlacedTool> tools(long edition, String after, long afterTool, int limit) {
    return jdbc.sql(
            """
            select * from edition_tool
            where edition_id = ? and (code > ? or code = ? and tool_id > ?)
            order by code, tool_id limit ?\
            """)
        .params(edition, after, after, afterTool, limit)
        .query(EditionStore::placed)
        .list();
  }

  /** Some tools of an edition, whole, by tool. */
  public Map<Long, FrozenEntry> frozen(Collection<PlacedTool> tools) {
    Map<String, String> contents =
        contents(tools.stream().map(PlacedTool::hash).distinct().toList());
    Map<Long, FrozenEntry> frozen = new LinkedHashMap<>();
    tools.forEach(tool ->
        frozen.put(
            tool.toolId(),
            new FrozenEntry(
                FrozenTool.read(contents.get(tool.hash())), tool.number(), tool.section())));
    return frozen;
  }

  /** What some hashes are of. */
  public Map<String, String> contents(Collection<String> hashes) {
    Map<String, String> contents = new HashMap<>();
    List<String> all = new ArrayList<>(hashes);
    for (int from = 0; from < all.size(); from += CHUNK) {
      jdbc.sql("select hash, content from edition_content where hash in (:hashes)")
          .param("hashes", all.subList(from, Math.min(all.size(), from + CHUNK)))
          .query(row -> {
            contents.put(row.getString(1), row.getString(2));
          });
    }
    return contents;
  }
}
