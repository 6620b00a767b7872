package arborline.server.derived;

import arborline.core.edition.BaseUpdate;
import arborline.core.edition.BaseUpdate.Kind;
import arborline.core.edition.FieldChange;
import arborline.core.edition.FrozenEntry;
import arborline.core.edition.FrozenTool;
import arborline.core.sharing.LibraryRight;
import arborline.server.account.Permission;
import arborline.server.derived.DerivedTools.Coming;
import arborline.server.edition.EditionStore;
import arborline.server.edition.LibraryNow;
import arborline.server.library.LibraryLeaving;
import arborline.server.library.LibraryLocks;
import arborline.server.live.Live;
import arborline.server.support.Refusal;
import arborline.server.tool.ToolStore;
import arborline.server.trail.Trail;
import arborline.server.trail.TrailRecord;
import arborline.server.trail.Undo;
import arborline.server.trail.UndoKind;
import jakarta.persistence.EntityManager;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Has a derived library become what a newer edition of its base makes of it, and takes it back. */
@Component
@Transactional(propagation = Propagation.MANDATORY)
class BaseUpdateTaking implements Undo<BaseUpdateTaking.Taken> {

  private static final UndoKind<Taken> KIND =
      new UndoKind<>("library.base-update", 1, Taken.class, Permission.EDIT);

  private final DerivedStore store;
  private final DerivedTools derived;
  private final Deriving deriving;
  private final EditionStore editions;
  private final LibraryNow now;
  private final LibraryLocks locks;
  private final LibraryLeaving leaving;
  private final ToolStore tools;
  private final EntityManager entities;
  private final Trail trail;
  private final Live live;

  BaseUpdateTaking(
      DerivedStore store,
      DerivedTools derived,
      Deriving deriving,
      EditionStore editions,
      LibraryNow now,
      LibraryLocks locks,
      LibraryLeaving leaving,
      ToolStore tools,
      EntityManager entities,
      Trail trail,
      Live live) {
    this.store = store;
    this.derived = derived;
    this.deriving = deriving;
    this.editions = editions;
    this.now = now;
    this.locks = locks;
    this.leaving = leaving;
    this.tools = tools;
    this.entities = entities;
    this.trail = trail;
    this.live = live;
  }

  /** A frozen tool as it is kept for taking back. */
  record KeptTool(String content, int number, String section) {

    static KeptTool of(FrozenEntry entry) {
      return new KeptTool(entry.tool().text(), entry.number(), entry.section());
    }

    FrozenEntry entry() {
      return new FrozenEntry(FrozenTool.read(content), number, section);
    }
  }

  /** A tool as it was and as it became. */
  record ChangedTool(long toolId, KeptTool before, KeptTool after) {}

  /**
   * What is kept of a taking.
   *
   * @param from edition that was taken in before
   * @param added tools that came in
   * @param putAway number under which those are kept that went out; 0 for none
   */
  record Taken(
      long libraryId,
      long from,
      long to,
      List<ChangedTool> changed,
      List<Long> added,
      long putAway) {}

  /**
   * A newer edition that was taken in.
   *
   * @param renumbered tools whose number another one has here, with the number that they got
   * @param undo line of the trail that takes it back
   */
  record UpdateTaken(
      int added, int changed, int removed, Map<String, Integer> renumbered, long undo) {}

