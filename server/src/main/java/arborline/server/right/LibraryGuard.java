package arborline.server.right;

import arborline.core.sharing.LibraryRight;
import arborline.core.sharing.LibraryRights;
import arborline.core.sharing.LibraryRights.Asker;
import arborline.core.sharing.Sharing;
import arborline.server.account.Role;
import arborline.server.right.StoredRights.SharedLibrary;
import arborline.server.support.Refusal;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/** Says what whoever acts now may do in libraries, and refuses the rest in words. */
@Component
public class LibraryGuard {

  private final StoredRights stored;

  LibraryGuard(StoredRights stored) {
    this.stored = stored;
  }

  /** What he may do; nothing where he does not see it, or it is not there. */
  public Optional<LibraryRight> right(long library) {
    Optional<Asker> asker = Askers.current();
    return asker.isEmpty()
        ? Optional.of(LibraryRight.OWNER)
        : stored.library(library).flatMap(one -> one.rights().of(asker.get()));
  }

  /**
   * Refuses what he may not do.
   *
   * @throws Refusal not found where he does not see the library, forbidden where more is needed
   */
  public void need(long library, LibraryRight needed) {
    Optional<Asker> asker = Askers.current();
    if (asker.isEmpty()) {
      return;
    }
    SharedLibrary one =
        stored
            .library(library)
            .orElseThrow(() -> Refusal.notFound("there is no library " + library));
    Optional<LibraryRight> right = one.rights().of(asker.get());
    if (right.isEmpty()) {
      throw unseen(one, asker.get());
    }
    if (!right.get().includes(needed)) {
      throw Refusal.of(HttpStatus.FORBIDDEN, refusal(one, right.get(), needed));
    }
  }

  /** The lead is told that a private library is there, others are not. */
  private Refusal unseen(SharedLibrary one, Asker asker) {
    return asker.lead()
        ? Refusal.of(
            HttpStatus.FORBIDDEN,
            "library '%s' is private; %s may share it"
                .formatted(one.name(), words(who(one, LibraryRight.OWNER))))
        : Refusal.notFound("there is no library " + one.id());
  }

  private String refusal(SharedLibrary one, LibraryRight has, LibraryRight needed) {
    if (one.rights().sharing() == Sharing.REFERENCE) {
      return "library '%s' is a reference: nobody changes what is in it. %s may change that"
          .formatted(one.name(), words(administrators(one)));
    }
    List<String> who = who(one, needed);
    return "you may %s library '%s', not %s it; %s may"
        .formatted(has.verb(), one.name(), needed.verb(), words(who));
  }

  /** Refuses those who neither see a library nor may say who does. */
  public void needRights(long library) {
    if (right(library).isEmpty()) {
      needAdministration(library);
    }
  }

  /** True for those whom {@link #needFeeding} does not refuse. */
  public boolean feeds(long library) {
    Optional<Asker> asker = Askers.current();
    return asker.isEmpty()
        || stored
            .library(library)
            .filter(one ->
                one.rights().sharing() == Sharing.REFERENCE
                    ? one.rights().administers(asker.get())
                    : one.rights()
                        .of(asker.get())
                        .filter(right -> right.includes(LibraryRight.MAINTAIN))
                        .isPresent())
            .isPresent();
  }

  /**
   * Refuses those who may not say where a library is written for others: whoever maintains it may,
   * and of a reference, which nobody maintains, whoever says who may do what there.
   */
  public void needFeeding(long library) {
    boolean reference =
        stored
            .library(library)
            .filter(one -> one.rights().sharing() == Sharing.REFERENCE)
            .isPresent();
    if (reference) {
      needAdministration(library);
    } else {
      need(library, LibraryRight.MAINTAIN);
    }
  }

  /** Refuses those who may not say who may do what. */
  public void needAdministration(long library) {
    Optional<Asker> asker = Askers.current();
    if (asker.isEmpty()) {
      return;
    }
    SharedLibrary one =
        stored
            .library(library)
            .orElseThrow(() -> Refusal.notFound("there is no library " + library));
    if (one.rights().administers(asker.get())) {
      return;
    }
    if (one.rights().of(asker.get()).isEmpty()) {
      throw Refusal.notFound("there is no library " + library);
    }
    throw Refusal.of(
        HttpStatus.FORBIDDEN,
        "who may do what in library '%s' is said by %s"
            .formatted(one.name(), words(administrators(one))));
  }

