package arborline.server.exchange;

import arborline.core.convert.ConversionReport;
import arborline.core.exchange.BundleFormat;
import arborline.core.exchange.LossReport;
import arborline.core.quantity.Unit;
import arborline.server.account.Actor;
import arborline.server.live.Live;
import arborline.server.support.Json;
import arborline.server.support.PassingFault;
import arborline.server.support.Refusal;
import arborline.server.support.StopRequests;
import com.github.kagkarlsson.scheduler.SchedulerClient;
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
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import org.springframework.web.multipart.MultipartFile;

/**
 * Conversions as background work: they say how far they are, can be stopped, and begin anew after a
 * crash. A stopped one keeps nothing.
 */
@Service
class QueuedConversions {

  private static final Logger LOG = LoggerFactory.getLogger(QueuedConversions.class);
  private static final int SHOWN = 50;

  /** Of how many conversions the result is kept. */
  private static final int KEPT = 20;

  private static final long EACH_NANOS = 500_000_000;

  private final Conversions conversions;
  private final StoredParts parts;
  private final StopRequests stops;
  private final ObjectProvider<SchedulerClient> scheduler;
  private final JdbcClient jdbc;
  private final TransactionTemplate transaction;
  private final Live live;
  private final Json json;
  private final Clock clock;

  QueuedConversions(
      Conversions conversions,
      StoredParts parts,
      StopRequests stops,
      ObjectProvider<SchedulerClient> scheduler,
      JdbcClient jdbc,
      TransactionTemplate transaction,
      Live live,
      Json json,
      Clock clock) {
    this.conversions = conversions;
    this.parts = parts;
    this.stops = stops;
    this.scheduler = scheduler;
    this.jdbc = jdbc;
    this.transaction = transaction;
    this.live = live;
    this.json = json;
    this.clock = clock;
  }

  /** Somebody asked the conversion to stop. */
  private static final class StoppedException extends IOException {
    private static final long serialVersionUID = 1L;
  }

  /**
   * What became of one file.
   *
   * @param problem why it could not be read to its end; empty where it was
   * @param equal true where every value was read back as it was to be written
   */
  record FileReport(
      String file,
      String output,
      String problem,
      long read,
      long written,
      long left,
      long lossCount,
      List<LossReport.LossGroup> lossGroups,
      boolean equal,
      List<String> differences) {

    static FileReport of(ConversionReport report) {
      return new FileReport(
          report.file(),
          report.output(),
          report.problem(),
          report.read(),
          report.written(),
          report.left().size(),
          report.lossCount(),
          report.lossGroups(),
          report.proof().equal(),
          report.proof().differences());
    }
  }

  /**
   * A conversion.
   *
   * @param state {@code waiting}, {@code running}, {@code done}, {@code stopped} or {@code failed}
   * @param items how many items were met so far, each three times: read, written, read back
   * @param share of the work that is done, from 0 to 1
   * @param reports of each file, once it is done
   */
  record ConversionView(
      long id,
      String name,
      String format,
      String unit,
      String state,
      String note,
      long items,
      int filesDone,
      int files,
      double share,
      List<FileReport> reports,
      Instant at,
      String by) {}

  /** Stores files and queues their conversion. */
  long queue(List<MultipartFile> files, BundleFormat format, Optional<Unit> unit)
      throws IOException {
    List<Path> copies = new ArrayList<>();
    try {
      for (MultipartFile file : files) {
        Path copy = Files.createTempFile("conversion", "");
        copies.add(copy);
        file.transferTo(copy);
      }
      List<String> names =
          files.stream().map(file -> Conversions.plain(file.getOriginalFilename())).toList();
      long id = transaction.execute(status -> store(copies, names, format, unit));
      ConversionWork.queue(scheduler.getObject(), id);
      return id;
    } finally {
      for (Path copy : copies) {
        Files.deleteIfExists(copy);
      }
    }
  }

  private long store(
      List<Path> files, List<String> names, BundleFormat format, Optional<Unit> unit) {
    String name =
        names.size() == 1
            ? names.getFirst()
            : "%s and %d more".formatted(names.getFirst(), names.size() - 1);
    jdbc.sql(
            """
            insert into conversion (name, format, unit, state, note, files, report, created_at,
              created_by)
            values (?, ?, ?, 'WAITING', '', ?, ?, ?, ?)\
            """)
        .params(
            name.length() > 200 ? name.substring(0, 200) : name,
            format.id(),
            unit.map(Unit::code).orElse(""),
            files.size(),
            json.text(names),
            LocalDateTime.ofInstant(Instant.now(clock), ZoneOffset.UTC),
            Actor.name())
        .update();
    long id = jdbc.sql("select last_insert_id()").query(Long.class).single();
    try {
      for (int i = 0; i < files.size(); i++) {
        try (InputStream content = Files.newInputStream(files.get(i))) {
          parts.store(id, i, content);
        }
      }
    } catch (IOException broken) {
      throw new UncheckedIOException(broken);
    }
    return id;
  }

  private record Row(
      long id,
      String name,
      String format,
      String unit,
      String state,
      String note,
      long items,
      int filesDone,
      int files,
      double share,
      @Nullable String report,
      LocalDateTime at,
      String by) {}

  private static final String SELECT =
      """
      select id, name, format, unit, state, note, items, files_done, files, share, report,
        created_at as at, created_by as `by`
      from conversion
      """;

