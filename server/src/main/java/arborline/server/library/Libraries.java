package arborline.server.library;

import arborline.core.library.LibraryProcesses;
import arborline.core.sharing.LibraryRight;
import arborline.core.sharing.Sharing;
import arborline.server.live.Live;
import arborline.server.right.LibraryGuard;
import arborline.server.right.RightsBook;
import arborline.server.support.Refusal;
import arborline.server.trail.Trail;
import arborline.server.trail.TrailRecord;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Limit;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Opens libraries, lists them, and changes what they are for. */
@Service
public class Libraries {

  private static final int MOST_LIBRARIES = 500;

  private final EntryStore store;
  private final LibraryRepository libraries;
  private final LibrarySettingsStore settings;
  private final EntryRepository entries;
  private final LibraryGuard guard;
  private final JdbcClient jdbc;
  private final Trail trail;
  private final Live live;
  private final RightsBook rights;

  Libraries(
      EntryStore store,
      LibraryRepository libraries,
      LibrarySettingsStore settings,
      EntryRepository entries,
      LibraryGuard guard,
      JdbcClient jdbc,
      Trail trail,
      Live live,
      RightsBook rights) {
    this.rights = rights;
    this.store = store;
    this.libraries = libraries;
    this.settings = settings;
    this.entries = entries;
    this.guard = guard;
    this.jdbc = jdbc;
    this.trail = trail;
    this.live = live;
  }

  /**
   * A library with the number of its tools.
   *
   * @param right what whoever asks may do with what is in it; null where he only sees that it is
   *     there, and then nothing else is said of it
   */
  public record LibraryHead(
      long id,
      String name,
      long tools,
      LibrarySettings settings,
      Sharing sharing,
      @Nullable LibraryRight right) {}

  /**
   * What was done to a library.
   *
   * @param undo line of the trail that takes it back; 0 where nothing changed
   */
  public record LibraryDone(LibraryHead library, long undo) {}

  @Transactional(readOnly = true)
  public List<LibraryHead> all() {
    List<Library> all = libraries.all(Limit.of(MOST_LIBRARIES));
    Map<Long, LibraryGuard.Access> access =
        guard.access(all.stream().map(library -> library.id).toList());
    Map<Long, LibrarySettings> known = settings.of(all);
    Map<Long, Long> sizes = new HashMap<>();
    jdbc.sql("select library_id, count(*) from entry group by library_id")
        .query(row -> {
          sizes.put(row.getLong(1), row.getLong(2));
        });
    return all.stream()
        .filter(library -> access.containsKey(library.id))
        .map(library ->
            head(
                library,
                access.get(library.id),
                sizes.getOrDefault(library.id, 0L),
                known.get(library.id)))
        .toList();
  }

  private static LibraryHead head(
      Library library, LibraryGuard.Access access, long tools, LibrarySettings settings) {
    boolean seen = access.right() != null;
    return new LibraryHead(
        library.id,
        library.name,
        seen ? tools : 0,
        seen
            ? settings
            : new LibrarySettings(
                library.name, "", List.of(), List.of(), List.of(), true, settings.archived()),
        access.sharing(),
        access.right());
  }

  @Transactional(readOnly = true)
  public LibraryHead get(long id) {
    return head(store.library(id));
  }

  private LibraryHead head(Library library) {
    LibraryGuard.Access access = guard.access(List.of(library.id)).get(library.id);
    return head(library, access, entries.countByLibraryId(library.id), settings.of(library));
  }

  /** Opens a library; its name must be free. */
  @Transactional
  public LibraryHead open(String name) {
    return open(new LibraryChange(name, null, null, null, null, null, null)).library();
  }

  /** Opens a library with what it is for; its name must be free. */
  @Transactional
  public LibraryDone open(LibraryChange wanted) {
    return open(wanted, Sharing.SHOP);
  }

  /** The same, shared with whom is said; a private one belongs to whoever opens it. */
  @Transactional
  public LibraryDone open(LibraryChange wanted, Sharing sharing) {
    Library library = new Library(SettingsCheck.name(wanted.name()));
    nameIsFree(library.name);
    LibrarySettings given =
        wanted.of(
            new LibrarySettings(library.name, "", List.of(), List.of(), List.of(), true, false));
    Library saved = libraries.save(library);
    settings.write(saved, given);
    libraries.flush();
    rights.opened(saved.id, sharing);
    long undo =
        trail.record(
            TrailRecord.of("library", saved.id, "opened library " + saved.name)
                .undoneBy(LibraryUndo.OPENED, new LibraryUndo.Opened(saved.id)));
    live.say("library", saved.id, "");
    return new LibraryDone(head(saved), undo);
  }

  private void nameIsFree(String name) {
    libraries
        .findByNameKey(Library.key(name))
        .ifPresent(other -> {
          throw Refusal.conflict("there is a library '%s' already".formatted(other.name));
        });
  }

  /** A new library that is derived from another one; it holds the newest versions of its tools. */
  @Transactional(propagation = Propagation.MANDATORY)
  public LibraryHead derived(long base, @Nullable String name) {
    Library library = like(store.library(base), name);
    library.follows = true;
    libraries.flush();
    live.say("library", library.id, "");
    return head(library);
  }

