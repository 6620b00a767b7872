package arborline.server.library;

import arborline.core.library.Numbering;
import arborline.core.sharing.LibraryRight;
import arborline.server.account.MayEdit;
import arborline.server.right.NeedsInLibrary;
import arborline.server.support.LongWork;
import arborline.server.support.Refusal;
import arborline.server.trail.Undoable;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.PatchMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What is done to whole libraries, and to many of their tools at once. */
@RestController
@RequestMapping("/api/v1/libraries/{id}")
class LibraryChangesController {

  private static final int MOST_PICKS = 200;

  private final Libraries libraries;
  private final LibraryRemoval removal;
  private final LibraryCopying copying;
  private final HeldVersions versions;

  LibraryChangesController(
      Libraries libraries, LibraryRemoval removal, LibraryCopying copying, HeldVersions versions) {
    this.libraries = libraries;
    this.removal = removal;
    this.copying = copying;
    this.versions = versions;
  }

  @PatchMapping
  @MayEdit
  @NeedsInLibrary(LibraryRight.OWNER)
  Libraries.LibraryDone change(@PathVariable long id, @RequestBody LibraryChange change) {
    return libraries.change(id, change);
  }

  /** Deletes a library; its tools stay in the shop. */
  @DeleteMapping
  @MayEdit
  @NeedsInLibrary(LibraryRight.OWNER)
  Undoable delete(@PathVariable long id) {
    return removal.delete(id);
  }

  /**
   * Tools for a library.
   *
   * @param tools ids; null for all of {@code from}
   * @param from library whose numbers, versions and sections they bring; null for the shop's
   * @param picks the same from several libraries
   * @param numbering {@code keep}, {@code next}, {@code range} or {@code position}
   * @param move true where they leave the libraries that they come from
   * @param section in which all are to stand; null where each keeps its own
   */
  record CopyOrder(
      @Nullable List<@Nullable Long> tools,
      @Nullable Long from,
      @Nullable List<LibraryCopying.@Nullable Pick> picks,
      @Nullable String numbering,
      @Nullable Boolean move,
      @Nullable String section) {

    LibraryCopying.Order order() {
      List<LibraryCopying.Pick> all =
          picks == null
              ? List.of(new LibraryCopying.Pick(from, tools))
              : SettingsCheck.full("picks", picks).orElseThrow();
      if (all.size() > MOST_PICKS) {
        throw Refusal.badRequest("at most %d libraries at once".formatted(MOST_PICKS));
      }
      return new LibraryCopying.Order(all, numbered(numbering), Boolean.TRUE.equals(move), section);
    }
  }

  private static Numbering numbered(@Nullable String text) {
    return Numbering.named(Optional.ofNullable(text).orElse("keep"))
        .orElseThrow(() -> Refusal.badRequest("numbering is keep, next, range or position"));
  }

  /**
   * Copies or moves tools into a library.
   *
   * @param preview true where only what would happen is asked
   */
  @PostMapping("/copy")
  @MayEdit
  @LongWork
  @NeedsInLibrary(LibraryRight.MAINTAIN)
  LibraryCopying.Copied copy(
      @PathVariable long id,
      @RequestParam(defaultValue = "false") boolean preview,
      @RequestBody CopyOrder order) {
    return preview ? copying.preview(id, order.order()) : copying.copy(id, order.order());
  }

  /** Takes tools out of the library; they stay in the shop. */
  @PostMapping("/tools/out")
  @MayEdit
  @LongWork
  @NeedsInLibrary(LibraryRight.MAINTAIN)
  Undoable takeOut(@PathVariable long id, @RequestBody SectionController.ToolIds tools) {
    return copying.remove(id, tools.all());
  }

  record CopyName(@Nullable String name) {}

  /** Makes a library like this one, with all that stands in it. */
  @PostMapping("/duplicate")
  @MayEdit
  @LongWork
  @ResponseStatus(HttpStatus.CREATED)
  Libraries.LibraryDone duplicate(@PathVariable long id, @RequestBody CopyName copy) {
    return copying.duplicate(id, copy.name());
  }

  record MergeOrder(@Nullable List<@Nullable Long> from, @Nullable String numbering) {}

  /** Moves all tools of other libraries into this one and deletes those. */
  @PostMapping("/merge")
  @MayEdit
  @LongWork
  @NeedsInLibrary(LibraryRight.MAINTAIN)
  LibraryCopying.Copied merge(@PathVariable long id, @RequestBody MergeOrder order) {
    List<Long> from = SettingsCheck.full("from", order.from()).orElse(List.of());
    return copying.merge(id, from, numbered(order.numbering()));
  }

  /**
   * In which version the library is to hold tools.
   *
   * @param follow true for the newest from now on; false for the one held, for ever
   * @param version a number of a version that one tool is pinned to; null for the one held
   */
  record VersionOrder(
      @Nullable List<@Nullable Long> tools, @Nullable Boolean follow, @Nullable Integer version) {}

  @PutMapping("/versions")
  @MayEdit
  @LongWork
  @NeedsInLibrary(LibraryRight.MAINTAIN)
  Undoable versions(@PathVariable long id, @RequestBody VersionOrder order) {
    List<@Nullable Long> tools = order.tools();
    if (tools == null || tools.stream().anyMatch(Objects::isNull)) {
      throw Refusal.badRequest("tools is a list of the ids of tools");
    }
    if (order.version() == null) {
      return versions.follow(id, List.copyOf(tools), Boolean.TRUE.equals(order.follow()));
    }
    if (tools.size() != 1 || Boolean.TRUE.equals(order.follow())) {
      throw Refusal.badRequest("one tool at a time is pinned to a version by its number");
    }
    return versions.pin(id, tools.getFirst(), order.version());
  }
}
