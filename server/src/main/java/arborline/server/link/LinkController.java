package arborline.server.link;

import arborline.server.account.MayEdit;
import arborline.server.link.LinkSetting.LinkName;
import arborline.server.link.Touches.TouchedGroup;
import arborline.server.support.Retried;
import arborline.server.support.Slice;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The links of the shop. */
@RestController
@RequestMapping("/api/v1")
class LinkController {

  private final List<LinkSource> sources;
  private final Touches touches;
  private final LinkSetting setting;

  LinkController(List<LinkSource> sources, Touches touches, LinkSetting setting) {
    this.setting = setting;
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
  Slice<LinkView> links(
      @RequestParam(required = false) @Nullable LinkKind from,
      @RequestParam(required = false) @Nullable LinkKind to,
      @RequestParam(defaultValue = "false") boolean strays) {
    return Slice.all(
        sources.stream()
            .flatMap(source -> source.all().stream())
            .filter(link -> from == null || link.from().kind() == from)
            .filter(link -> to == null || link.to().kind() == to)
            .filter(link -> !strays || link.stray() != null)
            .map(this::view)
            .toList());
  }

  /**
   * A link with what it can be set to.
   *
   * @param relation as somebody would say it: {@code serves}
   * @param stray why it leads nowhere, or to what should be gone; null where it is sound
   * @param anew to what it should lead instead; null where nothing is known
   * @param aims kinds of what it can lead to instead; empty where it is not set from here
   */
  record LinkView(
      LinkEnd from,
      LinkEnd to,
      String relation,
      @Nullable String stray,
      @Nullable LinkEnd anew,
      List<LinkKind> aims) {}

  private LinkView view(Link link) {
    return new LinkView(
        link.from(),
        link.to(),
        link.relation(),
        link.stray(),
        link.anew(),
        setting.aims(link.from().kind(), link.to().kind()));
  }

  /**
   * Links to be set anew.
   *
   * @param kind of what all of them are to lead to
   * @param id of what all of them are to lead to
   */
  record AnewOrder(List<LinkName> links, LinkKind kind, String id) {}

  record SetAnew(int set) {}

  /** Has links lead elsewhere: all that are named, or none. */
  @PostMapping("/links/anew")
  @MayEdit
  SetAnew anew(@RequestBody AnewOrder order) {
    Retried.of(() -> {
      setting.set(order.links(), order.kind(), order.id());
      return true;
    });
    return new SetAnew(order.links().size());
  }

  /** What a change of a tool, holder, library, post or machine would touch. */
  @GetMapping("/touches")
  Slice<TouchedGroup> touches(@RequestParam LinkKind kind, @RequestParam String id) {
    return Slice.all(touches.of(kind, id));
  }
}
