package arborline.server.link;

import arborline.server.stack.PartReplacement;
import java.util.Set;
import org.springframework.stereotype.Component;

/** Of which holder a stack is built. */
@Component
class StackHolderSetter implements LinkSetter {

  private final PartReplacement parts;

  StackHolderSetter(PartReplacement parts) {
    this.parts = parts;
  }

  @Override
  public LinkKind from() {
    return LinkKind.STACK;
  }

  @Override
  public Set<LinkKind> to() {
    return Set.of(LinkKind.HOLDER);
  }

  @Override
  public void set(String from, String old, LinkKind kind, String id) {
    parts.replace(LinkSetter.number(from), LinkSetter.number(old), LinkSetter.number(id));
  }
}
