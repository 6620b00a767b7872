package arborline.server.library;

import arborline.core.sharing.LibraryRight;
import arborline.core.sharing.Sharing;
import arborline.server.account.MayEdit;
import arborline.server.right.NeedsInLibrary;
import arborline.server.support.Slice;
import arborline.server.tool.ToolDone;
import arborline.server.tool.ToolDraft;
import java.math.BigDecimal;
import java.util.Set;
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

@RestController
@RequestMapping("/api/v1/libraries")
class LibraryController {

  private static final int MOST = 500;

  private final Libraries libraries;
  private final ToolLists lists;
  private final LibraryTools tools;
  private final LibraryOverview overview;

  LibraryController(
      Libraries libraries, ToolLists lists, LibraryTools tools, LibraryOverview overview) {
    this.overview = overview;
    this.libraries = libraries;
    this.lists = lists;
    this.tools = tools;
  }

  @GetMapping
  Slice<Libraries.LibraryHead> all() {
    return Slice.all(libraries.all());
  }

  /** All libraries with what stands in them, where they are used and what waits there. */
  @GetMapping("/overview")
  Slice<LibraryOverview.LibraryRow> overview() {
    return Slice.all(overview.of(libraries.all()));
  }

  @PostMapping
  @MayEdit
  @ResponseStatus(HttpStatus.CREATED)
  Libraries.LibraryHead open(
      @RequestBody LibraryChange library, @RequestParam(defaultValue = "SHOP") Sharing sharing) {
    return libraries.open(library, sharing).library();
  }

  @GetMapping("/{id}")
  Libraries.LibraryHead one(@PathVariable long id) {
    return libraries.get(id);
  }

  @GetMapping("/{id}/tools")
  Slice<ToolLists.ToolRow> tools(
      @PathVariable long id,
      @RequestParam(required = false) @Nullable String q,
      @RequestParam(name = "class", required = false) @Nullable Set<String> classes,
      @RequestParam(name = "dia.min", required = false) @Nullable BigDecimal diaMin,
      @RequestParam(name = "dia.max", required = false) @Nullable BigDecimal diaMax,
      @RequestParam(required = false) @Nullable Long section,
      @RequestParam(required = false) @Nullable String group,
      @RequestParam(defaultValue = "code") String sort,
      @RequestParam(defaultValue = "false") boolean down,
      @RequestParam(required = false) @Nullable String after,
      @RequestParam(defaultValue = "false") boolean uses,
      @RequestParam(defaultValue = "false") boolean trust,
      @RequestParam(required = false) @Nullable String material,
      @RequestParam(defaultValue = "100") int limit) {
    return lists.page(
        filter(id, q, classes, diaMin, diaMax, section),
        group == null || group.isEmpty() ? null : ListOrder.grouping(group),
        ListOrder.sorting(sort),
        down,
        after,
        Math.clamp(limit, 1, MOST),
        new ToolLists.Belonging(uses, material, trust));
  }

  @GetMapping("/{id}/facets")
  ToolLists.Facets facets(
      @PathVariable long id,
      @RequestParam(required = false) @Nullable String q,
      @RequestParam(name = "class", required = false) @Nullable Set<String> classes,
      @RequestParam(name = "dia.min", required = false) @Nullable BigDecimal diaMin,
      @RequestParam(name = "dia.max", required = false) @Nullable BigDecimal diaMax,
      @RequestParam(required = false) @Nullable Long section) {
    return lists.facets(filter(id, q, classes, diaMin, diaMax, section));
  }

  private static ToolQuery.Filter filter(
      @Nullable Long id,
      @Nullable String q,
      @Nullable Set<String> classes,
      @Nullable BigDecimal diaMin,
      @Nullable BigDecimal diaMax,
      @Nullable Long section) {
    return new ToolQuery.Filter(
        id, q, classes == null ? Set.of() : classes, section, diaMin, diaMax);
  }

  /**
   * Creates a tool as a draft.
   *
   * @param incomplete true where it may lack what a tool of its class must have
   */
  @PostMapping("/{id}/tools")
  @MayEdit
  @ResponseStatus(HttpStatus.CREATED)
  @NeedsInLibrary(LibraryRight.MAINTAIN)
  ToolDone create(
      @PathVariable long id,
      @RequestParam(defaultValue = "false") boolean incomplete,
      @RequestBody ToolDraft draft) {
    return tools.create(id, draft, incomplete);
  }

  @PostMapping("/{id}/tools/{toolId}/copy")
  @MayEdit
  @ResponseStatus(HttpStatus.CREATED)
  @NeedsInLibrary(LibraryRight.MAINTAIN)
  ToolDone copy(@PathVariable long id, @PathVariable long toolId) {
    return tools.copy(id, toolId);
  }

  @DeleteMapping("/{id}/tools/{toolId}")
  @MayEdit
  @NeedsInLibrary(LibraryRight.MAINTAIN)
  ToolDone remove(@PathVariable long id, @PathVariable long toolId) {
    return tools.remove(id, toolId);
  }
}
