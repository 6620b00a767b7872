package arborline.server.link;

import arborline.server.link.Touches.TouchedGroup;
import arborline.server.support.Slice;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The links of the shop. */
@RestController
@RequestMapping("/api/v1")
class LinkController {

  private final List<LinkSource> sources;
  private final Touches touches;

  LinkController(List<LinkSource> sources, Touches touches) {
    this.sources = sources;
    this.touches = touches;
  }

  /**
   * All links, or some.
   *
   * @param from kind that they lead from; null for any
   * @param to kind that they lead to; null for any
   * @param strays true for those only that lead nowhere
   */
  @GetMapping("/links")
  Slice<Link> links(
      @RequestParam(required = false) @Nullable LinkKind from,
      @RequestParam(required = false) @Nullable LinkKind to,
      @RequestParam(defaultValue = "false") boolean strays) {
    return Slice.all(
        sources.stream()
            .flatMap(source -> source.all().stream())
            .filter(link -> from == null || link.from().kind() == from)
            .filter(link -> to == null || link.to().kind() == to)
            .filter(link -> !strays || link.stray() != null)
            .toList());
  }

  /** What a change of a tool, holder, library, post or machine would touch. */
  @GetMapping("/touches")
  Slice<TouchedGroup> touches(@RequestParam LinkKind kind, @RequestParam String id) {
    return Slice.all(touches.of(kind, id));
  }
}
