package arborline.server.library;

import arborline.core.sharing.LibraryRight;
import arborline.server.account.Permission;
import arborline.server.right.LibraryGuard;
import arborline.server.support.Refusal;
import arborline.server.trail.Trail;
import arborline.server.trail.TrailRecord;
import arborline.server.trail.Undo;
import arborline.server.trail.UndoKind;
import java.util.Objects;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** The naming patterns that libraries keep; what they mean is the business of naming. */
@Service
@Transactional(propagation = Propagation.MANDATORY)
public class LibraryPatterns implements Undo<LibraryPatterns.Changed> {

  private static final UndoKind<Changed> KIND =
      new UndoKind<>("library.patterns", 1, Changed.class, Permission.EDIT);

  private final LibraryRepository libraries;
  private final Trail trail;
  private final LibraryGuard guard;

  LibraryPatterns(LibraryRepository libraries, Trail trail, LibraryGuard guard) {
    this.guard = guard;
    this.libraries = libraries;
    this.trail = trail;
  }

  /** The patterns of a library; an empty one asks for nothing. */
  public record NamingPatterns(String code, String name) {}

  record Changed(long libraryId, NamingPatterns before, NamingPatterns after) {}

  /** The patterns of a library, with what it is called. */
  public record Named(String library, NamingPatterns patterns) {}

  public Named of(long libraryId) {
    Library library = library(libraryId);
    return new Named(library.name, patterns(library));
  }

  /** Keeps patterns; answers the line of the trail that takes it back, 0 where nothing changed. */
  public long keep(long libraryId, NamingPatterns wanted) {
    guard.need(libraryId, LibraryRight.MAINTAIN);
    Library library = library(libraryId);
    NamingPatterns before = patterns(library);
    if (before.equals(wanted)) {
      return 0;
    }
    set(library, wanted);
    return trail.record(
        TrailRecord.of("library", libraryId, "changed the naming patterns of " + library.name)
            .undoneBy(KIND, new Changed(libraryId, before, wanted)));
  }

  @Override
  public UndoKind<Changed> kind() {
    return KIND;
  }

  @Override
  public void takeBack(Changed changed) {
    guard.need(changed.libraryId(), LibraryRight.MAINTAIN);
    Library library = library(changed.libraryId());
    if (!Objects.equals(patterns(library), changed.after())) {
      throw Refusal.conflict("the patterns were changed again since");
    }
    set(library, changed.before());
  }

  private Library library(long id) {
    return libraries.findById(id).orElseThrow(() -> Refusal.notFound("there is no library " + id));
  }

  private static NamingPatterns patterns(Library library) {
    return new NamingPatterns(library.codePattern, library.namePattern);
  }

  private static void set(Library library, NamingPatterns patterns) {
    library.codePattern = patterns.code();
    library.namePattern = patterns.name();
  }
}