  /**
   * How a library is shared with whoever acts now.
   *
   * @param right null where he only sees that it is there
   */
  public record Access(Sharing sharing, @Nullable LibraryRight right) {}

  /** Those of some libraries that whoever acts now sees, or whose being there he is told. */
  public Map<Long, Access> access(Collection<Long> libraries) {
    Optional<Asker> asker = Askers.current();
    Map<Long, Access> access = new HashMap<>();
    for (SharedLibrary one : stored.libraries(libraries)) {
      LibraryRight right =
          asker.isEmpty() ? LibraryRight.OWNER : one.rights().of(asker.get()).orElse(null);
      if (right != null || asker.filter(Asker::lead).isPresent()) {
        access.put(one.id(), new Access(one.rights().sharing(), right));
      }
    }
    return access;
  }

  /** Libraries that whoever acts now does not see into: private ones of others. */
  public Set<Long> hidden() {
    Optional<Asker> asker = Askers.current();
    Set<Long> hidden = new HashSet<>();
    if (asker.isPresent()) {
      for (SharedLibrary one : stored.ofFew()) {
        if (one.rights().of(asker.get()).isEmpty()) {
          hidden.add(one.id());
        }
      }
    }
    return hidden;
  }

  /** Those of some libraries that whoever acts now may not maintain although he sees them. */
  List<SharedLibrary> notMaintained(Collection<Long> libraries) {
    Optional<Asker> asker = Askers.current();
    return asker.isEmpty()
        ? List.of()
        : stored.libraries(libraries).stream()
            .filter(one ->
                one.rights()
                    .of(asker.get())
                    .filter(right -> !right.includes(LibraryRight.MAINTAIN))
                    .isPresent())
            .toList();
  }

  /** Who may change what is in libraries, in words. */
  public Map<Long, String> maintainers(Collection<Long> libraries) {
    List<SharedLibrary> all = stored.libraries(libraries);
    Set<Long> people = new HashSet<>();
    all.forEach(one -> people.addAll(one.rights().people().keySet()));
    Map<Long, String> names = stored.names(people);
    Map<Long, String> words = new HashMap<>();
    all.forEach(one -> words.put(one.id(), words(who(one, LibraryRight.MAINTAIN, names))));
    return words;
  }

  /** Who may do something in a library: people by name, roles in the plural. */
  List<String> who(SharedLibrary one, LibraryRight needed) {
    return who(one, needed, stored.names(one.rights().people().keySet()));
  }

  private static List<String> who(SharedLibrary one, LibraryRight needed, Map<Long, String> names) {
    LibraryRights rights = one.rights();
    List<String> who = new ArrayList<>();
    rights
        .people()
        .forEach((account, held) -> {
          if (names.containsKey(account) && held.includes(needed)) {
            who.add(names.get(account));
          }
        });
    who.sort(String.CASE_INSENSITIVE_ORDER);
    Stream.of(Role.values())
        .filter(role ->
            rights
                .of(Askers.of(Optional.empty(), role))
                .filter(right -> right.includes(needed))
                .isPresent())
        .map(LibraryGuard::plural)
        .forEach(who::add);
    return who;
  }

  /** Who may say who may do what. */
  List<String> administrators(SharedLibrary one) {
    SharedLibrary open =
        new SharedLibrary(
            one.id(),
            one.name(),
            new LibraryRights(Sharing.PRIVATE, one.rights().people(), one.rights().roles()));
    List<String> who = new ArrayList<>(who(open, LibraryRight.OWNER));
    if (!who.contains(plural(Role.LEAD))) {
      who.add(plural(Role.LEAD));
    }
    return who;
  }

  private static String plural(Role role) {
    return switch (role) {
      case LEAD -> "the lead";
      case TOOLROOM -> "the toolroom";
      default -> role.word() + "s";
    };
  }

  /** {@code anna, ben and the lead}; {@code nobody} for none. */
  static String words(List<String> who) {
    if (who.isEmpty()) {
      return "nobody";
    }
    int last = who.size() - 1;
    return last == 0
        ? who.getFirst()
        : String.join(", ", who.subList(0, last)) + " and " + who.get(last);
  }
}
