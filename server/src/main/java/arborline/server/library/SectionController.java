package arborline.server.library;

import arborline.core.sharing.LibraryRight;
import arborline.server.account.MayEdit;
import arborline.server.right.NeedsInLibrary;
import arborline.server.support.Refusal;
import arborline.server.support.Slice;
import arborline.server.trail.Undoable;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PatchMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/v1/libraries/{id}/sections")
class SectionController {

  private final Sections sections;

  SectionController(Sections sections) {
    this.sections = sections;
  }

  /**
   * @param parent the section that it is in; null or 0 for the first level
   */
  record NewSection(@Nullable String name, @Nullable Long parent) {}

  /**
   * What to change; null members stay as they are.
   *
   * @param parent 0 for the first level
   * @param before the section that it goes before; 0 for the last place
   */
  record SectionChange(@Nullable String name, @Nullable Long parent, @Nullable Long before) {}

  record ToolIds(@Nullable List<@Nullable Long> tools) {

    List<Long> all() {
      if (tools == null || tools.stream().anyMatch(Objects::isNull)) {
        throw Refusal.badRequest("tools is a list of the ids of tools");
      }
      return List.copyOf(tools);
    }
  }

  /** Sections in their order, each before those in it. */
  @GetMapping
  Slice<Sections.SectionView> all(@PathVariable long id) {
    return Slice.all(sections.all(id));
  }

  @PostMapping
  @MayEdit
  @ResponseStatus(HttpStatus.CREATED)
  @NeedsInLibrary(LibraryRight.MAINTAIN)
  Sections.SectionDone add(@PathVariable long id, @RequestBody NewSection section) {
    return sections.add(id, section.name(), section.parent());
  }

  @PatchMapping("/{sectionId}")
  @MayEdit
  @NeedsInLibrary(LibraryRight.MAINTAIN)
  Sections.SectionDone change(
      @PathVariable long id, @PathVariable long sectionId, @RequestBody SectionChange change) {
    return sections.change(id, sectionId, change.name(), change.parent(), change.before());
  }

  @DeleteMapping("/{sectionId}")
  @MayEdit
  @NeedsInLibrary(LibraryRight.MAINTAIN)
  Undoable delete(@PathVariable long id, @PathVariable long sectionId) {
    return sections.delete(id, sectionId);
  }

  /** Puts tools into a section, beside those that they are in. */
  @PostMapping("/{sectionId}/tools")
  @MayEdit
  @NeedsInLibrary(LibraryRight.MAINTAIN)
  Sections.SectionDone put(
      @PathVariable long id, @PathVariable long sectionId, @RequestBody ToolIds tools) {
    return sections.put(id, sectionId, tools.all());
  }

  /** Takes tools out of a section; they stay in the library. */
  @PostMapping("/{sectionId}/tools/out")
  @MayEdit
  @NeedsInLibrary(LibraryRight.MAINTAIN)
  Sections.SectionDone takeOut(
      @PathVariable long id, @PathVariable long sectionId, @RequestBody ToolIds tools) {
    return sections.takeOut(id, sectionId, tools.all());
  }
}