  /**
   * Says on the trail that a library was derived; taking it back deletes it.
   *
   * @param base the library that it came from
   * @return the line of the trail
   */
  @Transactional(propagation = Propagation.MANDATORY)
  public long recordDerived(long library, long base, String text) {
    return trail.record(
        TrailRecord.of("library", library, text)
            .in(List.of(base))
            .undoneBy(LibraryUndo.DUPLICATED, new LibraryUndo.Opened(library)));
  }

  /**
   * A new library with the settings and naming patterns of another one, shared as that one is; like
   * a reference it is the shop's.
   */
  @Transactional(propagation = Propagation.MANDATORY)
  Library like(Library original, @Nullable String name) {
    Library library = new Library(SettingsCheck.name(name));
    nameIsFree(library.name);
    LibrarySettings given =
        new LibraryChange(library.name, null, null, null, null, null, false)
            .of(settings.of(original));
    library.codePattern = original.codePattern;
    library.namePattern = original.namePattern;
    Library saved = libraries.save(library);
    settings.write(saved, given);
    libraries.flush();
    Sharing shared = guard.access(List.of(original.id)).get(original.id).sharing();
    rights.opened(saved.id, shared == Sharing.PRIVATE ? Sharing.PRIVATE : Sharing.SHOP);
    return saved;
  }

  /** Changes what is said of a library. */
  @Transactional
  LibraryDone change(long id, LibraryChange wanted) {
    Library library = store.locked(id, LibraryRight.OWNER);
    LibrarySettings before = settings.of(library);
    LibrarySettings after = wanted.of(before);
    if (before.equals(after)) {
      return new LibraryDone(head(library), 0);
    }
    become(library, after);
    long undo =
        trail.record(
            TrailRecord.of("library", id, told(before, after))
                .undoneBy(LibraryUndo.CHANGED, new LibraryUndo.Changed(id, before, after)));
    return new LibraryDone(head(library), undo);
  }

  static String told(LibrarySettings before, LibrarySettings after) {
    if (!before.name().equals(after.name())) {
      return "renamed library %s to %s".formatted(before.name(), after.name());
    }
    if (before.archived() != after.archived()) {
      return after.archived()
          ? "archived library " + after.name()
          : "took library %s out of the archive".formatted(after.name());
    }
    return "changed what library %s is for".formatted(after.name());
  }

  /** Gives a library former settings again, unless they were changed since. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void restore(long id, LibrarySettings expected, LibrarySettings former) {
    Library library = store.locked(id, LibraryRight.OWNER);
    if (!settings.of(library).equals(expected)) {
      throw Refusal.conflict("this was changed again since; take the later change back first");
    }
    become(library, former);
  }

  private void become(Library library, LibrarySettings wanted) {
    LibraryProcesses processes = LibraryProcesses.parse(String.join(" ", wanted.processes()));
    if (!processes.equals(library.processes())) {
      standUnder(library, processes);
    }
    if (!Library.key(wanted.name()).equals(library.nameKey)) {
      nameIsFree(wanted.name());
    }
    settings.write(library, wanted);
    live.say("library", library.id, "");
  }

  private record ClassHeld(String classId, String code) {}

  private record Shared(int number, String one, String other) {}

  /** Refuses processes that some tool of the library does not belong to; regroups the numbers. */
  private void standUnder(Library library, LibraryProcesses processes) {
    List<Object> moves = new ArrayList<>();
    for (ClassHeld held :
        jdbc.sql(
                "select class_id, min(code) as code from entry where library_id = ?"
                    + " group by class_id")
            .param(library.id)
            .query(ClassHeld.class)
            .list()) {
      processes
          .refusal(EntryStore.title(held.classId()), EntryStore.process(held.classId()))
          .ifPresent(why -> {
            throw Refusal.conflict(
                "%s stands in it: %s; take such tools out first".formatted(held.code(), why));
          });
      moves.add(held.classId());
      moves.add(processes.numbersWith(EntryStore.process(held.classId())).name());
    }
    if (!moves.isEmpty()) {
      regroup(library, moves);
    }
  }

  /**
   * @param moves class ids, behind each the process that its numbers are among
   */
  private void regroup(Library library, List<Object> moves) {
    String process = "case class_id%s end".formatted(" when ? then ?".repeat(moves.size() / 2));
    jdbc.sql(
            """
            select number, min(code) as one, max(code) as other from entry where library_id = ?
            group by %s, number having count(*) > 1 limit 1\
            """
                .formatted(process))
        .param(library.id)
        .params(moves)
        .query(Shared.class)
        .optional()
        .ifPresent(shared -> {
          throw Refusal.conflict(
              "%s and %s share number %d and would stand in one process; renumber one first"
                  .formatted(shared.one(), shared.other(), shared.number()));
        });
    jdbc.sql("update entry set process = %s where library_id = ?".formatted(process))
        .params(moves)
        .param(library.id)
        .update();
  }
}
