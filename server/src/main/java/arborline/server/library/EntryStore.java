package arborline.server.library;

import arborline.core.library.LibraryProcess;
import arborline.core.library.NumberSeries;
import arborline.core.library.Numbering;
import arborline.core.sharing.LibraryRight;
import arborline.core.tool.Process;
import arborline.core.tool.Tool;
import arborline.core.tool.ToolClass;
import arborline.core.tool.ToolClasses;
import arborline.server.live.Live;
import arborline.server.right.LibraryGuard;
import arborline.server.support.Ids;
import arborline.server.support.Refusal;
import arborline.server.tool.CurrentTool;
import arborline.server.tool.ToolMerges;
import arborline.server.tool.ToolsChanged;
import jakarta.persistence.EntityManager;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.context.event.EventListener;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Puts tools into libraries and keeps them in step; always inside a caller's transaction. */
@Component
@Transactional(propagation = Propagation.MANDATORY)
class EntryStore {

  private static final int CHUNK = 1000;

  private final EntityManager entities;
  private final LibraryRepository libraries;
  private final LibrarySettingsStore settings;
  private final EntryRepository entries;
  private final JdbcClient jdbc;
  private final Ids ids;
  private final ToolMerges merges;
  private final EntryBelongings belongings;
  private final LibraryGuard guard;
  private final Live live;

  EntryStore(
      EntityManager entities,
      LibraryRepository libraries,
      LibrarySettingsStore settings,
      EntryRepository entries,
      JdbcClient jdbc,
      Ids ids,
      ToolMerges merges,
      EntryBelongings belongings,
      LibraryGuard guard,
      Live live) {
    this.entities = entities;
    this.libraries = libraries;
    this.settings = settings;
    this.entries = entries;
    this.jdbc = jdbc;
    this.ids = ids;
    this.merges = merges;
    this.belongings = belongings;
    this.guard = guard;
    this.live = live;
  }

  /** A library that whoever acts sees. */
  Library library(long id) {
    guard.need(id, LibraryRight.USE);
    return known(id);
  }

  private Library known(long id) {
    return libraries.findById(id).orElseThrow(() -> Refusal.notFound("there is no library " + id));
  }

  /** A library that nobody else changes until the transaction ends, and whoever acts may. */
  Library locked(long id) {
    return locked(id, LibraryRight.MAINTAIN);
  }

  /**
   * A library that nobody else changes until the transaction ends.
   *
   * @param needed what whoever acts must have there
   */
  Library locked(long id, LibraryRight needed) {
    Library library = lockedForAll(id);
    guard.need(id, needed);
    return library;
  }

  /** The same for somebody who says who may do what there. */
  Library lockedToShare(long id) {
    Library library = lockedForAll(id);
    guard.needAdministration(id);
    return library;
  }

  /** The same where a tool becomes another one everywhere, also where whoever acts sees nothing. */
  Library lockedForReference(long id) {
    Library library = lockedForAll(id);
    if (guard.right(id).isPresent()) {
      guard.need(id, LibraryRight.MAINTAIN);
    }
    return library;
  }

  private Library lockedForAll(long id) {
    if (libraries.lock(id) == 0) {
      throw Refusal.notFound("there is no library " + id);
    }
    return known(id);
  }

  /** The same, and tools may enter it. */
  Library lockedForEntering(long id) {
    Library library = locked(id);
    if (library.archivedAt != null) {
      throw Refusal.conflict(
          "library '%s' is archived and takes nothing; take it out of the archive first"
              .formatted(library.name));
    }
    return library;
  }

  Entry entry(long libraryId, long toolId) {
    return entries
        .findByLibraryIdAndToolId(libraryId, toolId)
        .orElseThrow(() ->
            Refusal.notFound("library %d does not hold tool %d".formatted(libraryId, toolId)));
  }

  /**
   * The entries of some tools, in their order.
   *
   * @throws Refusal where the library does not hold all of them
   */
  List<Long> entryIds(long libraryId, List<Long> toolIds) {
    Map<Long, Long> known = new HashMap<>();
    chunks(toolIds)
        .forEach(some ->
            jdbc.sql(
                    "select tool_id, id from entry where library_id = :library and tool_id in (:tools)")
                .param("library", libraryId)
                .param("tools", some)
                .query(row -> {
                  known.put(row.getLong(1), row.getLong(2));
                }));
    return toolIds.stream()
        .distinct()
        .map(tool ->
            Optional.ofNullable(known.get(tool))
                .orElseThrow(
                    () -> Refusal.notFound("the library does not hold tool %d".formatted(tool))))
        .toList();
  }

