package arborline.server.right;

import arborline.core.sharing.LibraryRight;
import arborline.core.sharing.LibraryRights;
import arborline.core.sharing.Sharing;
import arborline.server.account.AccountLeaves;
import arborline.server.account.Accounts;
import arborline.server.account.Actor;
import arborline.server.account.Role;
import arborline.server.right.StoredRights.SharedLibrary;
import arborline.server.support.Refusal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Says and changes who may do what in a library. */
@Service
public class RightsBook {

  private final StoredRights stored;
  private final LibraryGuard guard;
  private final Accounts accounts;

  RightsBook(StoredRights stored, LibraryGuard guard, Accounts accounts) {
    this.stored = stored;
    this.guard = guard;
    this.accounts = accounts;
  }

  /** A person with a right of his own. */
  public record PersonRight(long account, String name, Role role, LibraryRight right) {}

  /**
   * What a role may do.
   *
   * @param right null where it does not see the library
   * @param said true where that was said of this library; else it follows from how it is shared
   * @param usual what it may do in a library of the shop of which nothing else is said
   * @param most what it can be given at most
   */
  public record RoleRight(
      Role role,
      @Nullable LibraryRight right,
      boolean said,
      LibraryRight usual,
      LibraryRight most) {}

  /**
   * Who may do what in a library.
   *
   * @param right what whoever asks may do with what is in it
   * @param administers true where he may change all this
   * @param maintainers who may change what is in it, in words
   * @param administrators who may say who may do what, in words
   * @param others people who have no right of their own here; empty for those who may not give one
   * @param stamp has to come back with a change, so that nobody overwrites what he has not seen
   */
  public record RightsView(
      long library,
      String name,
      Sharing sharing,
      @Nullable LibraryRight right,
      boolean administers,
      String maintainers,
      String administrators,
      List<PersonRight> people,
      List<RoleRight> roles,
      List<PersonHead> others,
      String stamp) {}

  /** Somebody who can be given a right. */
  public record PersonHead(long account, String name, Role role) {}

  /** What the library and whoever asks for it have to do with each other. */
  @Transactional(readOnly = true)
  public RightsView view(long library) {
    guard.needRights(library);
    SharedLibrary one = library(library);
    LibraryRights rights = one.rights();
    Map<Long, Accounts.AccountHead> known =
        accounts.all().stream()
            .filter(account -> account.state() != Accounts.State.DISABLED)
            .collect(Collectors.toMap(Accounts.AccountHead::id, Function.identity()));
    boolean administers = Askers.current().map(rights::administers).orElse(true);
    return new RightsView(
        one.id(),
        one.name(),
        rights.sharing(),
        guard.right(library).orElse(null),
        administers,
        LibraryGuard.words(guard.who(one, LibraryRight.MAINTAIN)),
        LibraryGuard.words(guard.administrators(one)),
        people(rights, known),
        roles(rights),
        administers ? others(rights, known) : List.of(),
        stamp(rights));
  }

  private SharedLibrary library(long id) {
    return stored.library(id).orElseThrow(() -> Refusal.notFound("there is no library " + id));
  }

  private static List<PersonRight> people(
      LibraryRights rights, Map<Long, Accounts.AccountHead> known) {
    return rights.people().entrySet().stream()
        .filter(said -> known.containsKey(said.getKey()))
        .map(said -> {
          Accounts.AccountHead account = known.get(said.getKey());
          return new PersonRight(account.id(), account.name(), account.role(), said.getValue());
        })
        .sorted(Comparator.comparing(PersonRight::name, String.CASE_INSENSITIVE_ORDER))
        .toList();
  }

  private static List<RoleRight> roles(LibraryRights rights) {
    return Stream.of(Role.values())
        .map(role ->
            new RoleRight(
                role,
                rights.of(Askers.of(Optional.empty(), role)).orElse(null),
                rights.roles().containsKey(role.name()),
                role.usualRight(),
                role.mostRight()))
        .toList();
  }

  private static List<PersonHead> others(
      LibraryRights rights, Map<Long, Accounts.AccountHead> known) {
    return known.values().stream()
        .filter(account -> !rights.people().containsKey(account.id()))
        .map(account -> new PersonHead(account.id(), account.name(), account.role()))
        .sorted(Comparator.comparing(PersonHead::name, String.CASE_INSENSITIVE_ORDER))
        .toList();
  }

  private static String stamp(LibraryRights rights) {
    return Integer.toHexString(
        "%s %s %s"
            .formatted(
                rights.sharing(), new TreeMap<>(rights.people()), new TreeMap<>(rights.roles()))
            .hashCode());
  }

  /** A library was opened by whoever acts; a private one is his. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void opened(long library, Sharing sharing) {
    if (sharing == Sharing.PRIVATE) {
      long owner =
          Actor.account()
              .orElseThrow(() ->
                  Refusal.conflict(
                      "a private library belongs to an account; sign in by name to open one"));
      stored.write(
          library, new LibraryRights(sharing, Map.of(owner, LibraryRight.OWNER), Map.of()));
    } else {
      stored.write(library, new LibraryRights(sharing, Map.of(), Map.of()));
    }
  }

  /** What stands, with its stamp; of a library that is locked. */
  public record Standing(LibraryRights rights, String stamp) {}

  @Transactional(propagation = Propagation.MANDATORY)
  public Standing standing(long library) {
    LibraryRights rights = library(library).rights();
    return new Standing(rights, stamp(rights));
  }

  /** Has other rights stand in a locked library; each is checked. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void change(long library, LibraryRights wanted) {
    guard.needAdministration(library);
    Map<Long, Accounts.AccountHead> people = new HashMap<>();
    wanted
        .people()
        .forEach((account, right) -> {
          Accounts.AccountHead head = accounts.get(account);
          people.put(account, head);
          refuseMore(head.name(), head.role(), right);
        });
    wanted
        .roles()
        .forEach((role, right) -> {
          Role known = Role.valueOf(role);
          refuseMore("the role " + known.word(), known, right);
        });
    boolean owned =
        wanted.people().entrySet().stream()
            .anyMatch(said ->
                said.getValue() == LibraryRight.OWNER
                    && people.get(said.getKey()).state() != Accounts.State.DISABLED);
    if (wanted.sharing() == Sharing.PRIVATE && !owned) {
      throw Refusal.conflict("a private library needs an owner who can sign in; name one first");
    }
    stored.write(library, wanted);
  }

  private static void refuseMore(String who, Role role, LibraryRight right) {
    if (!role.mostRight().includes(right)) {
      throw Refusal.badRequest(
          "%s cannot %s a library: %s may %s at most"
              .formatted(who, right.verb(), role.word(), role.mostRight().verb()));
    }
  }

  /** Nobody is shut out who alone owns something that nobody else sees. */
  @EventListener
  void leaves(AccountLeaves leaving) {
    List<String> owned = new ArrayList<>(stored.ownedAlone(leaving.account()));
    if (!owned.isEmpty()) {
      throw Refusal.conflict(
          "%s alone owns the private library '%s'; give it another owner first"
              .formatted(leaving.name(), String.join("', '", owned)));
    }
  }
}
