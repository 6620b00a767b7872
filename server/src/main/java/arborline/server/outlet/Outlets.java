package arborline.server.outlet;

import arborline.core.exchange.BundleFormat;
import arborline.core.quantity.Unit;
import arborline.core.sharing.LibraryRight;
import arborline.server.account.Actor;
import arborline.server.account.Permission;
import arborline.server.account.Secrets;
import arborline.server.edition.EditionStore;
import arborline.server.exchange.Formats;
import arborline.server.exchange.PackedFiles;
import arborline.server.library.LibraryCitations;
import arborline.server.library.LibraryLocks;
import arborline.server.live.Live;
import arborline.server.right.LibraryGuard;
import arborline.server.support.Refusal;
import arborline.server.trail.Trail;
import arborline.server.trail.TrailRecord;
import arborline.server.trail.Undo;
import arborline.server.trail.UndoKind;
import arborline.server.trail.Undoable;
import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Opens outlets of libraries and closes them. */
@Service
public class Outlets implements LibraryCitations, Undo<Outlets.Closed> {

  private static final UndoKind<Closed> KIND =
      new UndoKind<>("outlet.closed", 1, Closed.class, Permission.EDIT);
  private static final int MOST = 500;
  private static final String NAME = "[A-Za-z0-9][A-Za-z0-9 ._-]{0,99}";
  private static final String FOLDER = "[A-Za-z0-9][A-Za-z0-9 _-]{0,59}";

  private final OutletStore store;
  private final OutletViews views;
  private final OutletFolders folders;
  private final EditionStore editions;
  private final LibraryLocks locks;
  private final LibraryGuard guard;
  private final Trail trail;
  private final Live live;
  private final Clock clock;

  Outlets(
      OutletStore store,
      OutletViews views,
      OutletFolders folders,
      EditionStore editions,
      LibraryLocks locks,
      LibraryGuard guard,
      Trail trail,
      Live live,
      Clock clock) {
    this.store = store;
    this.views = views;
    this.folders = folders;
    this.editions = editions;
    this.locks = locks;
    this.guard = guard;
    this.trail = trail;
    this.live = live;
    this.clock = clock;
  }

  /**
   * What is to be opened.
   *
   * @param edition which one it always holds; null for the newest
   * @param name of the file; null for that of the library
   */
  public record OutletOrder(
      @Nullable Long library,
      @Nullable Long edition,
      @Nullable String format,
      @Nullable String unit,
      @Nullable OutletKind kind,
      @Nullable String folder,
      @Nullable String name) {}

  /**
   * An outlet that was opened.
   *
   * @param address from which programs read it, told this once; null for a folder
   */
  public record OutletOpened(OutletViews.OutletView outlet, @Nullable String address) {}

  /** True where this server writes into folders. */
  public boolean writesIntoFolders() {
    return folders.root().isPresent();
  }

  /** Opens one; it is written within seconds. */
  @Transactional
  public OutletOpened open(OutletOrder order) {
    if (order.library() == null || order.kind() == null) {
      throw Refusal.badRequest("say which library, and kind FOLDER or ADDRESS");
    }
    long library = order.library();
    BundleFormat format = Formats.named(Optional.ofNullable(order.format()).orElse(""));
    String unit = Formats.unit(order.unit()).map(Unit::code).orElse("");
    String title = locked(library);
    if (store.count() >= MOST) {
      throw Refusal.conflict("there are %d outlets already; close one first".formatted(MOST));
    }
    checkEdition(library, order.edition());
    String folder = order.kind() == OutletKind.FOLDER ? folder(order.folder()) : null;
    String key = order.kind() == OutletKind.ADDRESS ? Secrets.fresh() : null;
    Outlet wanted =
        wanted(order, library, format, unit, folder, fileName(order.name(), title, format));
    long id = add(null, wanted, key == null ? null : Secrets.hash(key));
    trail.record(TrailRecord.of("library", library, "opened outlet " + wanted.name()));
    live.say("library", library, "outlet");
    return new OutletOpened(views.get(id), key == null ? null : address(key, wanted.name()));
  }

  String locked(long library) {
    String name = locks.lock(library, LibraryRight.USE);
    guard.needFeeding(library);
    return name;
  }

  private static String address(String key, String name) {
    return "/api/v1/feeds/%s/%s".formatted(key, name.replace(" ", "%20"));
  }

