package arborline.server.link;

import arborline.server.edition.EditionStore;
import arborline.server.link.LinkSetter.LibraryAim;
import java.util.Set;
import org.springframework.stereotype.Component;

/** Libraries and editions as that to which links are set anew. */
@Component
class LibraryAims {

  static final Set<LinkKind> KINDS = Set.of(LinkKind.LIBRARY, LinkKind.EDITION);

  private final EditionStore editions;

  LibraryAims(EditionStore editions) {
    this.editions = editions;
  }

  LibraryAim of(LinkKind kind, String id) {
    long number = LinkSetter.number(id);
    return kind == LinkKind.EDITION
        ? new LibraryAim(editions.get(number).libraryId(), number)
        : new LibraryAim(number, null);
  }
}
