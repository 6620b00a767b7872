package arborline.server.library;

import arborline.server.account.Permission;
import arborline.server.live.Live;
import arborline.server.support.Bulk;
import arborline.server.trail.Undo;
import arborline.server.trail.UndoKind;
import jakarta.persistence.EntityManager;
import java.util.List;
import org.springframework.stereotype.Component;

/** Takes back that tools were copied, moved or merged into a library. */
@Component
class CopyUndo implements Undo<CopyUndo.Copied> {

  static final UndoKind<Copied> KIND =
      new UndoKind<>("library.copied", 1, Copied.class, Permission.EDIT);

  /**
   * What was done.
   *
   * @param added entries that came into the library
   * @param merged libraries that were deleted with it
   * @param putAway number under which the entries are kept that left theirs; 0 for none
   */
  record Copied(long libraryId, List<Long> added, List<Long> merged, long putAway) {}

  private final EntryStore store;
  private final PutAwayEntries away;
  private final LibraryRemoval removal;
  private final EntityManager entities;
  private final Bulk bulk;
  private final Live live;

  CopyUndo(
      EntryStore store,
      PutAwayEntries away,
      LibraryRemoval removal,
      EntityManager entities,
      Bulk bulk,
      Live live) {
    this.store = store;
    this.away = away;
    this.removal = removal;
    this.entities = entities;
    this.bulk = bulk;
    this.live = live;
  }

  @Override
  public UndoKind<Copied> kind() {
    return KIND;
  }

  @Override
  public void takeBack(Copied copied) {
    store.locked(copied.libraryId());
    entities.flush();
    bulk.each("delete from entry where id = ?", copied.added());
    entities.clear();
    if (!copied.merged().isEmpty()) {
      removal.bringBack(copied.merged(), copied.putAway());
    } else if (copied.putAway() > 0) {
      away.bringBack(copied.putAway());
    }
    live.say("library", copied.libraryId(), "");
  }
}
