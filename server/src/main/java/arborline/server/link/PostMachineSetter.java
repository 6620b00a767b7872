package arborline.server.link;

import arborline.server.post.Posts;
import java.util.Set;
import org.springframework.stereotype.Component;

/** Which machine a post serves. */
@Component
class PostMachineSetter implements LinkSetter {

  private final Posts posts;

  PostMachineSetter(Posts posts) {
    this.posts = posts;
  }

  @Override
  public LinkKind from() {
    return LinkKind.POST;
  }

  @Override
  public Set<LinkKind> to() {
    return Set.of(LinkKind.MACHINE);
  }

  @Override
  public void set(String from, String old, LinkKind kind, String id) {
    posts.serving(LinkSetter.number(from), id);
  }
}
