package arborline.server.library;

import arborline.server.support.Slice;
import java.math.BigDecimal;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The tools of all libraries as one list; a tool stands in it once for each that holds it. */
@RestController
@RequestMapping("/api/v1/tools")
class ShopToolsController {

  private static final int MOST = 500;
  private static final int MOST_IDS = 100_000;

  private final ToolLists lists;

  ShopToolsController(ToolLists lists) {
    this.lists = lists;
  }

  @GetMapping
  Slice<ToolLists.ToolRow> tools(
      @RequestParam(required = false) @Nullable String q,
      @RequestParam(name = "class", required = false) @Nullable Set<String> classes,
      @RequestParam(name = "dia.min", required = false) @Nullable BigDecimal diaMin,
      @RequestParam(name = "dia.max", required = false) @Nullable BigDecimal diaMax,
      @RequestParam(required = false) @Nullable String group,
      @RequestParam(defaultValue = "code") String sort,
      @RequestParam(defaultValue = "false") boolean down,
      @RequestParam(required = false) @Nullable String after,
      @RequestParam(defaultValue = "false") boolean uses,
      @RequestParam(defaultValue = "false") boolean trust,
      @RequestParam(required = false) @Nullable String material,
      @RequestParam(defaultValue = "100") int limit) {
    return lists.page(
        filter(q, classes, diaMin, diaMax),
        group == null || group.isEmpty() ? null : ListOrder.grouping(group),
        ListOrder.sorting(sort),
        down,
        after,
        Math.clamp(limit, 1, MOST),
        new ToolLists.Belonging(uses, material, trust));
  }

  /**
   * The ids of all tools of a list, by code.
   *
   * @param library null for all libraries
   */
  @GetMapping("/ids")
  Slice<Long> ids(
      @RequestParam(required = false) @Nullable Long library,
      @RequestParam(required = false) @Nullable String q,
      @RequestParam(name = "class", required = false) @Nullable Set<String> classes,
      @RequestParam(name = "dia.min", required = false) @Nullable BigDecimal diaMin,
      @RequestParam(name = "dia.max", required = false) @Nullable BigDecimal diaMax,
      @RequestParam(required = false) @Nullable Long section) {
    return Slice.all(
        lists.ids(
            new ToolQuery.Filter(
                library, q, classes == null ? Set.of() : classes, section, diaMin, diaMax),
            MOST_IDS));
  }

  @GetMapping("/facets")
  ToolLists.Facets facets(
      @RequestParam(required = false) @Nullable String q,
      @RequestParam(name = "class", required = false) @Nullable Set<String> classes,
      @RequestParam(name = "dia.min", required = false) @Nullable BigDecimal diaMin,
      @RequestParam(name = "dia.max", required = false) @Nullable BigDecimal diaMax) {
    return lists.facets(filter(q, classes, diaMin, diaMax));
  }

  private static ToolQuery.Filter filter(
      @Nullable String q,
      @Nullable Set<String> classes,
      @Nullable BigDecimal diaMin,
      @Nullable BigDecimal diaMax) {
    return new ToolQuery.Filter(
        null, q, classes == null ? Set.of() : classes, null, diaMin, diaMax);
  }
}
