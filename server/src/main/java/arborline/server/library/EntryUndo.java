package arborline.server.library;

import arborline.core.library.LibraryProcess;
import arborline.server.account.Permission;
import arborline.server.live.Live;
import arborline.server.support.Refusal;
import arborline.server.tool.CurrentTool;
import arborline.server.tool.ToolStore;
import arborline.server.trail.Undo;
import arborline.server.trail.UndoKind;
import jakarta.persistence.EntityManager;
import java.util.List;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Takes back that a tool was put into a library or taken out of it. */
@Configuration
class EntryUndo {

  static final UndoKind<Held> ADDED = new UndoKind<>("entry.added", 2, Held.class, Permission.EDIT);
  static final UndoKind<Held> REMOVED =
      new UndoKind<>("entry.removed", 2, Held.class, Permission.EDIT);

  /** Enough to put an entry back. */
  record Held(
      long entryId,
      long libraryId,
      long toolId,
      long versionId,
      boolean pinned,
      LibraryProcess process,
      int number,
      List<Long> sections) {

    /**
     * @param sections in which it stands
     */
    static Held of(Entry entry, List<Long> sections) {
      return new Held(
          entry.id,
          entry.libraryId,
          entry.toolId,
          entry.versionId,
          entry.pinned,
          entry.process,
          entry.number,
          sections);
    }
  }

  @Bean
  Undo<Held> undoEntryAdded(EntryStore store, EntryRepository entries, Live live) {
    return Undo.of(
        ADDED,
        held -> {
          store.locked(held.libraryId());
          entries
              .findByLibraryIdAndToolId(held.libraryId(), held.toolId())
              .ifPresent(entries::delete);
          live.say("library", held.libraryId(), "");
        });
  }

  @Bean
  Undo<Held> undoEntryRemoved(
      EntityManager entities,
      EntryRepository entries,
      EntryStore store,
      SectionStore sections,
      ToolStore tools,
      Live live) {
    return Undo.of(
        REMOVED,
        held -> {
          store.lockedForEntering(held.libraryId());
          if (entries.findByLibraryIdAndToolId(held.libraryId(), held.toolId()).isPresent()) {
            throw Refusal.conflict("the library holds it again already");
          }
          entries
              .findByLibraryIdAndProcessAndNumber(held.libraryId(), held.process(), held.number())
              .ifPresent(now -> {
                throw Refusal.conflict(
                    "number %d of the library is %s now; take that one out first"
                        .formatted(held.number(), now.code));
              });
          tools.hold(List.of(held.toolId()));
          CurrentTool tool =
              held.pinned() ? tools.at(held.toolId(), held.versionId()) : tools.get(held.toolId());
          Entry entry =
              new Entry(held.entryId(), held.libraryId(), tool, held.process(), held.number());
          entry.pinned = held.pinned();
          entities.persist(entry);
          entities.flush();
          sections.put(
              sections.existing(held.libraryId(), held.sections()).stream()
                  .map(section -> new Section.Member(held.entryId(), section))
                  .toList());
          sections.tell(List.of(held.entryId()));
          store.entered(List.of(held.entryId()));
          live.say("library", held.libraryId(), "");
        });
  }
}
