package arborline.server.library;

import arborline.server.account.Permission;
import arborline.server.live.Live;
import arborline.server.support.Refusal;
import arborline.server.trail.Undo;
import arborline.server.trail.UndoKind;
import jakarta.persistence.EntityManager;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Takes back that a tool was put into a library or taken out of it. */
@Configuration
class EntryUndo {

  static final UndoKind<Shelved> ADDED =
      new UndoKind<>("entry.added", 1, Shelved.class, Permission.EDIT);
  static final UndoKind<Shelved> REMOVED =
      new UndoKind<>("entry.removed", 1, Shelved.class, Permission.EDIT);

  /** Enough to put an entry back. */
  record Shelved(long entryId, long libraryId, long toolId, int number, String section) {

    static Shelved of(Entry entry) {
      return new Shelved(entry.id, entry.libraryId, entry.toolId, entry.number, entry.section);
    }
  }

  @Bean
  Undo<Shelved> undoEntryAdded(EntryRepository entries, Live live) {
    return Undo.of(
        ADDED,
        shelved -> {
          entries
              .findByLibraryIdAndToolId(shelved.libraryId(), shelved.toolId())
              .ifPresent(entries::delete);
          live.say("library", shelved.libraryId(), "");
        });
  }

  @Bean
  Undo<Shelved> undoEntryRemoved(
      EntityManager entities,
      EntryRepository entries,
      ToolRepository tools,
      VersionRepository versions,
      Live live) {
    return Undo.of(
        REMOVED,
        shelved -> {
          if (entries.findByLibraryIdAndToolId(shelved.libraryId(), shelved.toolId()).isPresent()) {
            throw Refusal.conflict("the library holds it again already");
          }
          entries
              .findByLibraryIdAndNumber(shelved.libraryId(), shelved.number())
              .ifPresent(now -> {
                throw Refusal.conflict(
                    "number %d of the library is %s now; take that one out first"
                        .formatted(shelved.number(), now.code));
              });
          ShopTool owner = tools.findById(shelved.toolId()).orElseThrow();
          ToolVersion version = versions.findById(owner.versionId).orElseThrow();
          entities.persist(
              new Entry(
                  shelved.entryId(),
                  shelved.libraryId(),
                  owner,
                  shelved.number(),
                  shelved.section(),
                  version.tool(owner.code)));
          live.say("library", shelved.libraryId(), "");
        });
  }
}
