package arborline.server.post;

import arborline.core.library.Codes;
import arborline.core.post.Post;
import arborline.server.support.Json;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.support.GeneratedKeyHolder;
import org.springframework.stereotype.Component;
import tools.jackson.core.type.TypeReference;

/** Posts in the database. */
@Component
class PostStore {

  private static final int MOST = 1_000;
  private static final TypeReference<Map<String, String>> VALUES = new TypeReference<>() {};

  private final JdbcClient jdbc;
  private final Json json;

  PostStore(JdbcClient jdbc, Json json) {
    this.jdbc = jdbc;
    this.json = json;
  }

  private PostRow row(ResultSet row, int index) throws SQLException {
    return new PostRow(
        row.getLong("id"),
        json.read(row.getString("definition"), Post.class),
        row.getString("machine_id"),
        row.getObject("library_id", Long.class),
        row.getObject("edition_id", Long.class),
        row.getInt("version_no"),
        row.getTimestamp("deleted_at") != null);
  }

  List<PostRow> all() {
    return jdbc.sql("select * from post where deleted_at is null order by name limit " + MOST)
        .query(this::row)
        .list();
  }

  Optional<PostRow> get(long id) {
    return jdbc.sql("select * from post where id = ?").param(id).query(this::row).optional();
  }

  /** As {@link #get}, with nobody else changing it until the transaction ends. */
  Optional<PostRow> lock(long id) {
    jdbc.sql("update post set version_no = version_no where id = ?").param(id).update();
    return jdbc.sql("select * from post where id = ? for update")
        .param(id)
        .query(this::row)
        .optional();
  }

  /** Another post of that name, where there is one. */
  boolean named(String name, long except) {
    return jdbc.sql("select count(*) from post where name_key = ? and id <> ?")
            .params(Codes.key(name), except)
            .query(Long.class)
            .single()
        > 0;
  }

  long insert(PostRow post) {
    GeneratedKeyHolder key = new GeneratedKeyHolder();
    jdbc.sql(
            """
            insert into post (name, name_key, machine_id, library_id, edition_id, definition)
            values (?, ?, ?, ?, ?, ?)\
            """)
        .params(
            post.post().name(),
            Codes.key(post.post().name()),
            post.machine(),
            post.library(),
            post.edition(),
            json.text(post.post()))
        .update(key, "id");
    return key.getKey().longValue();
  }

  /** Writes a post as it is from now on; its version grows. */
  void update(PostRow post, @Nullable Instant deletedAt) {
    jdbc.sql(
            """
            update post set name = ?, name_key = ?, machine_id = ?, library_id = ?,
              edition_id = ?, definition = ?, version_no = version_no + 1, deleted_at = ?
            where id = ?\
            """)
        .params(
            post.post().name(),
            deletedAt == null ? Codes.key(post.post().name()) : null,
            post.machine(),
            post.library(),
            post.edition(),
            json.text(post.post()),
            deletedAt == null ? null : java.sql.Timestamp.from(deletedAt),
            post.id())
        .update();
  }

  /**
   * A version of the defaults of a post.
   *
   * @param version 0 where none was ever said
   */
  record Defaults(int version, Map<String, String> values) {}

  Defaults defaults(long post) {
    return jdbc.sql(
            """
            select version_no, content from post_defaults where post_id = ?
            order by version_no desc limit 1\
            """)
        .param(post)
        .query((row, index) -> new Defaults(row.getInt(1), json.read(row.getString(2), VALUES)))
        .optional()
        .orElseGet(() -> new Defaults(0, Map.of()));
  }

  void addDefaults(long post, int version, Map<String, String> values, Instant at, String by) {
    jdbc.sql("insert into post_defaults values (?, ?, ?, ?, ?)")
        .params(post, version, json.text(values), java.sql.Timestamp.from(at), by)
        .update();
  }

  private record Own(String name, String content) {}

  /**
   * Single defaults that a machine or a person has otherwise.
   *
   * @param machine empty for those of a person
   * @param account 0 for those of a machine
   */
  Map<String, String> own(long post, String machine, long account) {
    Map<String, String> own = new TreeMap<>();
    jdbc.sql(
            """
            select name, content from own_default
            where post_id = ? and machine_id = ? and account_id = ?\
            """)
        .params(post, machine, account)
        .query(Own.class)
        .list()
        .forEach(one -> own.put(one.name(), one.content()));
    return own;
  }

  /** Has a single default be otherwise; null for as it comes. */
  void setOwn(long post, String machine, long account, String name, @Nullable String value) {
    jdbc.sql(
            """
            delete from own_default
            where post_id = ? and machine_id = ? and account_id = ? and name = ?\
            """)
        .params(post, machine, account, name)
        .update();
    if (value != null) {
      jdbc.sql("insert into own_default values (?, ?, ?, ?, ?)")
          .params(post, machine, account, name, value)
          .update();
    }
  }
}
