package arborline.server.library;

import arborline.server.library.LibraryStates.Became;
import arborline.server.library.LibraryStates.LibraryState;
import arborline.server.library.LibraryStates.ToolChange;
import arborline.server.support.Refusal;
import arborline.server.support.Retried;
import arborline.server.trail.LibraryLines;
import arborline.server.trail.LibraryLines.LibraryLine;
import arborline.server.trail.Trail;
import jakarta.persistence.EntityManager;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * What a library was after each thing that was done to it. A former state is reached by taking back
 * all that was done since; to compare states that is taken back itself at once.
 */
@Service
class LibraryHistory {

  /** So many lines are looked behind. */
  private static final int MOST = 100;

  private static final int MOST_SHOWN = 300;

  private final LibraryLines lines;
  private final LibraryStates states;
  private final EntryStore store;
  private final Trail trail;
  private final EntityManager entities;
  private final TransactionTemplate transaction;

  LibraryHistory(
      LibraryLines lines,
      LibraryStates states,
      EntryStore store,
      Trail trail,
      EntityManager entities,
      PlatformTransactionManager transactions) {
    this.lines = lines;
    this.states = states;
    this.store = store;
    this.trail = trail;
    this.entities = entities;
    this.transaction = new TransactionTemplate(transactions);
    this.transaction.setIsolationLevel(TransactionDefinition.ISOLATION_READ_COMMITTED);
  }

  /**
   * In what two states of a library are not the same.
   *
   * @param settings what was done to its settings, as a sentence; empty for nothing
   * @param tools the first of those that are not the same
   */
  record LibraryCompared(
      String settings, int added, int removed, int changed, List<ToolChange> tools) {

    static LibraryCompared of(LibraryState from, LibraryState to) {
      List<ToolChange> changes = LibraryStates.changes(from, to);
      return new LibraryCompared(
          from.settings().equals(to.settings())
              ? ""
              : Libraries.told(from.settings(), to.settings()),
          count(changes, Became.ADDED),
          count(changes, Became.REMOVED),
          count(changes, Became.CHANGED),
          changes.stream().limit(MOST_SHOWN).toList());
    }

    private static int count(List<ToolChange> changes, Became became) {
      return (int) changes.stream().filter(change -> change.became() == became).count();
    }
  }

  /** A library that is as it was. */
  record LibraryBack(long libraryId, int takenBack) {}

  /** What was done to a library, the newest first. */
  List<LibraryLine> lines(long libraryId) {
    return transaction.execute(status -> {
      store.library(libraryId);
      return lines.of(libraryId, MOST);
    });
  }

  /**
   * Compares a library as it was after one line with what it was after another.
   *
   * @param to line of the later state; 0 for what it is now
   */
  LibraryCompared compare(long libraryId, long from, long to) {
    return Retried.of(() ->
        transaction.execute(status -> {
          status.setRollbackOnly();
          store.locked(libraryId);
          List<LibraryLine> all = lines.of(libraryId, MOST);
          int later = to == 0 ? 0 : place(all, to);
          int earlier = place(all, from);
          if (earlier < later) {
            throw Refusal.badRequest("from is the earlier of both lines");
          }
          takeBack(all.subList(0, later));
          LibraryState after = states.now(libraryId);
          takeBack(all.subList(later, earlier));
          return LibraryCompared.of(states.now(libraryId), after);
        }));
  }

  /** Takes back all that was done to a library after a line, or nothing of it. */
  LibraryBack back(long libraryId, long line) {
    return Retried.of(() ->
        transaction.execute(status -> {
          store.locked(libraryId);
          List<LibraryLine> all = lines.of(libraryId, MOST);
          int place = place(all, line);
          if (place == 0) {
            throw Refusal.conflict("the library is as that left it");
          }
          takeBack(all.subList(0, place));
          return new LibraryBack(libraryId, place);
        }));
  }

  private static int place(List<LibraryLine> all, long line) {
    for (int place = 0; place < all.size(); place++) {
      if (all.get(place).id() == line) {
        return place;
      }
    }
    throw Refusal.notFound(
        "line %d is none of the last %d that changed this library, or it was taken back"
            .formatted(line, MOST));
  }

  private void takeBack(List<LibraryLine> newestFirst) {
    for (LibraryLine line : newestFirst) {
      try {
        trail.undo(line.id());
      } catch (Refusal refused) {
        throw Refusal.conflict(
            "what %s did cannot be taken back (%s): %s"
                .formatted(line.who(), line.text(), refused.getMessage()));
      }
      entities.flush();
      entities.clear();
    }
  }
}
