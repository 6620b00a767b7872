package arborline.server.duplicate;

import arborline.core.duplicate.Tolerance;
import arborline.server.account.MayEdit;
import arborline.server.right.ToolGuard;
import arborline.server.support.Refusal;
import arborline.server.support.Slice;
import arborline.server.support.ToolIds;
import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Tools that may be one. */
@RestController
@RequestMapping("/api/v1/duplicates")
class DuplicateController {

  private static final int MOST_GROUPS = 50;
  private static final int MOST_TOOLS = 50;
  private static final int MOST_VALUES = 200;
  private static final BigDecimal WIDEST = new BigDecimal("1");
  private static final Pattern CURSOR = Pattern.compile("[0-9]{1,3}-[0-9]{1,15}");

  private final Duplicates duplicates;
  private final DuplicateSearch search;
  private final ToolMerging merging;
  private final KeptApartTools apart;
  private final ToolGuard seeing;

  DuplicateController(
      Duplicates duplicates,
      DuplicateSearch search,
      ToolMerging merging,
      KeptApartTools apart,
      ToolGuard seeing) {
    this.seeing = seeing;
    this.duplicates = duplicates;
    this.search = search;
    this.merging = merging;
    this.apart = apart;
  }

  /**
   * How the last search went.
   *
   * @param search null before the first one
   */
  record LastSearch(DuplicateSearch.@Nullable SearchView search) {}

  /** How a search is done; {@code tolerance} of lengths in mm, null for the usual one. */
  record SearchOrder(@Nullable BigDecimal tolerance) {}

  /**
   * Which tools become one.
   *
   * @param keep the tool that is left
   * @param others which become it
   * @param values whose value is taken over, by symbol; null for none
   */
  record ToolMergeOrder(
      @Nullable Long keep,
      @Nullable List<@Nullable Long> others,
      @Nullable Map<String, @Nullable Long> values) {

    long kept() {
      if (keep == null) {
        throw Refusal.badRequest("keep is the id of the tool that is left");
      }
      return keep;
    }

    Map<String, Long> taken() {
      Map<String, Long> taken = new TreeMap<>();
      if (values != null) {
        if (values.size() > MOST_VALUES) {
          throw Refusal.badRequest("at most %d values can be taken over".formatted(MOST_VALUES));
        }
        values.forEach((symbol, id) -> {
          if (id == null) {
            throw Refusal.badRequest("say of which tool %s is taken".formatted(symbol));
          }
          taken.put(symbol, id);
        });
      }
      return taken;
    }
  }

  /** Which tools are not one. */
  record ApartOrder(@Nullable List<@Nullable Long> tools) {}

  /** What was done. */
  record ApartDone(long undo) {}

  /** Groups of tools that may be one, the surest first. */
  @GetMapping
  Slice<Duplicates.GroupView> groups(
      @RequestParam(required = false) @Nullable Long library,
      @RequestParam(defaultValue = "") String after,
      @RequestParam(defaultValue = "20") int limit) {
    if (!after.isEmpty() && !CURSOR.matcher(after).matches()) {
      throw Refusal.badRequest("after is the cursor of the page before");
    }
    if (limit < 1 || limit > MOST_GROUPS) {
      throw Refusal.badRequest("limit is from 1 to %d".formatted(MOST_GROUPS));
    }
    return duplicates.groups(library, after, limit);
  }

  @GetMapping("/search")
  LastSearch last() {
    return new LastSearch(search.last().orElse(null));
  }

  /** Searches the whole shop in the background. */
  @PostMapping("/search")
  @MayEdit
  @ResponseStatus(HttpStatus.ACCEPTED)
  LastSearch search(@RequestBody SearchOrder order) {
    BigDecimal tolerance = order.tolerance() == null ? Tolerance.USUAL.length() : order.tolerance();
    if (tolerance.signum() < 0 || tolerance.compareTo(WIDEST) > 0) {
      throw Refusal.badRequest("a tolerance is from 0 to %s mm".formatted(WIDEST));
    }
    search.begin(tolerance);
    return last();
  }

  @PostMapping("/search/stop")
  @MayEdit
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void stop() {
    search.stop();
  }

  /** Makes one tool of several, or says what that would do. */
  @PostMapping("/merge")
  @MayEdit
  ToolMerging.ToolsMerged merge(
      @RequestBody ToolMergeOrder order, @RequestParam(defaultValue = "false") boolean preview) {
    long kept = order.kept();
    List<Long> others = ToolIds.of("others", order.others(), MOST_TOOLS);
    if (others.contains(kept)) {
      throw Refusal.badRequest("a tool is not merged into itself");
    }
    return merging.merge(kept, others, order.taken(), preview);
  }

  /** Keeps tools apart for good. */
  @PostMapping("/apart")
  @MayEdit
  ApartDone keepApart(@RequestBody ApartOrder order) {
    List<Long> ids = ToolIds.of("tools", order.tools(), MOST_TOOLS);
    if (ids.size() < 2) {
      throw Refusal.badRequest("two tools at least are kept apart");
    }
    seeing.needSight(ids);
    return new ApartDone(apart.keep(ids));
  }
}
