package arborline.server.post;

import arborline.core.post.Post;
import org.jspecify.annotations.Nullable;

/**
 * A post of the shop.
 *
 * @param machine which it serves; null for none
 * @param library that comes with it; null for none
 * @param edition of that library which it cites; null for none in particular
 * @param version grows with each change
 * @param deleted true where it was deleted
 */
record PostRow(
    long id,
    Post post,
    @Nullable String machine,
    @Nullable Long library,
    @Nullable Long edition,
    int version,
    boolean deleted) {}
