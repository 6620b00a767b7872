package arborline.server.library;

import arborline.core.sharing.LibraryRight;
import arborline.server.account.Permission;
import arborline.server.live.Live;
import arborline.server.support.Refusal;
import arborline.server.trail.Undo;
import arborline.server.trail.UndoKind;
import java.util.List;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Takes back that libraries were opened, changed, deleted or merged. */
@Configuration
class LibraryUndo {

  record Opened(long libraryId) {}

  record Changed(long libraryId, LibrarySettings before, LibrarySettings after) {}

  /**
   * Libraries that are no longer there.
   *
   * @param putAway number under which their entries are kept
   */
  record Deleted(List<Long> libraries, long putAway) {}

  static final UndoKind<Opened> OPENED =
      new UndoKind<>("library.opened", 2, Opened.class, Permission.EDIT);
  static final UndoKind<Opened> DUPLICATED =
      new UndoKind<>("library.duplicated", 1, Opened.class, Permission.EDIT);
  static final UndoKind<Changed> CHANGED =
      new UndoKind<>("library.changed", 1, Changed.class, Permission.EDIT);
  static final UndoKind<Deleted> DELETED =
      new UndoKind<>("library.deleted", 1, Deleted.class, Permission.EDIT);

  @Bean
  Undo<Opened> undoLibraryOpened(
      LibraryRepository libraries, SectionRepository sections, EntryRepository entries, Live live) {
    return Undo.of(
        OPENED,
        opened -> {
          if (entries.countByLibraryId(opened.libraryId()) > 0) {
            throw Refusal.conflict("the library has tools in it; take those out first");
          }
          sections.deleteAll(opened.libraryId());
          libraries.findById(opened.libraryId()).ifPresent(libraries::delete);
          live.say("library", opened.libraryId(), "");
        });
  }

  @Bean
  Undo<Opened> undoLibraryDuplicated(EntryStore store, LibraryRemoval removal) {
    return Undo.of(
        DUPLICATED,
        copy ->
            removal.putAway(store.locked(copy.libraryId(), LibraryRight.OWNER), removal.begin()));
  }

  @Bean
  Undo<Changed> undoLibraryChanged(Libraries libraries) {
    return Undo.of(
        CHANGED,
        changed -> libraries.restore(changed.libraryId(), changed.after(), changed.before()));
  }

  @Bean
  Undo<Deleted> undoLibraryDeleted(LibraryRemoval removal) {
    return Undo.of(DELETED, deleted -> removal.bringBack(deleted.libraries(), deleted.putAway()));
  }
}