  /** Those of some entries that are there. */
  Set<Long> existing(List<Long> entryIds) {
    Set<Long> there = new HashSet<>();
    chunks(entryIds)
        .forEach(some ->
            there.addAll(
                jdbc.sql("select id from entry where id in (:ids)")
                    .param("ids", some)
                    .query(Long.class)
                    .list()));
    return there;
  }

  private static List<List<Long>> chunks(List<Long> ids) {
    List<List<Long>> chunks = new ArrayList<>();
    for (int from = 0; from < ids.size(); from += CHUNK) {
      chunks.add(ids.subList(from, Math.min(ids.size(), from + CHUNK)));
    }
    return chunks;
  }

  /** Puts a tool into a library under the next free number. */
  Entry place(long libraryId, CurrentTool tool) {
    Library library = lockedForEntering(libraryId);
    refusal(library, tool.tool().toolClass())
        .ifPresent(why -> {
          throw Refusal.conflict(tool.code() + " cannot stand there: " + why);
        });
    merges.refuseMerged(tool);
    Process process = process(tool.tool());
    int number =
        series(library, Numbering.NEXT)
            .next(OptionalInt.empty(), tool.tool().toolClass(), process, 1)
            .orElseThrow(() -> noNumberLeft(library, tool.tool().toolClass()));
    LibraryProcess among = library.processes().numbersWith(process);
    Entry entry = new Entry(ids.next("entry"), libraryId, tool, among, number);
    entry.pinned = !library.follows;
    entities.persist(entry);
    entered(List.of(entry.id));
    live.say("library", libraryId, "");
    return entry;
  }

  /** Entries were added for tools to which something may belong. */
  void entered(Collection<Long> entryIds) {
    belongings.follow(entryIds);
  }

  /** Why a tool of a class cannot stand in a library; nothing where it can. */
  static Optional<String> refusal(Library library, String classId) {
    return library.processes().refusal(title(classId), process(classId));
  }

  static Refusal noNumberLeft(Library library, String classId) {
    return Refusal.conflict(
        "no number is left that library '%s' keeps for the class %s; widen its range"
            .formatted(library.name, title(classId)));
  }

  static String title(String classId) {
    return ToolClasses.named(classId).map(known -> known.sheet().title()).orElse(classId);
  }

  /** Gives out numbers of a library that is locked. */
  NumberSeries series(Library library, Numbering numbering) {
    NumberSeries series = new NumberSeries(numbering, settings.plan(library));
    entries.numbers(library.id).forEach(taken -> series.taken(taken.process(), taken.number()));
    return series;
  }

  static Process process(Tool tool) {
    return process(tool.toolClass());
  }

  static Process process(String classId) {
    return ToolClasses.named(classId)
        .map(ToolClass::sheet)
        .map(sheet -> sheet.process())
        .orElse(Process.MILLING);
  }

  /**
   * Every library that holds one of the tools and follows its newest version goes along. Refused
   * where a tool became one that a library cannot hold.
   */
  @EventListener
  void follow(ToolsChanged changed) {
    Map<Long, CurrentTool> now =
        changed.now().stream().collect(Collectors.toMap(CurrentTool::id, tool -> tool));
    Set<Long> told = new HashSet<>();
    for (Entry entry : entries.findByToolIdIn(now.keySet())) {
      CurrentTool tool = now.get(entry.toolId);
      if (entry.pinned) {
        entry.recode(tool.code());
      } else {
        follow(entry, tool);
      }
      if (told.add(entry.libraryId)) {
        live.say("library", entry.libraryId, "");
      }
    }
  }

  /** Goes to a version, with the number among those of its process. */
  void follow(Entry entry, CurrentTool tool) {
    String classId = tool.tool().toolClass();
    if (!classId.equals(entry.classId)) {
      Library library = known(entry.libraryId);
      refusal(library, classId)
          .ifPresent(why -> {
            throw Refusal.conflict(
                "library '%s' holds %s: %s".formatted(library.name, tool.code(), why));
          });
      LibraryProcess among = library.processes().numbersWith(process(classId));
      if (among != entry.process) {
        entries
            .findByLibraryIdAndProcessAndNumber(library.id, among, entry.number)
            .ifPresent(other -> {
              throw Refusal.conflict(
                  "number %d of library '%s' belongs to %s among the tools for %s; renumber one"
                      .formatted(entry.number, library.name, other.code, among.word()));
            });
        entry.process = among;
      }
    }
    entry.hold(tool);
  }
}