  void checkEdition(long library, @Nullable Long edition) {
    if (edition != null && editions.get(edition).libraryId() != library) {
      throw Refusal.badRequest("edition %d is of another library".formatted(edition));
    }
  }

  private String folder(@Nullable String given) {
    String folder = Optional.ofNullable(given).orElse("").strip();
    if (!folder.matches(FOLDER)) {
      throw Refusal.badRequest("a folder is named by up to 60 letters, digits, blanks, - and _");
    }
    folders.make(folder);
    return folder;
  }

  private static String fileName(@Nullable String given, String title, BundleFormat format) {
    String name =
        Optional.ofNullable(given)
            .map(String::strip)
            .filter(text -> !text.isEmpty())
            .orElseGet(() -> PackedFiles.fileName(title, format.ending()));
    if (!name.matches(NAME) || name.contains("..")) {
      throw Refusal.badRequest(
          "a file is named by up to 100 letters, digits, blanks, points, - and _");
    }
    return name.endsWith("." + format.ending()) ? name : name + "." + format.ending();
  }

  private Outlet wanted(
      OutletOrder order,
      long library,
      BundleFormat format,
      String unit,
      @Nullable String folder,
      String name) {
    return new Outlet(
        0,
        library,
        order.edition(),
        format.id(),
        unit,
        order.kind(),
        folder,
        name,
        1,
        Instant.now(clock).truncatedTo(ChronoUnit.MICROS),
        Actor.name(),
        true,
        null,
        null,
        null,
        null,
        0,
        "",
        0,
        0,
        0,
        null,
        null);
  }

  private long add(@Nullable Long id, Outlet one, @Nullable String keyHash) {
    try {
      return store.add(id, one, keyHash);
    } catch (DuplicateKeyException taken) {
      throw Refusal.conflict(
          "another outlet writes %s into folder %s; choose another name"
              .formatted(one.name(), one.folder()));
    }
  }

  /** Has it written again within seconds, whatever stands there. */
  @Transactional
  void again(long id) {
    Outlet one = store.known(id);
    guard.needFeeding(one.libraryId());
    store.want(id);
  }

  /** A new address; the former one is nothing any more. */
  @Transactional
  OutletOpened newAddress(long id) {
    Outlet one = store.known(id);
    locked(one.libraryId());
    if (one.kind() != OutletKind.ADDRESS) {
      throw Refusal.conflict("the outlet writes into a folder and has no address");
    }
    String key = Secrets.fresh();
    store.key(id, Secrets.hash(key));
    trail.record(
        TrailRecord.of(
            "library", one.libraryId(), "gave outlet %s a new address".formatted(one.name())));
    return new OutletOpened(views.get(id), address(key, one.name()));
  }

  /** What is kept of an outlet that was closed. */
  record Closed(OutletRow outlet, @Nullable String keyHash) {}

  /** What an outlet is to do. */
  record OutletRow(
      long id,
      long library,
      @Nullable Long edition,
      String format,
      String unit,
      OutletKind kind,
      @Nullable String folder,
      String name) {}

  /** Writes it no more; the file in its folder stays, an address is nothing any more. */
  @Transactional
  Undoable close(long id) {
    Outlet one = store.known(id);
    locked(one.libraryId());
    Closed closed =
        new Closed(
            new OutletRow(
                id,
                one.libraryId(),
                one.editionId(),
                one.format(),
                one.unit(),
                one.kind(),
                one.folder(),
                one.name()),
            store.keyHash(id).orElse(null));
    store.remove(id);
    live.say("library", one.libraryId(), "outlet");
    return new Undoable(
        trail.record(
            TrailRecord.of("library", one.libraryId(), "closed outlet " + one.name())
                .undoneBy(KIND, closed)));
  }

  @Override
  public UndoKind<Closed> kind() {
    return KIND;
  }

  @Override
  public void takeBack(Closed closed) {
    OutletRow row = closed.outlet();
    locked(row.library());
    OutletOrder order =
        new OutletOrder(
            row.library(),
            row.edition(),
            row.format(),
            row.unit(),
            row.kind(),
            row.folder(),
            row.name());
    add(
        row.id(),
        wanted(
            order,
            row.library(),
            Formats.named(row.format()),
            row.unit(),
            row.folder(),
            row.name()),
        closed.keyHash());
    live.say("library", row.library(), "outlet");
  }

  @Override
  public List<String> of(long libraryId) {
    return store.of(libraryId).stream()
        .map(one -> "outlet %s, which writes it".formatted(one.name()))
        .toList();
  }
}
