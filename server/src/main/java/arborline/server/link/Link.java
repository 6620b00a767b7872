package arborline.server.link;

import org.jspecify.annotations.Nullable;

/**
 * A link from one thing of the shop to another.
 *
 * @param relation as somebody would say it: {@code serves}
 * @param stray why it leads nowhere, or to what should be gone; null where it is sound
 * @param anew to what it should lead instead; null where nothing is known
 */
public record Link(
    LinkEnd from, LinkEnd to, String relation, @Nullable String stray, @Nullable LinkEnd anew) {

  Link(LinkEnd from, LinkEnd to, String relation, @Nullable String stray) {
    this(from, to, relation, stray, null);
  }
}