  UpdateTaken take(BaseUpdates.Steps update, String base, List<BaseUpdate.Step> steps) {
    long library = update.library().libraryId();
    steps.stream().filter(step -> step.after().isPresent()).forEach(BaseUpdateTaking::refuse);
    String origin = "taken in with edition %d of %s".formatted(update.to().number(), base);
    List<Long> gone =
        of(steps, Kind.REMOVED).stream().map(step -> step.toolId().getAsLong()).toList();
    long putAway = gone.isEmpty() ? 0 : leaving.leave(library, gone);
    Map<Long, FrozenEntry> wanted = new LinkedHashMap<>();
    of(steps, Kind.CHANGED)
        .forEach(step -> wanted.put(step.toolId().getAsLong(), step.after().orElseThrow()));
    Map<Long, Integer> numbers = derived.become(library, wanted, origin);
    List<Coming> coming =
        of(steps, Kind.ADDED).stream()
            .map(step -> new Coming(step.base().getAsLong(), step.after().orElseThrow()))
            .toList();
    Map<Long, Long> added = coming.isEmpty() ? Map.of() : derived.add(library, coming, origin);
    if (!added.isEmpty()) {
      deriving.trust(update.to().id(), added);
    }
    store.took(library, update.to().id());
    entities.flush();
    entities.clear();
    Map<String, Integer> renumbered = new HashMap<>();
    numbers.forEach((tool, number) -> renumbered.put(wanted.get(tool).tool().code(), number));
    live.say("library", library, "base");
    long undo = record(update, base, steps, List.copyOf(added.values()), putAway);
    return new UpdateTaken(added.size(), wanted.size(), gone.size(), renumbered, undo);
  }

  private static List<BaseUpdate.Step> of(List<BaseUpdate.Step> steps, Kind kind) {
    return steps.stream().filter(step -> step.kind() == kind).toList();
  }

  private static void refuse(BaseUpdate.Step step) {
    List<String> obstacles = DerivedTools.obstacles(step);
    if (!obstacles.isEmpty()) {
      throw Refusal.conflict(
          "%s cannot become what the base and the changes here make of it: %s; leave it as it is, or correct it first"
              .formatted(step.code(), obstacles.getFirst()));
    }
  }

  private long record(
      BaseUpdates.Steps update,
      String base,
      List<BaseUpdate.Step> steps,
      List<Long> added,
      long putAway) {
    long library = update.library().libraryId();
    List<BaseUpdate.Step> changed = of(steps, Kind.CHANGED);
    Map<Long, FrozenEntry> after =
        now.of(library, changed.stream().map(step -> step.toolId().getAsLong()).toList());
    List<ChangedTool> kept = new ArrayList<>();
    for (BaseUpdate.Step step : changed) {
      long tool = step.toolId().getAsLong();
      kept.add(
          new ChangedTool(
              tool,
              KeptTool.of(step.before().orElseThrow()),
              KeptTool.of(Objects.requireNonNull(after.get(tool)))));
    }
    return trail.record(
        TrailRecord.of(
                "library",
                library,
                "took edition %d of %s in: %d came, %d changed, %d went"
                    .formatted(
                        update.to().number(),
                        base,
                        added.size(),
                        changed.size(),
                        of(steps, Kind.REMOVED).size()))
            .undoneBy(
                KIND,
                new Taken(library, update.from().id(), update.to().id(), kept, added, putAway)));
  }

  @Override
  public UndoKind<Taken> kind() {
    return KIND;
  }

  @Override
  public void takeBack(Taken taken) {
    long library = taken.libraryId();
    locks.lock(library, LibraryRight.MAINTAIN);
    if (store.of(library).filter(one -> one.editionId() == taken.to()).isEmpty()) {
      throw Refusal.conflict("another edition was taken in since; take that back first");
    }
    List<Long> ids = taken.changed().stream().map(ChangedTool::toolId).toList();
    tools.hold(ids);
    Map<Long, FrozenEntry> standing = now.of(library, ids);
    Map<Long, FrozenEntry> former = new LinkedHashMap<>();
    for (ChangedTool tool : taken.changed()) {
      FrozenEntry after = tool.after().entry();
      FrozenEntry is = standing.get(tool.toolId());
      if (is == null
          || !is.tool().code().equals(after.tool().code())
          || !FieldChange.between(after.fields(), is.fields()).isEmpty()) {
        throw Refusal.conflict(
            "%s was changed since; take that back first".formatted(after.tool().code()));
      }
      former.put(tool.toolId(), tool.before().entry());
    }
    if (!taken.added().isEmpty()) {
      leaving.leave(library, taken.added());
    }
    derived.become(library, former, "taken back");
    if (taken.putAway() > 0) {
      leaving.comeBack(taken.putAway());
    }
    store.took(library, editions.get(taken.from()).id());
    live.say("library", library, "base");
  }
}
