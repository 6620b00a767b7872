package arborline.server.account;

import java.util.ArrayList;
import java.util.List;
import org.springframework.security.core.GrantedAuthority;
import org.springframework.security.core.authority.SimpleGrantedAuthority;

/** A role and its permissions in the terms of the security framework. */
final class Authorities {

  private Authorities() {}

  static List<GrantedAuthority> of(Role role) {
    List<GrantedAuthority> authorities = new ArrayList<>();
    authorities.add(new SimpleGrantedAuthority("ROLE_" + role.name()));
    role.permissions()
        .forEach(permission -> authorities.add(new SimpleGrantedAuthority(permission.name())));
    return authorities;
  }
}
