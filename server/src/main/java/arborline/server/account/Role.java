package arborline.server.account;

import java.util.Set;

/** Account roles with what they may do besides looking. */
public enum Role {
  LEAD(Set.of(Permission.values())),
  PROGRAMMER(Set.of(Permission.EDIT, Permission.RECEIVE, Permission.PROVE)),
  TOOLROOM(Set.of(Permission.LOAD, Permission.PROVE)),
  OPERATOR(Set.of()),
  VISITOR(Set.of());

  private final Set<Permission> permissions;

  Role(Set<Permission> permissions) {
    this.permissions = permissions;
  }

  public Set<Permission> permissions() {
    return permissions;
  }
}
