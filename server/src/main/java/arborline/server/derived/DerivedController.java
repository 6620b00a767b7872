package arborline.server.derived;

import arborline.core.merge.MergeAnswers;
import arborline.core.sharing.LibraryRight;
import arborline.server.account.MayEdit;
import arborline.server.right.NeedsInLibrary;
import arborline.server.support.LongWork;
import arborline.server.support.Refusal;
import arborline.server.support.Retried;
import arborline.server.support.Slice;
import arborline.server.trail.Undoable;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Derived libraries and what becomes of their bases. */
@RestController
@RequestMapping("/api/v1/libraries/{id}")
class DerivedController {

  private static final int MOST_MARKS = 500;

  private final Deriving deriving;
  private final BaseUpdates updates;
  private final DerivedDifferences differences;

  DerivedController(Deriving deriving, BaseUpdates updates, DerivedDifferences differences) {
    this.deriving = deriving;
    this.updates = updates;
    this.differences = differences;
  }

  /** Makes a library of an edition of this one that still receives what becomes of it. */
  @PostMapping("/derive")
  @MayEdit
  @LongWork
  @ResponseStatus(HttpStatus.CREATED)
  Deriving.LibraryDerived derive(@PathVariable long id, @RequestBody Deriving.DeriveOrder order) {
    return Retried.of(() -> deriving.derive(id, order));
  }

  /**
   * Where a library came from.
   *
   * @param from null where it is not derived
   */
  record LibraryBase(DerivedDifferences.@Nullable DerivedFrom from) {}

  @GetMapping("/base")
  LibraryBase base(@PathVariable long id) {
    return new LibraryBase(differences.from(id).orElse(null));
  }

  /** Lets the library go from its base: it stays as it is. */
  @DeleteMapping("/base")
  @MayEdit
  @NeedsInLibrary(LibraryRight.OWNER)
  Undoable letGo(@PathVariable long id) {
    return deriving.letGo(id);
  }

  /** What is not as in the edition of the base that was taken in. */
  @GetMapping("/base/differences")
  @LongWork
  DerivedDifferences.LibraryDifferences differences(@PathVariable long id) {
    return differences.all(id);
  }

  /** The same for some tools only, as names of fields. */
  @GetMapping("/base/marks")
  Slice<DerivedDifferences.ToolMarks> marks(@PathVariable long id, @RequestParam List<Long> tools) {
    if (tools.size() > MOST_MARKS || tools.stream().anyMatch(Objects::isNull)) {
      throw Refusal.badRequest("tools are the ids of at most %d tools".formatted(MOST_MARKS));
    }
    return Slice.all(differences.marks(id, tools));
  }

  /**
   * What a newer edition of the base would change here, and what has to be answered.
   *
   * @param edition null for the newest
   */
  @GetMapping("/base-update")
  @LongWork
  BaseUpdateView update(
      @PathVariable long id, @RequestParam(required = false) @Nullable Long edition) {
    return updates.view(id, edition, MergeAnswers.NONE);
  }

  /**
   * Takes a newer edition of the base in.
   *
   * @param preview true where only what would happen with these answers is asked
   * @return what was done
   */
  @PostMapping("/base-update")
  @MayEdit
  @LongWork
  @NeedsInLibrary(LibraryRight.MAINTAIN)
  UpdateAnswered take(
      @PathVariable long id,
      @RequestParam(defaultValue = "false") boolean preview,
      @RequestBody BaseUpdates.UpdateOrder order) {
    if (preview) {
      return new UpdateAnswered(
          updates.view(id, order.edition(), BaseUpdates.answers(order)), null);
    }
    return new UpdateAnswered(null, Retried.of(() -> updates.take(id, order)));
  }

  /**
   * What would be done, or was.
   *
   * @param view null where it was done
   * @param taken null where it was only asked
   */
  record UpdateAnswered(
      @Nullable BaseUpdateView view, BaseUpdateTaking.@Nullable UpdateTaken taken) {}
}
