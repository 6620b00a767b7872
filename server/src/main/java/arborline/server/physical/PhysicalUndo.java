package arborline.server.physical;

import arborline.core.physical.Whereabouts;
import arborline.server.account.Permission;
import arborline.server.live.Live;
import arborline.server.machine.PlannedPieces;
import arborline.server.support.Json;
import arborline.server.support.Refusal;
import arborline.server.trail.Undo;
import arborline.server.trail.UndoKind;
import java.time.Clock;
import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.stereotype.Component;

/** Takes back what was said of a physical tool, as long as nothing else was said of it since. */
@Component
class PhysicalUndo implements Undo<PhysicalUndo.Changed> {

  static final UndoKind<Changed> KIND =
      new UndoKind<>("physical.changed", 1, Changed.class, Permission.HANDLE);

  private final PhysicalStore store;
  private final PlannedPieces planned;
  private final Json json;
  private final Live live;
  private final Clock clock;

  PhysicalUndo(PhysicalStore store, PlannedPieces planned, Json json, Live live, Clock clock) {
    this.store = store;
    this.planned = planned;
    this.json = json;
    this.live = live;
    this.clock = clock;
  }

  /**
   * A piece before a change.
   *
   * @param before as JSON; null where it was made
   * @param cut material that was noted with it; null for none
   * @param given planned place that became its own with it; null for none
   * @param planned what was planned there before; null for none
   */
  record Changed(
      long id,
      @Nullable String before,
      int versionAfter,
      @Nullable String cut,
      PlannedPieces.@Nullable At given,
      @Nullable String planned) {}

  @Override
  public UndoKind<Changed> kind() {
    return KIND;
  }

  @Override
  public void takeBack(Changed deed) {
    String serial;
    if (deed.before() == null) {
      PhysicalTool made = unchanged(deed);
      store.delete(made.id(), Instant.now(clock));
      serial = made.serial();
    } else {
      PhysicalTool before = json.read(deed.before(), PhysicalTool.class);
      serial = before.serial();
      if (store.lock(deed.id()).isEmpty()) {
        store.bringBack(deed.id());
      } else {
        unchanged(deed);
      }
      write(before);
    }
    if (deed.cut() != null) {
      store.uncut(deed.id(), deed.cut());
    }
    if (deed.given() != null && deed.planned() != null) {
      planned.bringBack(deed.given(), serial, deed.planned());
    }
    live.say("physical", deed.id(), "changed");
  }

  private PhysicalTool unchanged(Changed deed) {
    return store
        .lock(deed.id())
        .filter(now -> now.version() == deed.versionAfter())
        .orElseThrow(() ->
            Refusal.conflict("something else was done to this piece since; take that back first"));
  }

  private void write(PhysicalTool before) {
    try {
      store.update(before);
    } catch (DuplicateKeyException taken) {
      Whereabouts there = before.where();
      String other =
          store
              .standing(there.machine().orElseThrow(), there.place().orElse(""))
              .map(PhysicalTool::serial)
              .orElse("another one");
      throw Refusal.conflict(
          "%s stands where %s was; carry that away first".formatted(other, before.serial()));
    }
  }
}
