package arborline.server.link;

import arborline.server.link.LinkSetter.LibraryAim;
import arborline.server.machine.MachineLibraries;
import java.util.Set;
import org.springframework.stereotype.Component;

/** From which library tools for a machine are picked. */
@Component
class MachineLibrarySetter implements LinkSetter {

  private final MachineLibraries libraries;
  private final LibraryAims aims;

  MachineLibrarySetter(MachineLibraries libraries, LibraryAims aims) {
    this.libraries = libraries;
    this.aims = aims;
  }

  @Override
  public LinkKind from() {
    return LinkKind.MACHINE;
  }

  @Override
  public Set<LinkKind> to() {
    return LibraryAims.KINDS;
  }

  @Override
  public void set(String from, String old, LinkKind kind, String id) {
    LibraryAim aim = aims.of(kind, id);
    libraries.choose(from, aim.library(), aim.edition());
  }
}
