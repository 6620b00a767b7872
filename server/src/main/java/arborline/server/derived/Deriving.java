package arborline.server.derived;

import arborline.core.edition.FrozenEntry;
import arborline.core.library.Codes;
import arborline.core.library.VisibleText;
import arborline.core.sharing.LibraryRight;
import arborline.server.account.Actor;
import arborline.server.account.Permission;
import arborline.server.derived.DerivedTools.Coming;
import arborline.server.edition.EditionHead;
import arborline.server.edition.EditionStore;
import arborline.server.edition.EditionStore.PlacedTool;
import arborline.server.library.Libraries;
import arborline.server.library.LibraryCitations;
import arborline.server.library.LibraryLocks;
import arborline.server.live.Live;
import arborline.server.right.LibraryGuard;
import arborline.server.support.Refusal;
import arborline.server.tool.TrustedCopies;
import arborline.server.trail.Trail;
import arborline.server.trail.TrailRecord;
import arborline.server.trail.Undo;
import arborline.server.trail.UndoKind;
import arborline.server.trail.Undoable;
import java.time.Clock;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Isolation;
import org.springframework.transaction.annotation.Transactional;

/** Derives libraries from editions of others, and lets them go again. */
@Service
public class Deriving implements LibraryCitations, Undo<Deriving.LetGo> {

  private static final UndoKind<LetGo> KIND =
      new UndoKind<>("library.let-go", 1, LetGo.class, Permission.EDIT);
  private static final int MOST_TOOLS = 100_000;
  private static final int CHUNK = 500;
  private static final int LONGEST_ENDING = 20;

  private final DerivedStore store;
  private final DerivedTools derived;
  private final EditionStore editions;
  private final Libraries libraries;
  private final LibraryLocks locks;
  private final LibraryGuard guard;
  private final TrustedCopies trusted;
  private final Trail trail;
  private final Live live;
  private final Clock clock;

  Deriving(
      DerivedStore store,
      DerivedTools derived,
      EditionStore editions,
      Libraries libraries,
      LibraryLocks locks,
      LibraryGuard guard,
      TrustedCopies trusted,
      Trail trail,
      Live live,
      Clock clock) {
    this.store = store;
    this.derived = derived;
    this.editions = editions;
    this.libraries = libraries;
    this.locks = locks;
    this.guard = guard;
    this.trusted = trusted;
    this.trail = trail;
    this.live = live;
    this.clock = clock;
  }

  /**
   * What is to be derived.
   *
   * @param name of the new library
   * @param ending that the codes of the base get, since a code names one tool of the shop: {@code
   *     -H} or {@code .H}
   * @param edition of the base; null for the newest
   */
  public record DeriveOrder(
      @Nullable String name, @Nullable String ending, @Nullable Long edition) {}

  /**
   * A library that was derived.
   *
   * @param edition of the base that it came from
   * @param undo line of the trail that takes it back
   */
  public record LibraryDerived(
      Libraries.LibraryHead library, EditionHead edition, int tools, long undo) {}

  /** Makes a library of an edition: its tools are tools of their own, with all that belongs. */
  @Transactional(isolation = Isolation.READ_COMMITTED)
  public LibraryDerived derive(long baseId, DeriveOrder order) {
    guard.need(baseId, LibraryRight.USE);
    EditionHead edition = edition(baseId, order.edition());
    if (edition.tools() > MOST_TOOLS) {
      throw Refusal.conflict(
          "edition %d has %d tools; a library is derived from at most %d"
              .formatted(edition.number(), edition.tools(), MOST_TOOLS));
    }
    String ending = ending(order.ending());
    String base = store.base(baseId).name();
    Libraries.LibraryHead library = libraries.derived(baseId, order.name());
    locks.lock(library.id(), LibraryRight.MAINTAIN);
    store.add(
        new DerivedLibrary(
            library.id(), baseId, edition.id(), ending, Instant.now(clock), Actor.name()));
    Map<Long, Long> added = new HashMap<>();
    List<PlacedTool> tools = List.copyOf(editions.tools(edition.id()).values());
    String origin = "derived from edition %d of %s".formatted(edition.number(), base);
    for (int from = 0; from < tools.size(); from += CHUNK) {
      Map<Long, FrozenEntry> some =
          editions.frozen(tools.subList(from, Math.min(tools.size(), from + CHUNK)));
      added.putAll(derived.add(library.id(), coming(some, ending), origin));
    }
    trust(edition.id(), added);
    long undo =
        libraries.recordDerived(
            library.id(),
            baseId,
            "derived library %s from edition %d of %s"
                .formatted(library.name(), edition.number(), base));
    live.say("library", baseId, "derived");
    return new LibraryDerived(libraries.get(library.id()), edition, added.size(), undo);
  }

