package arborline.server.account;

import java.util.Optional;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;

/** Who is acting: the account, or the role of an access key; nobody in background work. */
public final class Actor {

  private Actor() {}

  private static Optional<Authentication> current() {
    return Optional.ofNullable(SecurityContextHolder.getContext().getAuthentication());
  }

  /** Name of whoever acts now. */
  public static String name() {
    return current().map(Authentication::getName).orElse("system");
  }

  /** True where whoever acts now has a permission. */
  public static boolean may(Permission permission) {
    return current().stream()
        .flatMap(who -> who.getAuthorities().stream())
        .anyMatch(authority -> permission.name().equals(authority.getAuthority()));
  }

  /** The account that acts; empty for a key of a role and for background work. */
  public static Optional<Long> account() {
    return current()
        .map(Authentication::getPrincipal)
        .filter(SignedIn.class::isInstance)
        .map(principal -> ((SignedIn) principal).account());
  }

  /**
   * The role of whoever acts, a visitor's for one who is not signed in; empty for background work.
   */
  public static Optional<Role> role() {
    return current().map(who -> Authorities.role(who).orElse(Role.VISITOR));
  }
}
