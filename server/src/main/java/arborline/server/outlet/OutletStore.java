package arborline.server.outlet;

import arborline.core.library.Codes;
import arborline.server.support.Refusal;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Outlets in the database. */
@Component
class OutletStore {

  private static final int PART = 1024 * 1024;
  private static final int MOST = 1_000;
  private static final int LONGEST_FAULT = 500;

  private final JdbcClient jdbc;

  OutletStore(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  private static Outlet outlet(ResultSet row, int index) throws SQLException {
    return new Outlet(
        row.getLong("id"),
        row.getLong("library_id"),
        row.getObject("edition_id", Long.class),
        row.getString("format"),
        row.getString("unit"),
        OutletKind.valueOf(row.getString("kind")),
        row.getString("folder"),
        row.getString("name"),
        row.getInt("version_no"),
        row.getTimestamp("made_at").toInstant(),
        row.getString("made_by"),
        row.getBoolean("wanted"),
        row.getString("fault"),
        instant(row, "tried_at"),
        row.getObject("written_edition_id", Long.class),
        instant(row, "written_at"),
        row.getLong("size"),
        row.getString("sha256"),
        row.getLong("modified_at"),
        row.getLong("tools"),
        row.getLong("loss_count"),
        row.getString("losses"),
        row.getString("proof"));
  }

  private static @Nullable Instant instant(ResultSet row, String column) throws SQLException {
    Timestamp at = row.getTimestamp(column);
    return at == null ? null : at.toInstant();
  }

  Optional<Outlet> get(long id) {
    return jdbc.sql("select * from outlet where id = ?")
        .param(id)
        .query(OutletStore::outlet)
        .optional();
  }

  /** One of them. */
  Outlet known(long id) {
    return get(id).orElseThrow(() -> Refusal.notFound("there is no outlet " + id));
  }

  /** Those of all libraries that are there. */
  List<Outlet> all() {
    return jdbc.sql(
            """
            select o.* from outlet o join library l on l.id = o.library_id
            where l.put_away_at is null order by o.library_id, o.id limit\
            """
                + " "
                + MOST)
        .query(OutletStore::outlet)
        .list();
  }

  List<Outlet> of(long library) {
    return jdbc.sql("select * from outlet where library_id = ? order by id limit " + MOST)
        .param(library)
        .query(OutletStore::outlet)
        .list();
  }

  Optional<Outlet> ofKey(String hash) {
    return jdbc.sql("select * from outlet where key_hash = ?")
        .param(hash)
        .query(OutletStore::outlet)
        .optional();
  }

  long count() {
    return jdbc.sql("select count(*) from outlet").query(Long.class).single();
  }

  /**
   * Keeps a new one, which is to be written.
   *
   * @param id null for a new identity
   */
  long add(@Nullable Long id, Outlet one, @Nullable String keyHash) {
    jdbc.sql(
            """
            insert into outlet (id, library_id, edition_id, format, unit, kind, folder, folder_key,
              name, name_key, key_hash, made_at, made_by)
            values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)\
            """)
        .params(
            id,
            one.libraryId(),
            one.editionId(),
            one.format(),
            one.unit(),
            one.kind().name(),
            one.folder(),
            one.folder() == null ? null : Codes.key(one.folder()),
            one.name(),
            Codes.key(one.name()),
            keyHash,
            Timestamp.from(one.madeAt()),
            one.madeBy())
        .update();
    return id == null ? jdbc.sql("select last_insert_id()").query(Long.class).single() : id;
  }

  void remove(long id) {
    jdbc.sql("delete from outlet_part where outlet_id = ?").param(id).update();
    jdbc.sql("delete from outlet where id = ?").param(id).update();
  }

  Optional<String> keyHash(long id) {
    return jdbc.sql("select key_hash from outlet where id = ?")
        .param(id)
        .query(String.class)
        .optional();
  }

  void key(long id, String hash) {
    jdbc.sql("update outlet set key_hash = ? where id = ?").params(hash, id).update();
  }

  /** It is to write something else, as soon as can be. */
  void aim(long id, long library, @Nullable Long edition) {
    jdbc.sql("update outlet set library_id = ?, edition_id = ?, wanted = true where id = ?")
        .params(library, edition, id)
        .update();
    want(id);
  }

  /** It is to be written as soon as can be. */
  void want(long id) {
    jdbc.sql("update outlet set wanted = true, tried_at = null where id = ?").param(id).update();
  }

  /** It could not be written. */
  void failed(long id, String fault, Instant at) {
    String told = fault.length() > LONGEST_FAULT ? fault.substring(0, LONGEST_FAULT) : fault;
    jdbc.sql("update outlet set fault = ?, tried_at = ? where id = ?")
        .params(told, Timestamp.from(at), id)
        .update();
  }

  /**
   * What was written.
   *
   * @param losses and proof as JSON
   */
  record Writing(
      long editionId,
      Instant at,
      long size,
      String sha256,
      long modifiedAt,
      long tools,
      long lossCount,
      String losses,
      String proof) {}

  /** It was written; false where it was closed meanwhile. */
  boolean written(long id, Writing writing) {
    return jdbc.sql(
                """
                update outlet set wanted = false, fault = null, tried_at = ?, written_edition_id = ?,
                  written_at = ?, size = ?, sha256 = ?, modified_at = ?, tools = ?, loss_count = ?,
                  losses = ?, proof = ?
                where id = ?\
                """)
            .params(
                Timestamp.from(writing.at()),
                writing.editionId(),
                Timestamp.from(writing.at()),
                writing.size(),
                writing.sha256(),
                writing.modifiedAt(),
                writing.tools(),
                writing.lossCount(),
                writing.losses(),
                writing.proof(),
                id)
            .update()
        > 0;
  }

  /** Keeps content that is read from an address; beside it only that which it replaces stays. */
  void content(long id, String sha256, String replaced, Path file) throws IOException {
    jdbc.sql("delete from outlet_part where outlet_id = ? and sha256 <> ?")
        .params(id, replaced)
        .update();
    if (sha256.equals(replaced)) {
      return;
    }
    try (InputStream content = Files.newInputStream(file)) {
      int part = 0;
      for (byte[] bytes = content.readNBytes(PART);
          bytes.length > 0;
          bytes = content.readNBytes(PART)) {
        jdbc.sql("insert into outlet_part (outlet_id, sha256, part, bytes) values (?, ?, ?, ?)")
            .params(id, sha256, part++, bytes)
            .update();
      }
    }
  }

  Optional<byte[]> part(long id, String sha256, int part) {
    return jdbc.sql("select bytes from outlet_part where outlet_id = ? and sha256 = ? and part = ?")
        .params(id, sha256, part)
        .query(byte[].class)
        .optional();
  }
}
