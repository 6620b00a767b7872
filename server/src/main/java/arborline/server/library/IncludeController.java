package arborline.server.library;

import arborline.core.sharing.LibraryRight;
import arborline.server.account.MayEdit;
import arborline.server.right.NeedsInLibrary;
import arborline.server.support.LongWork;
import arborline.server.support.Retried;
import arborline.server.support.Slice;
import arborline.server.trail.Undoable;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Libraries that others include. */
@RestController
@RequestMapping("/api/v1/libraries/{id}/includes")
class IncludeController {

  private final LibraryIncludes includes;

  IncludeController(LibraryIncludes includes) {
    this.includes = includes;
  }

  @GetMapping
  Slice<LibraryIncludes.IncludeView> all(@PathVariable long id) {
    return Slice.all(includes.all(id));
  }

  /**
   * What is to be included.
   *
   * @param from a library
   * @param section of that library; null for all of it
   */
  record IncludeOrder(@Nullable Long from, @Nullable Long section) {}

  /** Holds the tools of another library from now on, and follows what becomes of it. */
  @PostMapping
  @MayEdit
  @LongWork
  @ResponseStatus(HttpStatus.CREATED)
  @NeedsInLibrary(LibraryRight.MAINTAIN)
  LibraryIncludes.IncludeDone include(@PathVariable long id, @RequestBody IncludeOrder order) {
    return Retried.of(() -> includes.include(id, order.from(), order.section()));
  }

  /** Ends it; what stood here by it goes. */
  @DeleteMapping("/{include}")
  @MayEdit
  @LongWork
  @NeedsInLibrary(LibraryRight.MAINTAIN)
  Undoable end(@PathVariable long id, @PathVariable long include) {
    return Retried.of(() -> includes.end(id, include));
  }
}