  private ConversionView view(Row row) {
    boolean done = row.state().equals("DONE");
    return new ConversionView(
        row.id(),
        row.name(),
        row.format(),
        row.unit(),
        row.state().toLowerCase(Locale.ROOT),
        row.note(),
        row.items(),
        row.filesDone(),
        row.files(),
        done ? 1 : row.share(),
        done && row.report() != null
            ? List.of(json.read(row.report(), FileReport[].class))
            : List.of(),
        row.at().toInstant(ZoneOffset.UTC),
        row.by());
  }

  List<ConversionView> newest() {
    return jdbc.sql(SELECT + " order by id desc limit " + SHOWN).query(Row.class).list().stream()
        .map(this::view)
        .toList();
  }

  private Row row(long id) {
    return jdbc.sql(SELECT + " where id = ?")
        .param(id)
        .query(Row.class)
        .optional()
        .orElseThrow(() -> Refusal.notFound("there is no conversion " + id));
  }

  ConversionView get(long id) {
    return view(row(id));
  }

  private static String work(long id) {
    return "conversion-" + id;
  }

  /** Asks a conversion to stop. */
  void stop(long id) {
    stops.ask(work(row(id).id()));
  }

  /** Forgets a conversion that is over. */
  void remove(long id) {
    String state = row(id).state();
    if (state.equals("WAITING") || state.equals("RUNNING")) {
      throw Refusal.conflict("the conversion is running; stop it first");
    }
    transaction.executeWithoutResult(status -> {
      parts.delete(id);
      jdbc.sql("delete from conversion where id = ?").param(id).update();
    });
  }

  /** The ZIP with the files and their report. */
  void content(long id, OutputStream target) throws IOException {
    parts.copy(id, StoredParts.RESULT, target);
  }

  /** Does the work; begins anew where it was begun before. */
  void run(long id) {
    Row row = row(id);
    if (!row.state().equals("WAITING") && !row.state().equals("RUNNING")) {
      return;
    }
    say(id, 0, 0, 0);
    try {
      List<String> names = List.of(json.read(row.report(), String[].class));
      try (Conversions.Work work = conversions.begin()) {
        for (int i = 0; i < names.size(); i++) {
          convert(row, i, names, work);
        }
        finish(id, work);
      }
    } catch (StoppedException asked) {
      end(id, "STOPPED", "it was stopped; nothing of it was kept");
    } catch (Refusal refused) {
      end(id, "FAILED", refused.getMessage());
    } catch (IOException broken) {
      LOG.error("conversion {} failed", id, broken);
      end(id, "FAILED", "the stored file cannot be read; bring it in again");
    } catch (RuntimeException defect) {
      if (PassingFault.is(defect)) {
        throw defect;
      }
      LOG.error("conversion {} failed", id, defect);
      end(id, "FAILED", "a fault of ours that was logged stops the conversion");
    }
  }

  private void convert(Row row, int fileNo, List<String> names, Conversions.Work work)
      throws IOException {
    Path source = work.source();
    try (OutputStream copy = Files.newOutputStream(source)) {
      parts.copy(row.id(), fileNo, copy);
    }
    long[] said = {System.nanoTime()};
    conversions.into(
        work,
        source,
        names.get(fileNo),
        Formats.named(row.format()),
        Formats.unit(row.unit()),
        (items, files, share) -> {
          if (System.nanoTime() - said[0] > EACH_NANOS) {
            said[0] = System.nanoTime();
            if (stops.asked(work(row.id()))) {
              throw new StoppedException();
            }
            say(row.id(), items, files, (fileNo + share) / names.size());
          }
        });
  }

  private void say(long id, long items, int files, double share) {
    transaction.executeWithoutResult(status -> {
      jdbc.sql(
              """
              update conversion set state = 'RUNNING', items = ?, files_done = ?, share = ?
              where id = ?\
              """)
          .params(items, files, share, id)
          .update();
      live.say("conversion", id, "RUNNING");
    });
  }

  private void finish(long id, Conversions.Work work) throws IOException {
    Path result = Files.createTempFile("converted", ".zip");
    try {
      try (OutputStream out = Files.newOutputStream(result)) {
        conversions.write(work, out);
      }
      transaction.executeWithoutResult(status -> {
        try (InputStream content = Files.newInputStream(result)) {
          parts.store(id, StoredParts.RESULT, content);
        } catch (IOException broken) {
          throw new UncheckedIOException(broken);
        }
        parts.deleteSources(id);
        jdbc.sql(
                """
                update conversion set state = 'DONE', report = ?, items = ?, files_done = ?,
                  files = ? where id = ?\
                """)
            .params(
                json.text(work.reports().stream().map(FileReport::of).toList()),
                work.items(),
                work.reports().size(),
                work.reports().size(),
                id)
            .update();
        forgetOlder();
        live.say("conversion", id, "DONE");
      });
    } finally {
      Files.deleteIfExists(result);
    }
  }

  private void forgetOlder() {
    List<Long> ids =
        jdbc.sql("select id from conversion where state = 'DONE' order by id desc limit 200")
            .query(Long.class)
            .list();
    ids.stream().skip(KEPT).forEach(parts::delete);
  }

  private void end(long id, String state, String note) {
    stops.clear(work(id));
    transaction.executeWithoutResult(status -> {
      parts.delete(id);
      jdbc.sql("update conversion set state = ?, note = ? where id = ?")
          .params(state, note.length() > 500 ? note.substring(0, 500) : note, id)
          .update();
      live.say("conversion", id, state);
    });
  }
}
