package arborline.core.sharing;

import java.util.Map;
import java.util.Optional;

/**
 * The rights in one library.
 *
 * @param people what is said of single people, by account
 * @param roles what is said of roles, by name
 */
public record LibraryRights(
    Sharing sharing, Map<Long, LibraryRight> people, Map<String, LibraryRight> roles) {

  public LibraryRights {
    people = Map.copyOf(people);
    roles = Map.copyOf(roles);
  }

  /**
   * Somebody who asks.
   *
   * @param account empty for a key that stands for a role alone
   * @param role name of his role
   * @param usual what the role may do in a library of the shop of which nothing else is said
   * @param most what the role may do at most, whatever is said
   * @param lead true for who leads the shop
   */
  public record Asker(
      Optional<Long> account, String role, LibraryRight usual, LibraryRight most, boolean lead) {}

  /** A library of the shop of which nothing else is said. */
  public static final LibraryRights USUAL = new LibraryRights(Sharing.SHOP, Map.of(), Map.of());

  /**
   * What somebody may do with what is in the library; nothing where he does not see it. What is
   * said of a person goes before what is said of his role. Nobody changes a reference library.
   */
  public Optional<LibraryRight> of(Asker asker) {
    return said(asker)
        .map(right -> sharing == Sharing.REFERENCE ? lower(right, LibraryRight.USE) : right);
  }

  /** True where somebody may say who may do what: its owners, and whoever leads the shop. */
  public boolean administers(Asker asker) {
    return asker.lead() || said(asker).filter(LibraryRight.OWNER::equals).isPresent();
  }

  private Optional<LibraryRight> said(Asker asker) {
    Optional<LibraryRight> said =
        asker
            .account()
            .flatMap(account -> Optional.ofNullable(people.get(account)))
            .or(() -> Optional.ofNullable(roles.get(asker.role())));
    if (sharing == Sharing.PRIVATE) {
      return said.map(right -> lower(right, asker.most()));
    }
    if (asker.lead()) {
      return Optional.of(LibraryRight.OWNER);
    }
    return Optional.of(lower(said.orElse(asker.usual()), asker.most()));
  }

  private static LibraryRight lower(LibraryRight one, LibraryRight other) {
    return one.compareTo(other) < 0 ? one : other;
  }
}
