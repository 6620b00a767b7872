package arborline.server.outlet;

import arborline.core.convert.ConversionReport;
import arborline.core.exchange.LossReport;
import arborline.core.sharing.LibraryRight;
import arborline.server.edition.EditionHead;
import arborline.server.edition.EditionStore;
import arborline.server.right.LibraryGuard;
import arborline.server.support.Json;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;

/** Says how outlets stand. */
@Service
public class OutletViews {

  private final OutletStore store;
  private final OutletWriting writing;
  private final OutletFolders folders;
  private final EditionStore editions;
  private final LibraryGuard guard;
  private final JdbcClient jdbc;
  private final Json json;

  OutletViews(
      OutletStore store,
      OutletWriting writing,
      OutletFolders folders,
      EditionStore editions,
      LibraryGuard guard,
      JdbcClient jdbc,
      Json json) {
    this.store = store;
    this.writing = writing;
    this.folders = folders;
    this.editions = editions;
    this.guard = guard;
    this.jdbc = jdbc;
    this.json = json;
  }

  /** How an outlet stands. */
  public enum State {
    /** It holds the edition that it should. */
    FED,
    /** It is going to be written. */
    WAITING,
    /** It holds an older edition, or somebody changed the file. */
    STALE,
    /** It could not be written. */
    FAILED,
    /** The library has no edition yet. */
    NO_EDITION
  }

  /**
   * A file that was written.
   *
   * @param edition its number
   * @param equal true where all was read back as it was to be written
   */
  public record OutletFile(
      int edition,
      Instant at,
      long size,
      String sha256,
      long tools,
      long lossCount,
      List<LossReport.LossGroup> losses,
      boolean equal,
      long compared,
      List<String> differences) {}

  /**
   * An outlet.
   *
   * @param edition the one that it always holds; null for the newest
   * @param should number of the edition that it should hold; null where there is none
   * @param unit {@code mm}, {@code in}, or empty for lengths as authored
   * @param path of the folder on the server; null for an address
   * @param note what is wrong; empty where nothing is
   * @param mine true where whoever asks may have it written, closed, or given another address
   * @param file the last one; null while nothing was written
   */
  public record OutletView(
      long id,
      long libraryId,
      String library,
      @Nullable Integer edition,
      @Nullable Integer should,
      String format,
      String unit,
      OutletKind kind,
      @Nullable String folder,
      @Nullable String path,
      String name,
      State state,
      String note,
      boolean mine,
      Instant madeAt,
      String madeBy,
      @Nullable OutletFile file) {}

  /**
   * All outlets of libraries that whoever asks sees, or those of one. Folders are looked into,
   * which may take its time, so no connection is held meanwhile.
   */
  List<OutletView> all(@Nullable Long library) {
    if (library != null) {
      guard.need(library, LibraryRight.USE);
      return views(store.of(library));
    }
    Set<Long> hidden = guard.hidden();
    return views(store.all().stream().filter(one -> !hidden.contains(one.libraryId())).toList());
  }

  private List<OutletView> views(List<Outlet> some) {
    Map<Long, String> names = new HashMap<>();
    return some.stream()
        .map(one -> view(one, names.computeIfAbsent(one.libraryId(), this::name)))
        .toList();
  }

  private String name(long library) {
    return jdbc.sql("select name from library where id = ?")
        .param(library)
        .query(String.class)
        .optional()
        .orElse("");
  }

  /** One of them, in the same way. */
  OutletView get(long id) {
    Outlet one = store.known(id);
    guard.need(one.libraryId(), LibraryRight.USE);
    return view(one, name(one.libraryId()));
  }

  private OutletView view(Outlet one, String library) {
    Optional<EditionHead> should = writing.should(one);
    boolean changed =
        one.kind() == OutletKind.FOLDER
            && one.writtenEditionId() != null
            && folders.root().isPresent()
            && folders.found(one) != OutletFolders.Found.AS_WRITTEN;
    State state = state(one, should, changed);
    return new OutletView(
        one.id(),
        one.libraryId(),
        library,
        one.editionId() == null ? null : editions.get(one.editionId()).number(),
        should.map(EditionHead::number).orElse(null),
        one.format(),
        one.unit(),
        one.kind(),
        one.folder(),
        one.folder() == null || folders.root().isEmpty()
            ? null
            : folders.folder(one.folder()).resolve(one.name()).toString(),
        one.name(),
        state,
        note(one, state, changed),
        guard.feeds(one.libraryId()),
        one.madeAt(),
        one.madeBy(),
        file(one));
  }

  private static State state(Outlet one, Optional<EditionHead> should, boolean changed) {
    if (should.isEmpty()) {
      return State.NO_EDITION;
    }
    if (one.fault() != null) {
      return State.FAILED;
    }
    if (one.writtenEditionId() == null) {
      return State.WAITING;
    }
    boolean behind = one.writtenEditionId() != should.get().id();
    return behind || changed ? State.STALE : State.FED;
  }

  private static String note(Outlet one, State state, boolean changed) {
    return switch (state) {
      case FED -> "";
      case WAITING -> "it is written within seconds";
      case NO_EDITION -> "the library has no edition yet; publish one";
      case FAILED -> Optional.ofNullable(one.fault()).orElse("");
      case STALE ->
          changed
              ? "somebody changed or deleted the file; have it written again"
              : "a newer edition is written within seconds";
    };
  }

  private @Nullable OutletFile file(Outlet one) {
    if (one.writtenEditionId() == null || one.writtenAt() == null) {
      return null;
    }
    ConversionReport.Proof proof = json.read(one.proof(), ConversionReport.Proof.class);
    return new OutletFile(
        editions.get(one.writtenEditionId()).number(),
        one.writtenAt(),
        one.size(),
        one.sha256(),
        one.tools(),
        one.lossCount(),
        json.read(one.losses(), OutletWriting.KeptLosses.class).groups(),
        proof.equal(),
        proof.compared(),
        proof.differences());
  }
}