  private EditionHead edition(long base, @Nullable Long wanted) {
    if (wanted == null) {
      return editions
          .newest(base)
          .orElseThrow(() -> Refusal.conflict("the library has no edition yet; publish one first"));
    }
    EditionHead edition = editions.get(wanted);
    if (edition.libraryId() != base) {
      throw Refusal.badRequest("edition %d is of another library".formatted(wanted));
    }
    return edition;
  }

  private static String ending(@Nullable String given) {
    String ending = Optional.ofNullable(given).orElse("").strip();
    if (ending.isEmpty() || ending.length() > LONGEST_ENDING) {
      throw Refusal.badRequest(
          "say what the codes of the base get at their end, 1 to %d characters such as -H"
              .formatted(LONGEST_ENDING));
    }
    VisibleText.fault("the ending", ending)
        .or(() -> Codes.fault("X" + ending))
        .ifPresent(fault -> {
          throw Refusal.badRequest(fault);
        });
    return ending;
  }

  static List<Coming> coming(Map<Long, FrozenEntry> some, String ending) {
    return some.entrySet().stream()
        .map(one ->
            new Coming(
                one.getKey(),
                DerivedTools.coded(one.getValue(), one.getValue().tool().code() + ending)))
        .toList();
  }

  /** Tools that the base still has as the edition has them are trusted as far here. */
  void trust(long edition, Map<Long, Long> added) {
    Set<Long> standing = editions.standing(edition);
    Map<Long, Long> originals = new HashMap<>();
    added.forEach((base, tool) -> {
      if (standing.contains(base)) {
        originals.put(tool, base);
      }
    });
    trusted.trust(originals);
  }

  /** What is kept of a library that was let go. */
  record LetGo(DerivedLibrary library) {}

  /** The library stays as it is and takes nothing of its base in any more. */
  @Transactional
  public Undoable letGo(long library) {
    String name = locks.lock(library, LibraryRight.OWNER);
    DerivedLibrary one =
        store
            .of(library)
            .orElseThrow(() -> Refusal.conflict("library '%s' is not derived".formatted(name)));
    store.remove(library);
    live.say("library", library, "");
    return new Undoable(
        trail.record(
            TrailRecord.of(
                    "library",
                    library,
                    "let library %s go from its base %s"
                        .formatted(name, store.base(one.baseId()).name()))
                .undoneBy(KIND, new LetGo(one))));
  }

  @Override
  public UndoKind<LetGo> kind() {
    return KIND;
  }

  @Override
  public void takeBack(LetGo deed) {
    DerivedLibrary one = deed.library();
    locks.lock(one.libraryId(), LibraryRight.OWNER);
    if (!store.base(one.baseId()).there()) {
      throw Refusal.conflict("its base was deleted since; bring that back first");
    }
    if (store.of(one.libraryId()).isPresent()) {
      throw Refusal.conflict("the library is derived again already");
    }
    store.add(one);
    live.say("library", one.libraryId(), "");
  }

  @Override
  public List<String> of(long libraryId) {
    return store.from(libraryId).stream()
        .map(id ->
            guard.right(id).isPresent()
                ? "library '%s', which is derived from it".formatted(store.base(id).name())
                : "a private library, which is derived from it")
        .toList();
  }
}
