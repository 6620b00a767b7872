package arborline.server.library;

import arborline.server.account.Permission;
import arborline.server.live.Live;
import arborline.server.support.Json;
import arborline.server.support.Refusal;
import arborline.server.trail.Undo;
import jakarta.persistence.EntityManager;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Takes back that a tool was put into a library or taken out of it. */
@Configuration
class EntryUndo {

  static final String ADDED = "entry.added";
  static final String REMOVED = "entry.removed";

  /** Enough to put an entry back. */
  record Shelved(long entryId, long libraryId, long toolId, int number, String section) {

    static Shelved of(Entry entry) {
      return new Shelved(entry.id, entry.libraryId, entry.toolId, entry.number, entry.section);
    }
  }

  private record Step(String kind, java.util.function.Consumer<String> action) implements Undo {
    @Override
    public Permission needs() {
      return Permission.EDIT;
    }

    @Override
    public void undo(String data) {
      action.accept(data);
    }
  }

  @Bean
  Undo undoEntryAdded(EntryRepository entries, Json json, Live live) {
    return new Step(
        ADDED,
        data -> {
          Shelved shelved = json.read(data, Shelved.class);
          entries
              .findByLibraryIdAndToolId(shelved.libraryId(), shelved.toolId())
              .ifPresent(entries::delete);
          live.say("library", shelved.libraryId(), "");
        });
  }

  @Bean
  Undo undoEntryRemoved(
      EntityManager entities,
      EntryRepository entries,
      ToolRepository tools,
      VersionRepository versions,
      Json json,
      Live live) {
    return new Step(
        REMOVED,
        data -> {
          Shelved shelved = json.read(data, Shelved.class);
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
