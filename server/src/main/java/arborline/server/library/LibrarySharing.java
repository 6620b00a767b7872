package arborline.server.library;

import arborline.core.sharing.LibraryRights;
import arborline.core.sharing.Sharing;
import arborline.server.account.Permission;
import arborline.server.live.Live;
import arborline.server.right.RightsBook;
import arborline.server.support.Refusal;
import arborline.server.trail.Trail;
import arborline.server.trail.TrailRecord;
import arborline.server.trail.Undo;
import arborline.server.trail.UndoKind;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Isolation;
import org.springframework.transaction.annotation.Transactional;

/** Changes with whom libraries are shared. */
@Service
public class LibrarySharing implements Undo<LibrarySharing.Changed> {

  private static final UndoKind<Changed> KIND =
      new UndoKind<>("library.rights", 1, Changed.class, Permission.EDIT);

  private final EntryStore store;
  private final HeldVersions versions;
  private final RightsBook rights;
  private final JdbcClient jdbc;
  private final Trail trail;
  private final Live live;

  LibrarySharing(
      EntryStore store,
      HeldVersions versions,
      RightsBook rights,
      JdbcClient jdbc,
      Trail trail,
      Live live) {
    this.store = store;
    this.versions = versions;
    this.rights = rights;
    this.jdbc = jdbc;
    this.trail = trail;
    this.live = live;
  }

  record Changed(long library, KeptRights before, KeptRights after) {}

  /**
   * Has other rights stand; a library that becomes a reference stays at the versions that it holds.
   *
   * @param stamp of what whoever changes it saw
   * @return the line of the trail that takes it back; 0 where nothing changed
   */
  @Transactional(isolation = Isolation.READ_COMMITTED)
  long change(long id, LibraryRights wanted, @Nullable String stamp) {
    Library library = store.lockedToShare(id);
    RightsBook.Standing before = rights.standing(id);
    if (!before.stamp().equals(stamp)) {
      throw Refusal.conflict(
          "somebody else changed who may do what here; look at it again, then say it again");
    }
    if (before.rights().equals(wanted)) {
      return 0;
    }
    share(library, wanted);
    live.say("library", id, "rights");
    return trail.record(
        TrailRecord.of("library", id, told(library, before.rights(), wanted))
            .undoneBy(
                KIND, new Changed(id, KeptRights.of(before.rights()), KeptRights.of(wanted))));
  }

  /** Has other rights stand without a line on the trail, as a library is filled. */
  @Transactional
  public void share(long id, LibraryRights wanted) {
    share(store.lockedToShare(id), wanted);
  }

  private void share(Library library, LibraryRights wanted) {
    if (wanted.sharing() == Sharing.REFERENCE) {
      stay(library);
    }
    rights.change(library.id, wanted);
  }

  private void stay(Library library) {
    List<Long> following =
        jdbc.sql("select tool_id from entry where library_id = ? and not pinned")
            .param(library.id)
            .query(Long.class)
            .list();
    if (!following.isEmpty()) {
      versions.stay(library, following);
    }
  }

  private static String told(Library library, LibraryRights before, LibraryRights after) {
    if (before.sharing() == after.sharing()) {
      return "changed who may do what in library " + library.name;
    }
    return switch (after.sharing()) {
      case PRIVATE -> "made library %s private".formatted(library.name);
      case SHOP -> "shared library %s with the shop".formatted(library.name);
      case REFERENCE -> "made library %s a reference".formatted(library.name);
    };
  }

  @Override
  public UndoKind<Changed> kind() {
    return KIND;
  }

  @Override
  public void takeBack(Changed changed) {
    store.lockedToShare(changed.library());
    if (!rights.standing(changed.library()).rights().equals(changed.after().rights())) {
      throw Refusal.conflict("who may do what was changed again since");
    }
    rights.change(changed.library(), changed.before().rights());
    live.say("library", changed.library(), "rights");
  }
}
