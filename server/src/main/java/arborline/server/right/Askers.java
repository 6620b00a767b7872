package arborline.server.right;

import arborline.core.sharing.LibraryRights.Asker;
import arborline.server.account.Actor;
import arborline.server.account.Role;
import java.util.Optional;

/** Whoever acts now, as rights ask for him. */
final class Askers {

  private Askers() {}

  /** Empty for background work, which may do everything: somebody with the right began it. */
  static Optional<Asker> current() {
    return Actor.role().map(role -> of(Actor.account(), role));
  }

  static Asker of(Optional<Long> account, Role role) {
    return new Asker(account, role.name(), role.usualRight(), role.mostRight(), role == Role.LEAD);
  }
}
