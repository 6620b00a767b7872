package arborline.server.library;

import arborline.server.account.Permission;
import arborline.server.support.Refusal;
import arborline.server.trail.Undo;
import arborline.server.trail.UndoKind;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Closes a library again that was opened, as long as nothing is in it. */
@Configuration
class LibraryUndo {

  record Opened(long libraryId) {}

  static final UndoKind<Opened> OPENED =
      new UndoKind<>("library.opened", 2, Opened.class, Permission.EDIT);

  @Bean
  Undo<Opened> undoLibraryOpened(LibraryRepository libraries, EntryRepository entries) {
    return Undo.of(
        OPENED,
        opened -> {
          if (entries.countByLibraryId(opened.libraryId()) > 0) {
            throw Refusal.conflict("the library has tools in it; take those out first");
          }
          libraries.findById(opened.libraryId()).ifPresent(libraries::delete);
        });
  }
}
