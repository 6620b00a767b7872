package arborline.server.link;

import org.jspecify.annotations.Nullable;

/**
 * One end of a link.
 *
 * @param href of its page; null where it has none
 */
public record LinkEnd(LinkKind kind, String id, String name, @Nullable String href) {}
