package arborline.server.account;

import arborline.core.sharing.LibraryRight;
import java.util.Locale;
import java.util.Set;

/** Account roles with what they may do besides looking. */
public enum Role {
  LEAD(Set.of(Permission.values()), LibraryRight.OWNER, LibraryRight.OWNER),
  PROGRAMMER(
      Set.of(Permission.EDIT, Permission.PROPOSE, Permission.RECEIVE, Permission.PROVE),
      LibraryRight.MAINTAIN,
      LibraryRight.OWNER),
  TOOLROOM(
      Set.of(Permission.PROPOSE, Permission.LOAD, Permission.HANDLE, Permission.PROVE),
      LibraryRight.PROPOSE,
      LibraryRight.PROPOSE),
  OPERATOR(Set.of(Permission.HANDLE), LibraryRight.USE, LibraryRight.USE),
  VISITOR(Set.of(), LibraryRight.USE, LibraryRight.USE);

  private final Set<Permission> permissions;
  private final LibraryRight usual;
  private final LibraryRight most;

  Role(Set<Permission> permissions, LibraryRight usual, LibraryRight most) {
    this.permissions = permissions;
    this.usual = usual;
    this.most = most;
  }

  public Set<Permission> permissions() {
    return permissions;
  }

  /** What it may do in a library of the shop of which nothing else is said. */
  public LibraryRight usualRight() {
    return usual;
  }

  /** What it may do in a library at most. */
  public LibraryRight mostRight() {
    return most;
  }

  /** As it is written: {@code toolroom}. */
  public String word() {
    return name().toLowerCase(Locale.ROOT);
  }
}
