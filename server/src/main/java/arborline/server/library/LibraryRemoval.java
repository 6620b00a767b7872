package arborline.server.library;

import arborline.core.sharing.LibraryRight;
import arborline.server.live.Live;
import arborline.server.right.LibraryGuard;
import arborline.server.support.Refusal;
import arborline.server.trail.Trail;
import arborline.server.trail.TrailRecord;
import arborline.server.trail.Undoable;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Deletes libraries and brings them back. Their tools stay in the shop. */
@Service
class LibraryRemoval {

  private static final int MOST_NAMED = 5;

  private final EntryStore store;
  private final LibraryRepository libraries;
  private final EntryRepository entries;
  private final PutAwayEntries away;
  private final Trail trail;
  private final Live live;
  private final Clock clock;
  private final LibraryGuard guard;
  private final List<LibraryCitations> citations;

  LibraryRemoval(
      EntryStore store,
      LibraryRepository libraries,
      EntryRepository entries,
      PutAwayEntries away,
      Trail trail,
      Live live,
      Clock clock,
      LibraryGuard guard,
      List<LibraryCitations> citations) {
    this.citations = citations;
    this.guard = guard;
    this.store = store;
    this.libraries = libraries;
    this.entries = entries;
    this.away = away;
    this.trail = trail;
    this.live = live;
    this.clock = clock;
  }

  @Transactional
  public Undoable delete(long id) {
    Library library = store.locked(id, LibraryRight.OWNER);
    String text =
        "deleted library %s, which held %s"
            .formatted(library.name, TrailRecord.count(entries.countByLibraryId(id), "tool"));
    long number = away.begin();
    putAway(library, number);
    return new Undoable(
        trail.record(
            TrailRecord.of("library", id, text)
                .undoneBy(LibraryUndo.DELETED, new LibraryUndo.Deleted(List.of(id), number))));
  }

  /** A new number under which libraries are put away. */
  long begin() {
    return away.begin();
  }

  /** Puts a locked library away with all its entries. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void putAway(Library library, long number) {
    refuseCited(library);
    library.putAway(Instant.now(clock));
    away.library(number, library.id);
    live.say("library", library.id, "");
  }

  private void refuseCited(Library library) {
    List<String> citing =
        citations.stream().flatMap(one -> one.of(library.id).stream()).limit(MOST_NAMED).toList();
    if (!citing.isEmpty()) {
      throw Refusal.conflict(
          "library '%s' is needed by %s; end that first"
              .formatted(library.name, String.join(", ", citing)));
    }
  }

  @Transactional(propagation = Propagation.MANDATORY)
  public void bringBack(List<Long> ids, long number) {
    for (long id : ids) {
      Library library =
          libraries
              .putAway(id)
              .orElseThrow(() -> Refusal.conflict("the library is there again already"));
      libraries
          .findByNameKey(Library.key(library.name))
          .ifPresent(other -> {
            throw Refusal.conflict(
                "another library is called '%s' now; rename that one first".formatted(other.name));
          });
      library.bringBack();
      libraries.flush();
      guard.need(id, LibraryRight.OWNER);
      live.say("library", id, "");
    }
    away.bringBack(number);
  }
}
