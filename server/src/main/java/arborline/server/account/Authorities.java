package arborline.server.account;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.GrantedAuthority;
import org.springframework.security.core.authority.SimpleGrantedAuthority;

/** A role and its permissions in the terms of the security framework. */
final class Authorities {

  private static final String ROLE = "ROLE_";

  private Authorities() {}

  static List<GrantedAuthority> of(Role role) {
    return of(role, role.permissions());
  }

  /** Of a role with some of its permissions. */
  static List<GrantedAuthority> of(Role role, Collection<Permission> permissions) {
    List<GrantedAuthority> authorities = new ArrayList<>();
    authorities.add(new SimpleGrantedAuthority(ROLE + role.name()));
    permissions.stream()
        .filter(role.permissions()::contains)
        .forEach(permission -> authorities.add(new SimpleGrantedAuthority(permission.name())));
    return authorities;
  }

  static Optional<Role> role(Authentication who) {
    return who.getAuthorities().stream()
        .map(GrantedAuthority::getAuthority)
        .flatMap(authority ->
            Arrays.stream(Role.values()).filter(role -> (ROLE + role.name()).equals(authority)))
        .findFirst();
  }
}
