package arborline.server.exchange;

import arborline.core.exchange.BundleFormat;
import arborline.core.exchange.LossReport;
import arborline.core.quantity.Unit;
import arborline.server.account.Actor;
import arborline.server.support.FileHash;
import arborline.server.support.Json;
import arborline.server.support.Refusal;
import arborline.server.trail.Trail;
import arborline.server.trail.TrailRecord;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/** Keeps the files that libraries were written as, with what reading them back came to. */
@Service
class WrittenFiles {

  private static final int PART = 1024 * 1024;
  private static final int SHOWN = 50;

  /** Of how many files of a library the content is kept. */
  private static final int KEPT = 10;

  private final Exports exports;
  private final PackedFiles packed;
  private final JdbcClient jdbc;
  private final TransactionTemplate transaction;
  private final Trail trail;
  private final Json json;
  private final Clock clock;

  WrittenFiles(
      Exports exports,
      PackedFiles packed,
      JdbcClient jdbc,
      TransactionTemplate transaction,
      Trail trail,
      Json json,
      Clock clock) {
    this.exports = exports;
    this.packed = packed;
    this.jdbc = jdbc;
    this.transaction = transaction;
    this.trail = trail;
    this.json = json;
    this.clock = clock;
  }

  /**
   * What reading a file back came to.
   *
   * @param compared how many items were compared
   * @param differences the first hundred
   */
  record ReadBack(boolean equal, long compared, List<String> differences) {}

  /**
   * A file that was written.
   *
   * @param unit {@code mm}, {@code in}, or empty for lengths as authored
   * @param sha256 of its bytes, so that a copy can be told to be this file
   * @param equal true where every value was read back as it was to be written
   * @param there true while its content is kept
   */
  record WrittenFileView(
      long id,
      String name,
      String format,
      String unit,
      long size,
      String sha256,
      long tools,
      long lossCount,
      List<LossReport.LossGroup> lossGroups,
      boolean equal,
      ReadBack proof,
      Instant at,
      String by,
      boolean there) {}

  /** Writes a library, reads the file back and keeps both. */
  WrittenFileView write(long libraryId, BundleFormat format, Optional<Unit> unit)
      throws IOException {
    Path file = Files.createTempFile("written", "." + format.ending());
    Path saved = Files.createTempFile("saved", "");
    try {
      Exports.Written written = exports.library(libraryId, format, unit, file);
      try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(saved))) {
        packed.write(written, format, file, out);
      }
      String hash = FileHash.of(saved);
      long id = transaction.execute(status -> keep(libraryId, format, unit, written, saved, hash));
      return get(id);
    } finally {
      Files.deleteIfExists(file);
      Files.deleteIfExists(saved);
    }
  }

  private long keep(
      long libraryId,
      BundleFormat format,
      Optional<Unit> unit,
      Exports.Written written,
      Path saved,
      String hash) {
    try {
      String name = PackedFiles.fileName(written, format);
      jdbc.sql(
              """
              insert into written_file (library_id, name, format, unit, size, sha256, tools,
                loss_count, loss_groups, equal_back, proof, created_at, created_by)
              values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)\
              """)
          .params(
              libraryId,
              name,
              format.id(),
              unit.map(Unit::code).orElse(""),
              Files.size(saved),
              hash,
              written.tools(),
              written.losses().count(),
              json.text(written.losses().groups()),
              written.proof().equal(),
              json.text(written.proof()),
              LocalDateTime.ofInstant(Instant.now(clock), ZoneOffset.UTC),
              Actor.name())
          .update();
      long id = jdbc.sql("select last_insert_id()").query(Long.class).single();
      store(id, saved);
      forgetOlder(libraryId);
      trail.record(
          TrailRecord.of(
              "library",
              libraryId,
              "wrote %s of %s, %s"
                  .formatted(
                      TrailRecord.count(written.tools(), "tool"),
                      name,
                      written.proof().equal() ? "read back equal" : "read back with differences")));
      return id;
    } catch (IOException broken) {
      throw new UncheckedIOException(broken);
    }
  }

  private void store(long id, Path file) throws IOException {
    try (InputStream content = Files.newInputStream(file)) {
      int part = 0;
      for (byte[] bytes = content.readNBytes(PART);
          bytes.length > 0;
          bytes = content.readNBytes(PART)) {
        jdbc.sql("insert into written_part (file_id, part, bytes) values (?, ?, ?)")
            .params(id, part++, bytes)
            .update();
      }
    }
  }

  private void forgetOlder(long libraryId) {
    List<Long> ids =
        jdbc.sql("select id from written_file where library_id = ? order by id desc limit 100")
            .param(libraryId)
            .query(Long.class)
            .list();
    ids.stream()
        .skip(KEPT)
        .forEach(old -> jdbc.sql("delete from written_part where file_id = ?").param(old).update());
  }

  private static final String SELECT =
      """
      select w.id, w.name, w.format, w.unit, w.size, w.sha256, w.tools, w.loss_count, w.loss_groups,
        w.equal_back, w.proof, w.created_at, w.created_by,
        w.size = 0 or exists(select 1 from written_part p where p.file_id = w.id) as there
      from written_file w
      """;

  private WrittenFileView view(java.sql.ResultSet row) throws java.sql.SQLException {
    return new WrittenFileView(
        row.getLong("id"),
        row.getString("name"),
        row.getString("format"),
        row.getString("unit"),
        row.getLong("size"),
        row.getString("sha256"),
        row.getLong("tools"),
        row.getLong("loss_count"),
        List.of(json.read(row.getString("loss_groups"), LossReport.LossGroup[].class)),
        row.getBoolean("equal_back"),
        json.read(row.getString("proof"), ReadBack.class),
        row.getObject("created_at", LocalDateTime.class).toInstant(ZoneOffset.UTC),
        row.getString("created_by"),
        row.getBoolean("there"));
  }

  /** The newest files of a library. */
  List<WrittenFileView> of(long libraryId) {
    exports.name(libraryId);
    return jdbc.sql(SELECT + " where w.library_id = ? order by w.id desc limit " + SHOWN)
        .param(libraryId)
        .query((row, index) -> view(row))
        .list();
  }

  WrittenFileView get(long id) {
    return jdbc.sql(SELECT + " where w.id = ?")
        .param(id)
        .query((row, index) -> view(row))
        .optional()
        .orElseThrow(() -> Refusal.notFound("there is no written file " + id));
  }

  /** The content of a file; a part at a time, so that no connection waits for a slow reader. */
  void content(long id, OutputStream target) throws IOException {
    int part = 0;
    Optional<byte[]> bytes = part(id, part);
    while (bytes.isPresent()) {
      target.write(bytes.get());
      part++;
      bytes = part(id, part);
    }
  }

  private Optional<byte[]> part(long id, int part) {
    return jdbc.sql("select bytes from written_part where file_id = ? and part = ?")
        .params(id, part)
        .query(byte[].class)
        .optional();
  }
}
