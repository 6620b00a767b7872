package arborline.server.account;

import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;

/** Who is acting: the account, or the role of an access key. */
public final class Actor {

  private Actor() {}

  /** Name of whoever acts now. */
  public static String name() {
    Authentication who = SecurityContextHolder.getContext().getAuthentication();
    return who == null ? "system" : who.getName();
  }

  /** True where whoever acts now has a permission. */
  public static boolean may(Permission permission) {
    Authentication who = SecurityContextHolder.getContext().getAuthentication();
    return who != null
        && who.getAuthorities().stream()
            .anyMatch(authority -> permission.name().equals(authority.getAuthority()));
  }
}
