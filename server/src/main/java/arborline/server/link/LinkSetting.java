package arborline.server.link;

import arborline.server.support.Refusal;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Has links lead elsewhere: all that are named, or none. */
@Service
class LinkSetting {

  private static final int MOST = 200;

  private final List<LinkSetter> setters;

  LinkSetting(List<LinkSetter> setters) {
    this.setters = setters;
  }

  /** A link by its ends. */
  record LinkName(
      @Nullable LinkKind fromKind,
      @Nullable String from,
      @Nullable LinkKind toKind,
      @Nullable String to) {}

  /** To what links of a kind can be set anew, such as a library or an edition; empty for none. */
  List<LinkKind> aims(LinkKind from, LinkKind to) {
    return setters.stream()
        .filter(setter -> setter.from() == from && setter.to().contains(to))
        .flatMap(setter -> setter.to().stream())
        .sorted()
        .toList();
  }

  /**
   * Sets links anew.
   *
   * @param kind of what they are to lead to
   * @param id of what they are to lead to
   */
  @Transactional
  void set(List<LinkName> links, LinkKind kind, String id) {
    if (links.isEmpty() || links.size() > MOST) {
      throw Refusal.badRequest("name 1 to %d links".formatted(MOST));
    }
    for (LinkName link : links) {
      if (link.fromKind() == null
          || link.from() == null
          || link.toKind() == null
          || link.to() == null) {
        throw Refusal.badRequest("links: each has fromKind, from, toKind and to");
      }
      setters.stream()
          .filter(setter ->
              setter.from() == link.fromKind()
                  && setter.to().contains(link.toKind())
                  && setter.to().contains(kind))
          .findFirst()
          .orElseThrow(() ->
              Refusal.badRequest(
                  "a link from %s to %s cannot be set to %s"
                      .formatted(link.fromKind(), link.toKind(), kind)))
          .set(link.from(), link.to(), kind, id);
    }
  }
}
