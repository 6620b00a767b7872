package arborline.server.library;

import arborline.core.sharing.LibraryRight;
import arborline.server.account.Accounts;
import arborline.server.right.LibraryGuard;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The library that is proposed first to somebody. */
@RestController
class DefaultLibraryController {

  private final Accounts accounts;
  private final LibraryGuard guard;

  DefaultLibraryController(Accounts accounts, LibraryGuard guard) {
    this.accounts = accounts;
    this.guard = guard;
  }

  /** Which library; null for none. */
  record DefaultLibrary(@Nullable Long library) {}

  @PutMapping("/api/v1/session/library")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void keep(@RequestBody DefaultLibrary wanted) {
    if (wanted.library() != null) {
      guard.need(wanted.library(), LibraryRight.USE);
    }
    accounts.ownDefault(wanted.library());
  }
}
