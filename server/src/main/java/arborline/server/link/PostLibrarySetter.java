package arborline.server.link;

import arborline.server.link.LinkSetter.LibraryAim;
import arborline.server.post.Posts;
import java.util.Set;
import org.springframework.stereotype.Component;

/** Which library a post brings. */
@Component
class PostLibrarySetter implements LinkSetter {

  private final Posts posts;
  private final LibraryAims aims;

  PostLibrarySetter(Posts posts, LibraryAims aims) {
    this.posts = posts;
    this.aims = aims;
  }

  @Override
  public LinkKind from() {
    return LinkKind.POST;
  }

  @Override
  public Set<LinkKind> to() {
    return LibraryAims.KINDS;
  }

  @Override
  public void set(String from, String old, LinkKind kind, String id) {
    LibraryAim aim = aims.of(kind, id);
    posts.bringing(LinkSetter.number(from), aim.library(), aim.edition());
  }
}
