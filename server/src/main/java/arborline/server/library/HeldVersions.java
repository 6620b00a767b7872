package arborline.server.library;

import arborline.server.account.Permission;
import arborline.server.live.Live;
import arborline.server.support.Refusal;
import arborline.server.tool.CurrentTool;
import arborline.server.tool.ToolStore;
import arborline.server.tool.Tools;
import arborline.server.trail.Trail;
import arborline.server.trail.TrailRecord;
import arborline.server.trail.Undo;
import arborline.server.trail.UndoKind;
import arborline.server.trail.Undoable;
import jakarta.persistence.EntityManager;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Isolation;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** In which version libraries hold their tools: pinned to one, or following the newest. */
@Service
class HeldVersions implements Undo<HeldVersions.Changed> {

  private static final UndoKind<Changed> KIND =
      new UndoKind<>("entry.versions", 1, Changed.class, Permission.EDIT);
  private static final int CHUNK = 1000;

  private final EntryStore store;
  private final EntryRepository entries;
  private final ToolStore versions;
  private final Tools tools;
  private final EntityManager entities;
  private final Trail trail;
  private final Live live;

  HeldVersions(
      EntryStore store,
      EntryRepository entries,
      ToolStore versions,
      Tools tools,
      EntityManager entities,
      Trail trail,
      Live live) {
    this.store = store;
    this.entries = entries;
    this.versions = versions;
    this.tools = tools;
    this.entities = entities;
    this.trail = trail;
    this.live = live;
  }

  /** An entry as it was and as it became. */
  record Step(
      long entryId, long versionBefore, boolean pinnedBefore, long version, boolean pinned) {}

  record Changed(long libraryId, List<Step> steps) {}

  /** Has tools follow their newest versions, or pins them to those that the library holds. */
  @Transactional(isolation = Isolation.READ_COMMITTED)
  Undoable follow(long libraryId, List<Long> toolIds, boolean follow) {
    return follow(store.locked(libraryId), toolIds, follow);
  }

  /** Pins tools of a locked library to the versions that it holds. */
  @Transactional(propagation = Propagation.MANDATORY)
  void stay(Library library, List<Long> toolIds) {
    follow(library, toolIds, false);
  }

  private Undoable follow(Library library, List<Long> toolIds, boolean follow) {
    long libraryId = library.id;
    versions.hold(toolIds);
    List<Step> steps = new ArrayList<>();
    List<Long> ids = store.entryIds(libraryId, toolIds);
    for (int from = 0; from < ids.size(); from += CHUNK) {
      List<Entry> some =
          entries.findByIdIn(ids.subList(from, Math.min(ids.size(), from + CHUNK))).stream()
              .filter(entry -> entry.pinned == follow)
              .toList();
      Map<Long, CurrentTool> newest =
          follow && !some.isEmpty()
              ? tools.current(some.stream().map(entry -> entry.toolId).toList())
              : Map.of();
      for (Entry entry : some) {
        long before = entry.versionId;
        entry.pinned = !follow;
        if (follow) {
          store.follow(entry, newest.get(entry.toolId));
        }
        steps.add(new Step(entry.id, before, follow, entry.versionId, !follow));
      }
      entities.flush();
      entities.clear();
    }
    String count = TrailRecord.count(steps.size(), "tool");
    return told(
        library,
        steps,
        follow
            ? "let %s of %s follow the newest version".formatted(count, library.name)
            : "pinned %s of %s to the version held".formatted(count, library.name));
  }

  /** Pins a tool of a library to one of its versions. */
  @Transactional(isolation = Isolation.READ_COMMITTED)
  Undoable pin(long libraryId, long toolId, int versionNo) {
    Library library = store.locked(libraryId);
    versions.hold(List.of(toolId));
    Entry entry = store.entry(libraryId, toolId);
    CurrentTool wanted = versions.numbered(toolId, versionNo);
    Step step = new Step(entry.id, entry.versionId, entry.pinned, wanted.versionId(), true);
    store.follow(entry, wanted);
    entry.pinned = true;
    boolean same = step.versionBefore() == step.version() && step.pinnedBefore();
    return told(
        library,
        same ? List.of() : List.of(step),
        "pinned %s in %s to version %d".formatted(entry.code, library.name, versionNo));
  }

  private Undoable told(Library library, List<Step> steps, String text) {
    if (steps.isEmpty()) {
      return new Undoable(0);
    }
    live.say("library", library.id, "");
    return new Undoable(
        trail.record(
            TrailRecord.of("library", library.id, text)
                .undoneBy(KIND, new Changed(library.id, steps))));
  }

  @Override
  public UndoKind<Changed> kind() {
    return KIND;
  }

  @Override
  public void takeBack(Changed changed) {
    store.locked(changed.libraryId());
    Map<Long, Step> steps =
        changed.steps().stream().collect(Collectors.toMap(Step::entryId, step -> step));
    List<Long> ids = List.copyOf(steps.keySet());
    for (int from = 0; from < ids.size(); from += CHUNK) {
      List<Long> some = ids.subList(from, Math.min(ids.size(), from + CHUNK));
      versions.hold(entries.toolsOf(some));
      for (Entry entry : entries.findByIdIn(some)) {
        takeBack(entry, Objects.requireNonNull(steps.get(entry.id)));
      }
      entities.flush();
      entities.clear();
    }
    live.say("library", changed.libraryId(), "");
  }

  private void takeBack(Entry entry, Step step) {
    boolean asItBecame = entry.pinned == step.pinned();
    boolean moved = entry.pinned && entry.versionId != step.version();
    if (!asItBecame || moved) {
      throw Refusal.conflict(
          "%s was pinned or let go again since; take the later change back first"
              .formatted(entry.code));
    }
    entry.pinned = step.pinnedBefore();
    store.follow(
        entry,
        step.pinnedBefore()
            ? versions.at(entry.toolId, step.versionBefore())
            : versions.get(entry.toolId));
  }
}
