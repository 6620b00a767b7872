package arborline.server.library;

import arborline.core.sharing.LibraryRight;
import java.util.List;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Takes tools out of a library so that they can come back as they stood there. */
@Component
@Transactional(propagation = Propagation.MANDATORY)
public class LibraryLeaving {

  private final EntryStore store;
  private final PutAwayEntries away;

  LibraryLeaving(EntryStore store, PutAwayEntries away) {
    this.store = store;
    this.away = away;
  }

  /**
   * Takes tools out of a library.
   *
   * @return number under which their places are kept
   * @throws arborline.server.support.Refusal where the library does not hold all of them
   */
  public long leave(long library, List<Long> toolIds) {
    store.locked(library, LibraryRight.MAINTAIN);
    long number = away.begin();
    away.entries(number, store.entryIds(library, toolIds));
    return number;
  }

  /** Brings them back; refused where one, or its number, stands in the library again. */
  public void comeBack(long number) {
    away.bringBack(number);
  }
}
