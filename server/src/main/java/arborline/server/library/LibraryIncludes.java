package arborline.server.library;

import arborline.core.sharing.LibraryRight;
import arborline.server.account.Actor;
import arborline.server.account.Permission;
import arborline.server.library.IncludeStore.Include;
import arborline.server.live.Live;
import arborline.server.right.LibraryGuard;
import arborline.server.support.Refusal;
import arborline.server.trail.Trail;
import arborline.server.trail.TrailRecord;
import arborline.server.trail.Undo;
import arborline.server.trail.UndoKind;
import arborline.server.trail.Undoable;
import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Isolation;
import org.springframework.transaction.annotation.Transactional;

/** Libraries that include others, or sections of them: what stands there then stands here. */
@Service
class LibraryIncludes implements LibraryCitations, Undo<LibraryIncludes.Ended> {

  private static final UndoKind<Ended> KIND =
      new UndoKind<>("library.include", 1, Ended.class, Permission.EDIT);
  private static final int MOST = 50;

  private final IncludeStore store;
  private final IncludeFollowing following;
  private final EntryStore entries;
  private final SectionStore sections;
  private final LibraryRepository libraries;
  private final PutAwayEntries away;
  private final LibraryGuard guard;
  private final JdbcClient jdbc;
  private final Trail trail;
  private final Live live;
  private final Clock clock;

  LibraryIncludes(
      IncludeStore store,
      IncludeFollowing following,
      EntryStore entries,
      SectionStore sections,
      LibraryRepository libraries,
      PutAwayEntries away,
      LibraryGuard guard,
      JdbcClient jdbc,
      Trail trail,
      Live live,
      Clock clock) {
    this.store = store;
    this.following = following;
    this.entries = entries;
    this.sections = sections;
    this.libraries = libraries;
    this.away = away;
    this.guard = guard;
    this.jdbc = jdbc;
    this.trail = trail;
    this.live = live;
    this.clock = clock;
  }

  /**
   * A library that is included.
   *
   * @param from null where whoever asks does not see it
   * @param name empty where he does not
   * @param section in words; empty for all of it
   * @param tools how many of its tools stand here
   * @param refused how many cannot
   * @param refusal why the first of these cannot; empty for none
   */
  record IncludeView(
      long id,
      @Nullable Long from,
      String name,
      String section,
      long tools,
      int refused,
      String refusal,
      Instant madeAt,
      String madeBy) {}

  @Transactional(readOnly = true)
  List<IncludeView> all(long library) {
    guard.need(library, LibraryRight.USE);
    return store.of(library).stream().map(this::view).toList();
  }

  private IncludeView view(Include one) {
    boolean seen = guard.right(one.fromId()).isPresent();
    return new IncludeView(
        one.id(),
        seen ? one.fromId() : null,
        seen ? name(one.fromId()) : "",
        one.sectionId() == 0 || !seen ? "" : sectionName(one.sectionId()),
        jdbc.sql("select count(*) from entry where include_id = ?")
            .param(one.id())
            .query(Long.class)
            .single(),
        one.refused(),
        one.refusal(),
        one.madeAt(),
        one.madeBy());
  }

  private String name(long library) {
    return jdbc.sql("select name from library where id = ?")
        .param(library)
        .query(String.class)
        .optional()
        .orElse("");
  }

  private String sectionName(long section) {
    return jdbc.sql("select name from section where id = ?")
        .param(section)
        .query(String.class)
        .optional()
        .orElse("a section that was deleted");
  }

  /**
   * What was done.
   *
   * @param undo line of the trail that takes it back
   */
  record IncludeDone(IncludeView include, long undo) {}

