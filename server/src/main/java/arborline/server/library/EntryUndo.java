package arborline.server.library;

import arborline.server.account.Permission;
import arborline.server.live.Live;
import arborline.server.support.Refusal;
import arborline.server.tool.ToolStore;
import arborline.server.trail.Undo;
import arborline.server.trail.UndoKind;
import jakarta.persistence.EntityManager;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Takes back that a tool was put into a library or taken out of it. */
@Configuration
class EntryUndo {

  static final UndoKind<Held> ADDED = new UndoKind<>("entry.added", 1, Held.class, Permission.EDIT);
  static final UndoKind<Held> REMOVED =
      new UndoKind<>("entry.removed", 1, Held.class, Permission.EDIT);

  /** Enough to put an entry back. */
  record Held(long entryId, long libraryId, long toolId, int number, String section) {

    static Held of(Entry entry) {
      return new Held(entry.id, entry.libraryId, entry.toolId, entry.number, entry.section);
    }
  }

  @Bean
  Undo<Held> undoEntryAdded(EntryRepository entries, Live live) {
    return Undo.of(
        ADDED,
        held -> {
          entries
              .findByLibraryIdAndToolId(held.libraryId(), held.toolId())
              .ifPresent(entries::delete);
          live.say("library", held.libraryId(), "");
        });
  }

  @Bean
  Undo<Held> undoEntryRemoved(
      EntityManager entities, EntryRepository entries, ToolStore tools, Live live) {
    return Undo.of(
        REMOVED,
        held -> {
          if (entries.findByLibraryIdAndToolId(held.libraryId(), held.toolId()).isPresent()) {
            throw Refusal.conflict("the library holds it again already");
          }
          entries
              .findByLibraryIdAndNumber(held.libraryId(), held.number())
              .ifPresent(now -> {
                throw Refusal.conflict(
                    "number %d of the library is %s now; take that one out first"
                        .formatted(held.number(), now.code));
              });
          entities.persist(
              new Entry(
                  held.entryId(),
                  held.libraryId(),
                  tools.get(held.toolId()),
                  held.number(),
                  held.section()));
          live.say("library", held.libraryId(), "");
        });
  }
}
