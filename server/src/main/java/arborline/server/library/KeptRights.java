package arborline.server.library;

import arborline.core.sharing.LibraryRight;
import arborline.core.sharing.LibraryRights;
import arborline.core.sharing.Sharing;
import java.util.Map;

/** Rights in a library as the trail keeps them. */
record KeptRights(
    Sharing sharing, Map<Long, LibraryRight> people, Map<String, LibraryRight> roles) {

  static KeptRights of(LibraryRights rights) {
    return new KeptRights(rights.sharing(), rights.people(), rights.roles());
  }

  LibraryRights rights() {
    return new LibraryRights(sharing, people, roles);
  }
}
