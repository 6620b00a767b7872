package arborline.server.library;

import arborline.core.library.LibraryProcess;
import arborline.server.library.EntryUndo.Held;
import arborline.server.live.Live;
import arborline.server.support.Json;
import arborline.server.support.Refusal;
import arborline.server.tool.CurrentTool;
import arborline.server.tool.ToolReference;
import arborline.server.tool.ToolStore;
import jakarta.persistence.EntityManager;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** Entries of libraries go with their tool; where a library holds both, one entry is left. */
@Component
@Order(0)
class EntryReference implements ToolReference {

  private final EntryRepository entries;
  private final EntryStore store;
  private final SectionStore sections;
  private final ToolStore tools;
  private final EntityManager entities;
  private final Live live;
  private final Json json;

  EntryReference(
      EntryRepository entries,
      EntryStore store,
      SectionStore sections,
      ToolStore tools,
      EntityManager entities,
      Live live,
      Json json) {
    this.entries = entries;
    this.store = store;
    this.sections = sections;
    this.tools = tools;
    this.entities = entities;
    this.live = live;
    this.json = json;
  }

  /**
   * An entry as it was.
   *
   * @param given true where it was given up for the other tool's
   * @param added sections into which the other tool's entry came by it
   */
  record Step(Held before, boolean given, long otherEntryId, List<Long> added) {}

  record Moved(List<Step> steps) {}

  @Override
  public String name() {
    return "entry";
  }

  @Override
  public Followed follow(CurrentTool from, CurrentTool into) {
    List<Step> steps = new ArrayList<>();
    List<String> sentences = new ArrayList<>();
    for (Entry entry : entries.findByToolIdOrderByLibraryId(from.id())) {
      Library library = store.lockedForReference(entry.libraryId);
      Held before = Held.of(entry, sections.of(entry.id));
      Optional<Entry> other = entries.findByLibraryIdAndToolId(library.id, into.id());
      if (other.isPresent()) {
        steps.add(given(entry, before, other.get()));
        sentences.add(
            "%s holds both: number %d of %s is given up, %s keeps number %d"
                .formatted(
                    library.name, entry.number, from.code(), into.code(), other.get().number));
      } else {
        steps.add(moved(entry, before, into));
        sentences.add(
            "number %d of %s becomes %s%s"
                .formatted(
                    entry.number,
                    library.name,
                    into.code(),
                    entry.pinned ? ", pinned to version " + into.versionNo() : ""));
      }
      live.say("library", library.id, "");
    }
    entities.flush();
    return steps.isEmpty()
        ? Followed.NOTHING
        : new Followed(json.text(new Moved(steps)), sentences);
  }

  private Step given(Entry entry, Held before, Entry other) {
    List<Long> has = sections.of(other.id);
    List<Long> added = before.sections().stream().filter(id -> !has.contains(id)).toList();
    entries.delete(entry);
    entities.flush();
    sections.put(added.stream().map(id -> new Section.Member(other.id, id)).toList());
    sections.tell(List.of(other.id));
    return new Step(before, true, other.id, added);
  }

  private Step moved(Entry entry, Held before, CurrentTool into) {
    store.follow(entry, into);
    entry.toolId = into.id();
    return new Step(before, false, entry.id, List.of());
  }

  @Override
  public void goBack(CurrentTool from, CurrentTool into, String kept) {
    for (Step step : json.read(kept, Moved.class).steps()) {
      Held before = step.before();
      Library library = store.lockedForReference(before.libraryId());
      CurrentTool held =
          before.pinned() ? tools.at(from.id(), before.versionId()) : tools.get(from.id());
      if (step.given()) {
        bringBack(library, step, held);
      } else {
        Entry entry =
            entries.findByIdIn(List.of(before.entryId())).stream()
                .findFirst()
                .filter(one -> one.toolId == into.id())
                .orElseThrow(() ->
                    Refusal.conflict(
                        "%s was taken out of %s since; take that back first"
                            .formatted(into.code(), library.name)));
        store.follow(entry, held);
        entry.toolId = from.id();
        entry.pinned = before.pinned();
      }
      live.say("library", library.id, "");
    }
    entities.flush();
  }

  private void bringBack(Library library, Step step, CurrentTool held) {
    Held before = step.before();
    LibraryProcess among = before.process();
    entries
        .findByLibraryIdAndProcessAndNumber(library.id, among, before.number())
        .ifPresent(now -> {
          throw Refusal.conflict(
              "number %d of %s is %s now; renumber that one first"
                  .formatted(before.number(), library.name, now.code));
        });
    Entry entry = new Entry(before.entryId(), library.id, held, among, before.number());
    entry.pinned = before.pinned();
    entities.persist(entry);
    entities.flush();
    sections.put(
        sections.existing(library.id, before.sections()).stream()
            .map(id -> new Section.Member(entry.id, id))
            .toList());
    sections.takeOut(
        step.added().stream().map(id -> new Section.Member(step.otherEntryId(), id)).toList());
    sections.tell(List.of(entry.id, step.otherEntryId()));
  }
}
