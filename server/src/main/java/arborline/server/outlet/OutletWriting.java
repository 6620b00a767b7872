package arborline.server.outlet;

import arborline.core.convert.ConversionReport;
import arborline.core.exchange.BundleFormat;
import arborline.core.exchange.LossReport;
import arborline.server.edition.EditionFiles;
import arborline.server.edition.EditionHead;
import arborline.server.edition.EditionStore;
import arborline.server.exchange.Formats;
import arborline.server.live.Live;
import arborline.server.support.FileHash;
import arborline.server.support.Json;
import arborline.server.support.Refusal;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Writes outlets that do not hold the edition they should. The file is in its place before that is
 * kept, so a crash between only has the same written once more.
 */
@Component
class OutletWriting {

  private static final Logger LOG = LoggerFactory.getLogger(OutletWriting.class);
  private static final Duration PAUSE_AFTER_FAULT = Duration.ofMinutes(1);
  private static final int MOST_DIFFERENCES = 20;

  private final OutletStore store;
  private final OutletFolders folders;
  private final EditionStore editions;
  private final EditionFiles files;
  private final JdbcClient jdbc;
  private final TransactionTemplate transaction;
  private final Live live;
  private final Json json;
  private final Clock clock;

  OutletWriting(
      OutletStore store,
      OutletFolders folders,
      EditionStore editions,
      EditionFiles files,
      JdbcClient jdbc,
      TransactionTemplate transaction,
      Live live,
      Json json,
      Clock clock) {
    this.store = store;
    this.folders = folders;
    this.editions = editions;
    this.files = files;
    this.jdbc = jdbc;
    this.transaction = transaction;
    this.live = live;
    this.json = json;
    this.clock = clock;
  }

  /**
   * What of a file will not be as in the library.
   *
   * @param groups all of it by what happens to which property
   */
  record KeptLosses(List<LossReport.LossGroup> groups) {}

  /** The edition that an outlet should hold; nothing while there is none. */
  Optional<EditionHead> should(Outlet outlet) {
    return outlet.editionId() == null
        ? editions.newest(outlet.libraryId())
        : Optional.of(editions.get(outlet.editionId()));
  }

  /** Looks at all outlets once, and writes those that have to be. */
  void look() {
    for (Outlet outlet : store.all()) {
      try {
        should(outlet)
            .filter(edition -> due(outlet, edition))
            .ifPresent(edition -> attempt(outlet, edition));
      } catch (RuntimeException defect) {
        LOG.error("outlet {} cannot be looked at", outlet.id(), defect);
      }
    }
  }

  private boolean due(Outlet outlet, EditionHead edition) {
    boolean behind =
        outlet.wanted()
            || outlet.writtenEditionId() == null
            || outlet.writtenEditionId() != edition.id()
            || outlet.kind() == OutletKind.FOLDER
                && folders.root().isPresent()
                && folders.found(outlet) == OutletFolders.Found.GONE;
    Instant again =
        outlet.triedAt() == null ? Instant.MIN : outlet.triedAt().plus(PAUSE_AFTER_FAULT);
    return behind
        && (outlet.fault() == null
            || outlet.triedAt() == null
            || Instant.now(clock).isAfter(again));
  }

  private void attempt(Outlet outlet, EditionHead edition) {
    try {
      write(outlet, edition);
    } catch (IOException failed) {
      fail(outlet, String.valueOf(failed.getMessage()));
    } catch (Refusal refused) {
      fail(outlet, refused.getMessage());
    } catch (RuntimeException defect) {
      LOG.error("outlet {} cannot be written", outlet.id(), defect);
      fail(outlet, "a fault of ours that was logged stops the writing");
    }
  }

  private void fail(Outlet outlet, String fault) {
    transaction.executeWithoutResult(status -> {
      store.failed(outlet.id(), fault, now());
      live.say("library", outlet.libraryId(), "outlet");
    });
  }

  private Instant now() {
    return Instant.now(clock).truncatedTo(ChronoUnit.MICROS);
  }

  private void write(Outlet outlet, EditionHead edition) throws IOException {
    BundleFormat format = Formats.named(outlet.format());
    String title = title(outlet.libraryId());
    Path file = Files.createTempFile("outlet", "." + format.ending());
    try {
      EditionFiles.EditionFile written =
          files.write(edition, title, format, Formats.unit(outlet.unit()), file);
      String hash = FileHash.of(file);
      long size = Files.size(file);
      long modified =
          outlet.kind() == OutletKind.FOLDER
              ? folders.put(outlet.folder(), outlet.name(), file)
              : 0;
      keep(outlet, edition, written, hash, size, modified, file);
    } finally {
      Files.deleteIfExists(file);
    }
  }

  private String title(long library) {
    return jdbc.sql("select name from library where id = ?")
        .param(library)
        .query(String.class)
        .single();
  }

  private void keep(
      Outlet outlet,
      EditionHead edition,
      EditionFiles.EditionFile written,
      String hash,
      long size,
      long modified,
      Path file)
      throws IOException {
    OutletStore.Writing writing =
        new OutletStore.Writing(
            edition.id(),
            now(),
            size,
            hash,
            modified,
            written.tools(),
            written.losses().count(),
            json.text(new KeptLosses(written.losses().groups())),
            json.text(shown(written.proof())));
    IOException[] broken = {null};
    transaction.executeWithoutResult(status -> {
      try {
        if (outlet.kind() == OutletKind.ADDRESS) {
          store.content(outlet.id(), hash, outlet.sha256(), file);
        }
        if (!store.written(outlet.id(), writing)) {
          status.setRollbackOnly();
          return;
        }
        live.say("library", outlet.libraryId(), "outlet");
      } catch (IOException unreadable) {
        status.setRollbackOnly();
        broken[0] = unreadable;
      }
    });
    if (broken[0] != null) {
      throw broken[0];
    }
  }

  private static ConversionReport.Proof shown(ConversionReport.Proof proof) {
    return new ConversionReport.Proof(
        proof.equal(),
        proof.compared(),
        proof.differences().stream().limit(MOST_DIFFERENCES).toList());
  }
}
