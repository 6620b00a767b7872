package arborline.server.outlet;

import arborline.server.account.Permission;
import arborline.server.live.Live;
import arborline.server.support.Refusal;
import arborline.server.trail.Trail;
import arborline.server.trail.TrailRecord;
import arborline.server.trail.Undo;
import arborline.server.trail.UndoKind;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Has outlets write another library, or another edition. */
@Service
public class OutletAims implements Undo<OutletAims.Aimed> {

  private static final UndoKind<Aimed> KIND =
      new UndoKind<>("outlet.aimed", 1, Aimed.class, Permission.EDIT);

  private final Outlets outlets;
  private final OutletStore store;
  private final Trail trail;
  private final Live live;

  OutletAims(Outlets outlets, OutletStore store, Trail trail, Live live) {
    this.outlets = outlets;
    this.store = store;
    this.trail = trail;
    this.live = live;
  }

  /** What an outlet wrote before and then; a null edition is always the newest. */
  public record Aimed(
      long outlet,
      long library,
      @Nullable Long edition,
      long libraryAfter,
      @Nullable Long editionAfter) {}

  /**
   * Has an outlet write something else from now on, within seconds.
   *
   * @param edition null for always the newest
   */
  @Transactional
  public void write(long id, long library, @Nullable Long edition) {
    Outlet before = store.known(id);
    aim(id, before.libraryId(), library, edition);
    trail.record(
        TrailRecord.of("library", library, "had outlet %s write otherwise".formatted(before.name()))
            .undoneBy(
                KIND, new Aimed(id, before.libraryId(), before.editionId(), library, edition)));
  }

  private void aim(long id, long from, long library, @Nullable Long edition) {
    outlets.locked(Math.min(from, library));
    outlets.locked(Math.max(from, library));
    outlets.checkEdition(library, edition);
    store.aim(id, library, edition);
    live.say("library", from, "outlet");
    live.say("library", library, "outlet");
  }

  @Override
  public UndoKind<Aimed> kind() {
    return KIND;
  }

  @Override
  public void takeBack(Aimed aimed) {
    Outlet now = store.known(aimed.outlet());
    if (now.libraryId() != aimed.libraryAfter()
        || !Objects.equals(now.editionId(), aimed.editionAfter())) {
      throw Refusal.conflict("the outlet writes something else since; take that back first");
    }
    aim(aimed.outlet(), aimed.libraryAfter(), aimed.library(), aimed.edition());
  }
}
