package arborline.server.library;

import arborline.server.live.Live;
import arborline.server.support.Refusal;
import arborline.server.trail.Trail;
import arborline.server.trail.TrailRecord;
import java.util.List;
import java.util.Locale;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Opens and lists libraries. */
@Service
public class Libraries {

  private static final int MOST_LIBRARIES = 500;

  private final LibraryRepository libraries;
  private final EntryRepository entries;
  private final Trail trail;
  private final Live live;

  Libraries(LibraryRepository libraries, EntryRepository entries, Trail trail, Live live) {
    this.libraries = libraries;
    this.entries = entries;
    this.trail = trail;
    this.live = live;
  }

  /** A library with the number of its tools. */
  public record LibraryHead(long id, String name, long tools) {}

  @Transactional(readOnly = true)
  public List<LibraryHead> all() {
    return libraries.findByOrderByNameKey(Limit.of(MOST_LIBRARIES)).stream()
        .map(this::head)
        .toList();
  }

  @Transactional(readOnly = true)
  public LibraryHead get(long id) {
    return libraries
        .findById(id)
        .map(this::head)
        .orElseThrow(() -> Refusal.notFound("there is no library " + id));
  }

  private LibraryHead head(Library library) {
    return new LibraryHead(library.id, library.name, entries.countByLibraryId(library.id));
  }

  /** Opens a library; its name must be free. */
  @Transactional
  public LibraryHead open(String name) {
    if (name == null || name.isBlank() || name.strip().length() > 100) {
      throw Refusal.badRequest("a library needs a name of 1 to 100 characters");
    }
    if (libraries.findByNameKey(name.strip().toLowerCase(Locale.ROOT)).isPresent()) {
      throw Refusal.conflict("there is a library '%s' already".formatted(name.strip()));
    }
    Library library = libraries.save(new Library(name));
    trail.record(
        TrailRecord.of("library", library.id, "opened library " + library.name)
            .undoneBy(LibraryUndo.OPENED, new LibraryUndo.Opened(library.id)));
    live.say("library", library.id, "");
    return head(library);
  }
}