  /**
   * Includes another library from now on.
   *
   * @param section null for all of it
   */
  @Transactional(isolation = Isolation.READ_COMMITTED)
  IncludeDone include(long library, @Nullable Long from, @Nullable Long section) {
    if (from == null) {
      throw Refusal.badRequest("say which library is included");
    }
    if (from == library) {
      throw Refusal.conflict("a library does not include itself");
    }
    guard.need(from, LibraryRight.USE);
    for (long id : new TreeSet<>(List.of(library, from))) {
      if (libraries.lock(id) == 0) {
        throw Refusal.notFound("there is no library " + id);
      }
    }
    Library into = entries.lockedForEntering(library);
    String name = name(from);
    if (store.reaches(from, library)) {
      throw Refusal.conflict(
          "library '%s' includes '%s' already; that would be a circle".formatted(name, into.name));
    }
    if (section != null) {
      sections.get(from, section);
    }
    if (store.of(library).size() >= MOST) {
      throw Refusal.conflict("a library includes at most %d others".formatted(MOST));
    }
    Include wanted =
        new Include(
            0,
            library,
            from,
            section == null ? 0 : section,
            0,
            "",
            Instant.now(clock).truncatedTo(ChronoUnit.MICROS),
            Actor.name());
    long id = add(0, wanted, name);
    following.follow(id);
    live.say("library", library, "include");
    long undo =
        trail.record(
            TrailRecord.of("library", library, "%s includes %s".formatted(into.name, name))
                .in(List.of(from))
                .undoneBy(KIND, new Ended(kept(id, wanted), 0, true)));
    return new IncludeDone(view(store.get(id).orElseThrow()), undo);
  }

  private long add(long id, Include wanted, String name) {
    try {
      return store.add(id, wanted);
    } catch (DuplicateKeyException there) {
      throw Refusal.conflict("library '%s' is included already".formatted(name));
    }
  }

  /** One as the trail keeps it. */
  record KeptInclude(long id, long library, long from, long section, Instant at, String by) {

    Include include() {
      return new Include(id, library, from, section, 0, "", at, by);
    }
  }

  private static KeptInclude kept(long id, Include one) {
    return new KeptInclude(
        id, one.libraryId(), one.fromId(), one.sectionId(), one.madeAt(), one.madeBy());
  }

  /**
   * One that began or ended.
   *
   * @param putAway number under which its entries are kept; 0 for none
   * @param began true where it is to end
   */
  record Ended(KeptInclude include, long putAway, boolean began) {}

  /** Ends it; what stood here by it goes. */
  @Transactional(isolation = Isolation.READ_COMMITTED)
  Undoable end(long library, long id) {
    Library into = entries.locked(library);
    Include one =
        store
            .get(id)
            .filter(found -> found.libraryId() == library)
            .orElseThrow(() -> Refusal.notFound("the library has no include %d".formatted(id)));
    long number = end(one);
    return new Undoable(
        trail.record(
            TrailRecord.of(
                    "library",
                    library,
                    "%s no longer includes %s".formatted(into.name, name(one.fromId())))
                .in(List.of(one.fromId()))
                .undoneBy(KIND, new Ended(kept(id, one), number, false))));
  }

  private long end(Include one) {
    List<Long> gone =
        jdbc.sql("select id from entry where include_id = ?")
            .param(one.id())
            .query(Long.class)
            .list();
    long number = gone.isEmpty() ? 0 : away.begin();
    if (number > 0) {
      away.entries(number, gone);
    }
    store.remove(one.id());
    live.say("library", one.libraryId(), "include");
    return number;
  }

  @Override
  public UndoKind<Ended> kind() {
    return KIND;
  }

  @Override
  public void takeBack(Ended deed) {
    KeptInclude kept = deed.include();
    entries.locked(kept.library());
    if (deed.began()) {
      end(
          store
              .get(kept.id())
              .orElseThrow(() -> Refusal.conflict("the include was ended already")));
      return;
    }
    if (store.reaches(kept.from(), kept.library())) {
      throw Refusal.conflict("that would be a circle by now");
    }
    add(kept.id(), kept.include(), name(kept.from()));
    if (deed.putAway() > 0) {
      away.bringBack(deed.putAway());
    }
    live.say("library", kept.library(), "include");
  }

  @Override
  public List<String> of(long libraryId) {
    return store.including(libraryId).stream()
        .map(id ->
            guard.right(id).isPresent()
                ? "library '%s', which includes it".formatted(name(id))
                : "a private library, which includes it")
        .toList();
  }
}
