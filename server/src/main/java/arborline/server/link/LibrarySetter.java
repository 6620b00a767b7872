package arborline.server.link;

import java.util.Set;
import org.jspecify.annotations.Nullable;

/** Has something work with another library, or with an edition of one. */
final class LibrarySetter implements LinkSetter {

  /** Has one thing lead to a library, and to an edition of it where one is meant. */
  interface Aiming {
    void aim(String from, long library, @Nullable Long edition);
  }

  private final LinkKind from;
  private final LibraryAims aims;
  private final Aiming aiming;

  LibrarySetter(LinkKind from, LibraryAims aims, Aiming aiming) {
    this.from = from;
    this.aims = aims;
    this.aiming = aiming;
  }

  @Override
  public LinkKind from() {
    return from;
  }

  @Override
  public Set<LinkKind> to() {
    return LibraryAims.KINDS;
  }

  @Override
  public void set(String from, String old, LinkKind kind, String id) {
    LibraryAim aim = aims.of(kind, id);
    aiming.aim(from, aim.library(), aim.edition());
  }
}
