package arborline.server.library;

import arborline.core.sharing.LibraryRight;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Keeps libraries from changing while others do something with all that is in them. */
@Component
public class LibraryLocks {

  private final EntryStore store;

  LibraryLocks(EntryStore store) {
    this.store = store;
  }

  /**
   * Nobody else changes the library until the transaction ends.
   *
   * @param needed what whoever acts must have there
   * @return its name
   */
  @Transactional(propagation = Propagation.MANDATORY)
  public String lock(long library, LibraryRight needed) {
    return store.locked(library, needed).name;
  }
}
