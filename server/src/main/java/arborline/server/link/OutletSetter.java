package arborline.server.link;

import arborline.server.link.LinkSetter.LibraryAim;
import arborline.server.outlet.OutletAims;
import java.util.Set;
import org.springframework.stereotype.Component;

/** Which library, or which edition of one, an outlet writes. */
@Component
class OutletSetter implements LinkSetter {

  private final OutletAims outlets;
  private final LibraryAims aims;

  OutletSetter(OutletAims outlets, LibraryAims aims) {
    this.outlets = outlets;
    this.aims = aims;
  }

  @Override
  public LinkKind from() {
    return LinkKind.OUTLET;
  }

  @Override
  public Set<LinkKind> to() {
    return LibraryAims.KINDS;
  }

  @Override
  public void set(String from, String old, LinkKind kind, String id) {
    LibraryAim aim = aims.of(kind, id);
    outlets.write(LinkSetter.number(from), aim.library(), aim.edition());
  }
}
