package arborline.server.trail;

import arborline.server.account.Actor;
import arborline.server.account.Permission;
import arborline.server.live.Live;
import arborline.server.right.LibraryGuard;
import arborline.server.right.ToolGuard;
import arborline.server.support.Json;
import arborline.server.support.Refusal;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Keeps the trail; each deed is written in the transaction that does it. */
@Service
public class Trail {

  private final TrailRepository entries;
  private final LibraryLines libraries;
  private final ObjectProvider<Undo<?>> undos;
  private final Json json;
  private final Live live;
  private final Clock clock;
  private final ToolGuard guard;
  private final LibraryGuard seen;

  Trail(
      TrailRepository entries,
      LibraryLines libraries,
      ObjectProvider<Undo<?>> undos,
      Json json,
      Live live,
      Clock clock,
      ToolGuard guard,
      LibraryGuard seen) {
    this.seen = seen;
    this.guard = guard;
    this.entries = entries;
    this.libraries = libraries;
    this.undos = undos;
    this.json = json;
    this.live = live;
    this.clock = clock;
  }

  /** Writes what was done and returns the id under which it can be taken back. */
  @Transactional(propagation = Propagation.MANDATORY)
  public long record(TrailRecord record) {
    String data = record.deed() == null ? null : json.text(record.deed().data());
    TrailEntry entry = entries.save(new TrailEntry(Instant.now(clock), Actor.name(), record, data));
    if (record.deed() != null) {
      libraries.changed(entry.id, record.libraries());
    }
    live.say("trail", entry.id, "");
    return entry.id;
  }

  /** Takes one deed back. */
  @Transactional
  public void undo(long id) {
    TrailEntry entry =
        entries.findById(id).orElseThrow(() -> Refusal.notFound("no such line on the trail"));
    Undo<?> undo = entry.undoKind == null ? null : byKind().get(entry.undoKind);
    if (undo == null) {
      throw Refusal.conflict("this cannot be taken back");
    }
    Set<Long> changed = libraries.changedBy(id);
    if (!changed.isEmpty() && seen.hidden().containsAll(changed)) {
      throw Refusal.notFound("no such line on the trail");
    }
    if (!Actor.may(undo.kind().needs())) {
      throw new AccessDeniedException("taking this back needs the right to do it");
    }
    if (entry.subjectKind.equals("tool") && undo.kind().needs() == Permission.EDIT) {
      guard.needChange(List.of(Long.valueOf(entry.subjectId)));
    }
    if (entries.claim(id) == 0) {
      throw Refusal.conflict("this has been taken back already");
    }
    takeBack(undo, entry);
    entries.undone(
        id, record(TrailRecord.of(entry.subjectKind, entry.subjectId, "took back: " + entry.text)));
  }

  private <D> void takeBack(Undo<D> undo, TrailEntry entry) {
    UndoKind<D> kind = undo.kind();
    if (entry.undoVersion != kind.version()) {
      throw Refusal.conflict(
          "this was done with another version of Arbor Line, which kept too little to take it"
              + " back; change it by hand");
    }
    undo.takeBack(json.read(entry.undoData, kind.keeps()));
  }

  private Map<String, Undo<?>> byKind() {
    return undos.stream()
        .collect(Collectors.toMap(undo -> undo.kind().name(), Function.identity()));
  }
}
