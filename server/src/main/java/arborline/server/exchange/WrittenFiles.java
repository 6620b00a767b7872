package arborline.server.exchange;

import arborline.core.exchange.BundleFormat;
import arborline.core.exchange.LossReport;
import arborline.core.quantity.Unit;
import arborline.server.account.Actor;
import arborline.server.live.Live;
import arborline.server.support.Background;
import arborline.server.support.FileHash;
import arborline.server.support.Json;
import arborline.server.support.PassingFault;
import arborline.server.support.Refusal;
import arborline.server.support.StopRequests;
import arborline.server.trail.Trail;
import arborline.server.trail.TrailRecord;
import com.github.kagkarlsson.scheduler.SchedulerClient;
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
import java.util.Locale;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Has libraries written as files, and keeps these with what reading them back came to. The work
 * goes on in the background, says how far it is, can be stopped, and begins anew after a crash.
 */
@Service
class WrittenFiles {

  private static final Logger LOG = LoggerFactory.getLogger(WrittenFiles.class);
  private static final long EACH_NANOS = 500_000_000;
  private static final int PART = 1024 * 1024;
  private static final int SHOWN = 50;

  /** Of how many files of a library the content is kept. */
  private static final int KEPT = 10;

  private final Exports exports;
  private final PackedFiles packed;
  private final JdbcClient jdbc;
  private final JdbcClient apart;
  private final StopRequests stops;
  private final ObjectProvider<SchedulerClient> scheduler;
  private final TransactionTemplate transaction;
  private final Trail trail;
  private final Live live;
  private final Json json;
  private final Clock clock;

  WrittenFiles(
      Exports exports,
      PackedFiles packed,
      JdbcClient jdbc,
      @Background JdbcClient apart,
      StopRequests stops,
      ObjectProvider<SchedulerClient> scheduler,
      TransactionTemplate transaction,
      Trail trail,
      Live live,
      Json json,
      Clock clock) {
    this.exports = exports;
    this.packed = packed;
    this.jdbc = jdbc;
    this.apart = apart;
    this.stops = stops;
    this.scheduler = scheduler;
    this.transaction = transaction;
    this.trail = trail;
    this.live = live;
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
   * @param state {@code waiting}, {@code writing}, {@code done}, {@code stopped} or {@code failed}
   * @param share of the work that is done, from 0 to 1
   * @param unit {@code mm}, {@code in}, or empty for lengths as authored
   * @param sha256 of its bytes, so that a copy can be told to be this file
   * @param equal true where every value was read back as it was to be written
   * @param there true while its content is kept
   */
  record WrittenFileView(
      long id,
      String state,
      String note,
      double share,
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

  /** Somebody asked the writing to stop. */
  private static final class StoppedException extends IOException {
    private static final long serialVersionUID = 1L;
  }

  /** Queues the writing of a library. */
  WrittenFileView queue(long libraryId, BundleFormat format, Optional<Unit> unit) {
    String name = PackedFiles.fileName(exports.name(libraryId), format.ending());
    long id = transaction.execute(status -> begin(libraryId, name, format, unit));
    WritingWork.queue(scheduler.getObject(), id);
    return get(id);
  }

  private long begin(long libraryId, String name, BundleFormat format, Optional<Unit> unit) {
    jdbc.sql(
            """
            insert into written_file (library_id, name, format, unit, size, sha256, tools,
              loss_count, loss_groups, equal_back, proof, created_at, created_by, state, share)
            values (?, ?, ?, ?, 0, '', 0, 0, '[]', false, ?, ?, ?, 'WAITING', 0)\
            """)
        .params(
            libraryId,
            name,
            format.id(),
            unit.map(Unit::code).orElse(""),
            json.text(new ReadBack(false, 0, List.of())),
            LocalDateTime.ofInstant(Instant.now(clock), ZoneOffset.UTC),
            Actor.name())
        .update();
    long id = jdbc.sql("select last_insert_id()").query(Long.class).single();
    trail.record(TrailRecord.of("library", libraryId, "has it written as " + name));
    return id;
  }

  private static String work(long id) {
    return "written-file-" + id;
  }

  /** Asks the writing of a file to stop. */
  void stop(long id) {
    WrittenFileView file = get(id);
    if (!file.state().equals("waiting") && !file.state().equals("writing")) {
      throw Refusal.conflict("the file is not being written");
    }
    stops.ask(work(id));
  }

  private record Order(long libraryId, String format, String unit, String state) {}

  /** Writes a file that is queued; begins anew where it was begun before. */
  void run(long id) {
    Order order =
        jdbc.sql("select library_id, format, unit, state from written_file where id = ?")
            .param(id)
            .query(Order.class)
            .single();
    if (!order.state().equals("WAITING") && !order.state().equals("WRITING")) {
      return;
    }
    try {
      write(id, order);
    } catch (StoppedException asked) {
      end(id, order, "STOPPED", "it was stopped; nothing of it was kept");
    } catch (Refusal refused) {
      end(id, order, "FAILED", refused.getMessage());
    } catch (IOException | RuntimeException defect) {
      if (defect instanceof RuntimeException fault && PassingFault.is(fault)) {
        throw fault;
      }
      LOG.error("file {} cannot be written", id, defect);
      end(id, order, "FAILED", "a fault of ours that was logged stops the writing");
    }
  }

  private void write(long id, Order order) throws IOException {
    BundleFormat format = Formats.named(order.format());
    Path file = Files.createTempFile("written", "." + format.ending());
    Path saved = Files.createTempFile("saved", "");
    try {
      progress(id, order, 0);
      long[] said = {System.nanoTime()};
      Exports.Written written =
          exports.library(
              order.libraryId(),
              format,
              Formats.unit(order.unit()),
              file,
              (items, share) -> {
                if (System.nanoTime() - said[0] > EACH_NANOS) {
                  said[0] = System.nanoTime();
                  progress(id, order, share);
                }
              });
      try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(saved))) {
        packed.write(written, format, file, out);
      }
      String hash = FileHash.of(saved);
      transaction.executeWithoutResult(
          status -> keep(id, order, PackedFiles.fileName(written, format), written, saved, hash));
    } finally {
      Files.deleteIfExists(file);
      Files.deleteIfExists(saved);
    }
  }

