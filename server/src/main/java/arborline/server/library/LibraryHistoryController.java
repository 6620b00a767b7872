package arborline.server.library;

import arborline.core.sharing.LibraryRight;
import arborline.server.account.MayEdit;
import arborline.server.right.NeedsInLibrary;
import arborline.server.support.LongWork;
import arborline.server.support.Refusal;
import arborline.server.support.Slice;
import arborline.server.trail.LibraryLines.LibraryLine;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** What was done to a library, what it was after that, and back to it. */
@RestController
@RequestMapping("/api/v1/libraries/{id}/history")
class LibraryHistoryController {

  private final LibraryHistory history;

  LibraryHistoryController(LibraryHistory history) {
    this.history = history;
  }

  @GetMapping
  Slice<LibraryLine> lines(@PathVariable long id) {
    return Slice.all(history.lines(id));
  }

  /**
   * What is not the same after two lines.
   *
   * @param to line of the later state; without one what the library is now
   */
  @GetMapping("/compare")
  @MayEdit
  @LongWork
  @NeedsInLibrary(LibraryRight.MAINTAIN)
  LibraryHistory.LibraryCompared compare(
      @PathVariable long id,
      @RequestParam long from,
      @RequestParam(required = false) @Nullable Long to) {
    return history.compare(id, from, to == null ? 0 : to);
  }

  record BackOrder(@Nullable Long line) {}

  /** Takes back all that was done after a line, or nothing. */
  @PostMapping("/back")
  @MayEdit
  @LongWork
  @NeedsInLibrary(LibraryRight.MAINTAIN)
  LibraryHistory.LibraryBack back(@PathVariable long id, @RequestBody BackOrder order) {
    if (order.line() == null) {
      throw Refusal.badRequest("line is that after which the library is to be again");
    }
    return history.back(id, order.line());
  }
}
