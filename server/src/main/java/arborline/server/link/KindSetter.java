package arborline.server.link;

import java.util.Set;

/** Has links of one kind of thing lead to another thing of the kind that they lead to now. */
final class KindSetter implements LinkSetter {

  /** Has one link lead from its old end to another one, each by its id. */
  interface Leading {
    void lead(String from, String old, String id);
  }

  private final LinkKind from;
  private final LinkKind to;
  private final Leading leading;

  KindSetter(LinkKind from, LinkKind to, Leading leading) {
    this.from = from;
    this.to = to;
    this.leading = leading;
  }

  @Override
  public LinkKind from() {
    return from;
  }

  @Override
  public Set<LinkKind> to() {
    return Set.of(to);
  }

  @Override
  public void set(String from, String old, LinkKind kind, String id) {
    leading.lead(from, old, id);
  }
}