  /** Says how far it is, beside the transaction that reads the library. */
  private void progress(long id, Order order, double share) throws StoppedException {
    if (stops.asked(work(id))) {
      throw new StoppedException();
    }
    apart
        .sql("update written_file set state = 'WRITING', share = ? where id = ?")
        .params(share, id)
        .update();
    live.sayNow("file", order.libraryId(), "writing");
  }

  private void end(long id, Order order, String state, String note) {
    stops.clear(work(id));
    transaction.executeWithoutResult(status -> {
      jdbc.sql("update written_file set state = ?, note = ? where id = ?")
          .params(state, note.length() > 500 ? note.substring(0, 500) : note, id)
          .update();
      live.say("file", order.libraryId(), "written");
    });
  }

  private void keep(
      long id, Order order, String name, Exports.Written written, Path saved, String hash) {
    try {
      jdbc.sql(
              """
              update written_file set name = ?, size = ?, sha256 = ?, tools = ?, loss_count = ?,
                loss_groups = ?, equal_back = ?, proof = ?, state = 'DONE', share = 1
              where id = ?\
              """)
          .params(
              name,
              Files.size(saved),
              hash,
              written.tools(),
              written.losses().count(),
              json.text(written.losses().groups()),
              written.proof().equal(),
              json.text(written.proof()),
              id)
          .update();
      store(id, saved);
      forgetOlder(order.libraryId());
      live.say("file", order.libraryId(), "written");
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
      select w.id, w.state, w.note, w.share, w.name, w.format, w.unit, w.size, w.sha256, w.tools, w.loss_count, w.loss_groups,
        w.equal_back, w.proof, w.created_at, w.created_by,
        w.state = 'DONE' and (w.size = 0 or exists(select 1 from written_part p where p.file_id = w.id)) as there
      from written_file w
      """;

  private WrittenFileView view(java.sql.ResultSet row) throws java.sql.SQLException {
    return new WrittenFileView(
        row.getLong("id"),
        row.getString("state").toLowerCase(Locale.ROOT),
        row.getString("note"),
        row.getDouble("share"),
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
