package arborline.server.library;

import arborline.core.library.Numbering;
import arborline.core.library.SectionPath;
import arborline.core.sharing.LibraryRight;
import arborline.server.library.CopyPlan.Outcome;
import arborline.server.library.CopyPlan.Planned;
import arborline.server.library.CopySource.Picked;
import arborline.server.live.Live;
import arborline.server.support.Bulk;
import arborline.server.support.Ids;
import arborline.server.support.Refusal;
import arborline.server.tool.ToolStore;
import arborline.server.trail.Trail;
import arborline.server.trail.TrailRecord;
import arborline.server.trail.Undoable;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Isolation;
import org.springframework.transaction.annotation.Transactional;

/**
 * Copies and moves tools from libraries into another one, and merges libraries. A tool is the same
 * in all libraries that hold it, so its stacks, inserts and cutting data are there as well.
 */
@Service
class LibraryCopying {

  private static final int MOST_SHOWN = 500;
  private static final int MOST_TOOLS = 100_000;
  private static final int CHUNK = 1000;

  private final EntryStore store;
  private final SectionStore sections;
  private final CopySource source;
  private final CopyPlan planning;
  private final PutAwayEntries away;
  private final LibraryRemoval removal;
  private final Libraries libraries;
  private final SectionRepository known;
  private final ToolStore tools;
  private final JdbcClient jdbc;
  private final Bulk bulk;
  private final Ids ids;
  private final Trail trail;
  private final Live live;
  private final IncludeStore includes;

  LibraryCopying(
      EntryStore store,
      SectionStore sections,
      CopySource source,
      CopyPlan planning,
      PutAwayEntries away,
      LibraryRemoval removal,
      Libraries libraries,
      SectionRepository known,
      ToolStore tools,
      JdbcClient jdbc,
      Bulk bulk,
      Ids ids,
      Trail trail,
      Live live,
      IncludeStore includes) {
    this.includes = includes;
    this.store = store;
    this.sections = sections;
    this.source = source;
    this.planning = planning;
    this.away = away;
    this.removal = removal;
    this.libraries = libraries;
    this.known = known;
    this.tools = tools;
    this.jdbc = jdbc;
    this.bulk = bulk;
    this.ids = ids;
    this.trail = trail;
    this.live = live;
  }

  /**
   * Tools of one library.
   *
   * @param from null for tools as they stand in the shop
   * @param tools null for all of the library
   */
  record Pick(@Nullable Long from, @Nullable List<@Nullable Long> tools) {}

  /**
   * What is to be copied.
   *
   * @param move true where the tools leave the libraries that they come from
   * @param section in which all are to stand; null where each keeps its own
   */
  record Order(List<Pick> picks, Numbering numbering, boolean move, @Nullable String section) {}

  /**
   * A tool of which something is to be said.
   *
   * @param outcome {@code ENTERS}, {@code HERE} or {@code REFUSED}
   * @param number under which it enters or stands there; 0 where it does neither
   */
  record Told(long toolId, String code, Outcome outcome, int number, String why) {}

  /**
   * What becomes, or became, of the tools.
   *
   * @param told the first of those that do not enter, or do under another number
   * @param undo line of the trail that takes it back; 0 where nothing was done
   */
  record Copied(int entering, int renumbered, int here, int refused, List<Told> told, long undo) {

    static Copied of(List<Planned> plan, long undo) {
      return new Copied(
          count(plan, Outcome.ENTERS),
          (int)
              plan.stream()
                  .filter(one -> one.outcome() == Outcome.ENTERS && !one.why().isEmpty())
                  .count(),
          count(plan, Outcome.HERE),
          count(plan, Outcome.REFUSED),
          plan.stream()
              .filter(one -> !one.why().isEmpty())
              .sorted(Comparator.comparing(one -> -one.outcome().ordinal()))
              .limit(MOST_SHOWN)
              .map(one ->
                  new Told(
                      one.picked().toolId(),
                      one.picked().code(),
                      one.outcome(),
                      one.number(),
                      one.why()))
              .toList(),
          undo);
    }

    private static int count(List<Planned> plan, Outcome outcome) {
      return (int) plan.stream().filter(one -> one.outcome() == outcome).count();
    }
  }

  /** What copying would do. */
  @Transactional(readOnly = true)
  Copied preview(long libraryId, Order order) {
    return Copied.of(
        planning.of(store.library(libraryId), picked(order.picks()), order.numbering()), 0);
  }

  private List<Picked> picked(List<Pick> picks) {
    List<Picked> picked = new ArrayList<>();
    for (Pick pick : picks) {
      if (pick.tools() != null && pick.tools().stream().anyMatch(Objects::isNull)) {
        throw Refusal.badRequest("tools has an empty entry");
      }
      picked.addAll(source.of(pick.from(), pick.tools()));
    }
    if (picked.size() > MOST_TOOLS) {
      throw Refusal.badRequest("at most %d tools at once".formatted(MOST_TOOLS));
    }
    return picked;
  }

  /** The same, with the tools held: none of them changes before all stand in the library. */
  private List<Picked> held(List<Pick> picks) {
    tools.hold(picked(picks).stream().map(Picked::toolId).toList());
    return picked(picks);
  }

  /** Does it; what cannot enter stays where it is. */
  @Transactional(isolation = Isolation.READ_COMMITTED)
  Copied copy(long libraryId, Order order) {
    Library library =
        lock(libraryId, order.picks(), order.move() ? LibraryRight.MAINTAIN : LibraryRight.USE);
    List<Planned> plan = planning.of(library, held(order.picks()), order.numbering());
    List<Planned> entering = plan.stream().filter(one -> one.outcome() == Outcome.ENTERS).toList();
    if (entering.isEmpty()) {
      return Copied.of(plan, 0);
    }
    if (order.move()) {
      entering.stream()
          .map(Planned::picked)
          .filter(one -> one.from() != 0)
          .collect(Collectors.groupingBy(Picked::from))
          .forEach(
              (from, some) -> refuseIncluded(from, some.stream().map(Picked::toolId).toList()));
    }
    List<Long> leaving =
        order.move()
            ? entering.stream()
                .map(one -> one.picked().entryId())
                .filter(entry -> entry != 0)
                .toList()
            : List.of();
    String text =
        "%s %s into %s"
            .formatted(
                order.move() ? "moved" : "copied",
                TrailRecord.count(entering.size(), "tool"),
                library.name);
    List<Long> added = enter(library, entering, order.section());
    long number = leaving.isEmpty() ? 0 : away.begin();
    if (number > 0) {
      away.entries(number, leaving);
    }
    List<Long> from = order.picks().stream().map(Pick::from).filter(Objects::nonNull).toList();
    from.forEach(id -> live.say("library", id, ""));
    CopyUndo.Copied deed = new CopyUndo.Copied(libraryId, added, List.of(), number);
    return Copied.of(plan, told(deed, text, number == 0 ? List.of() : from));
  }

  /**
   * @param others libraries that tools left
   */
  private long told(CopyUndo.Copied deed, String text, Collection<Long> others) {
    long libraryId = deed.libraryId();
    live.say("library", libraryId, "");
    return trail.record(
        TrailRecord.of("library", libraryId, text).in(others).undoneBy(CopyUndo.KIND, deed));
  }

  /**
   * Locks all libraries that take part, in one order for everybody.
   *
   * @param there what is needed in those that tools come from
   */
  private Library lock(long libraryId, List<Pick> picks, LibraryRight there) {
    TreeSet<Long> all = new TreeSet<>(List.of(libraryId));
    picks.stream().map(Pick::from).filter(Objects::nonNull).forEach(all::add);
    all.forEach(id -> {
      if (id == libraryId) {
        store.lockedForEntering(id);
      } else {
        store.locked(id, there);
      }
    });
    return store.library(libraryId);
  }

  /**
   * Moves all tools of some libraries into another one and deletes them; refused where a tool
   * cannot stand there.
   */
  @Transactional(isolation = Isolation.READ_COMMITTED)
  Copied merge(long libraryId, List<Long> others, Numbering numbering) {
    if (others.isEmpty() || others.contains(libraryId)) {
      throw Refusal.badRequest("name the other libraries that go into this one");
    }
    List<Long> from = others.stream().distinct().toList();
    List<Pick> picks = from.stream().map(id -> new Pick(id, null)).toList();
    Library library = lock(libraryId, picks, LibraryRight.OWNER);
    List<Planned> plan = planning.of(library, held(picks), numbering);
    plan.stream()
        .filter(one -> one.outcome() == Outcome.REFUSED)
        .findFirst()
        .ifPresent(one -> {
          throw Refusal.conflict(
              "%s cannot stand in %s: %s".formatted(one.picked().code(), library.name, one.why()));
        });
    List<Long> added =
        enter(library, plan.stream().filter(one -> one.outcome() == Outcome.ENTERS).toList(), null);
    long number = away.begin();
    List<String> names = new ArrayList<>();
    for (long other : from) {
      Library gone = store.library(other);
      names.add(gone.name);
      removal.putAway(gone, number);
    }
    String text =
        "merged %s into %s".formatted(String.join(", ", names), store.library(libraryId).name);
    CopyUndo.Copied deed = new CopyUndo.Copied(libraryId, added, from, number);
    return Copied.of(plan, told(deed, text, from));
  }

  /** What comes with an included library does not leave by itself. */
  private void refuseIncluded(long libraryId, List<Long> toolIds) {
    includes
        .included(libraryId, toolIds)
        .ifPresent(why -> {
          throw Refusal.conflict(why + "; end that in the settings to take it out");
        });
  }

  /** Takes tools out of a library; they stay in the shop. */
  @Transactional
  Undoable remove(long libraryId, List<Long> toolIds) {
    Library library = store.locked(libraryId);
    List<Long> leaving = store.entryIds(libraryId, toolIds);
    refuseIncluded(libraryId, toolIds);
    if (leaving.isEmpty()) {
      return new Undoable(0);
    }
    String text =
        "took %s out of %s".formatted(TrailRecord.count(leaving.size(), "tool"), library.name);
    long number = away.begin();
    away.entries(number, leaving);
    CopyUndo.Copied deed = new CopyUndo.Copied(libraryId, List.of(), List.of(), number);
    return new Undoable(told(deed, text, List.of()));
  }

  /** Makes a library like another one, with the same sections, tools, numbers and versions. */
  @Transactional(isolation = Isolation.READ_COMMITTED)
  Libraries.LibraryDone duplicate(long libraryId, @Nullable String name) {
    Library original = store.locked(libraryId, LibraryRight.USE);
    Library library = libraries.like(original, name);
    for (Section section : known.findByLibraryIdOrderByParentIdAscPlaceAscIdAsc(libraryId)) {
      String outer = section.parentId == 0 ? "" : sections.get(libraryId, section.parentId).name;
      sections.at(
          library.id,
          outer.isEmpty()
              ? new SectionPath(section.name, "")
              : new SectionPath(outer, section.name));
    }
    List<Planned> plan =
        planning.of(library, held(List.of(new Pick(libraryId, null))), Numbering.KEEP);
    enter(library, plan, null);
    jdbc.sql(
            """
            update entry c join entry o on o.tool_id = c.tool_id and o.library_id = ?
            set c.pinned = o.pinned, c.version_id = o.version_id, c.name = o.name,
              c.class_id = o.class_id, c.dc = o.dc, c.words = o.words, c.worded = false
            where c.library_id = ?\
            """)
        .params(libraryId, library.id)
        .update();
    long undo =
        trail.record(
            TrailRecord.of(
                    "library",
                    library.id,
                    "copied library %s as %s".formatted(original.name, library.name))
                .undoneBy(LibraryUndo.DUPLICATED, new LibraryUndo.Opened(library.id)));
    live.say("library", library.id, "");
    return new Libraries.LibraryDone(libraries.get(library.id), undo);
  }

  /** Puts planned tools into a library; answers their entries. */
  private List<Long> enter(Library library, List<Planned> entering, @Nullable String section) {
    List<Long> added = new ArrayList<>();
    Map<String, List<Long>> placed = new HashMap<>();
    for (int from = 0; from < entering.size(); from += CHUNK) {
      List<Planned> some = entering.subList(from, Math.min(entering.size(), from + CHUNK));
      List<Entry> entries = new ArrayList<>();
      List<Section.Member> members = new ArrayList<>();
      Map<Long, EntryHead> heads = heads(library, some);
      for (Planned one : some) {
        Entry entry = heads.get(one.picked().toolId()).entry(ids.next("entry"), library, one);
        List<SectionPath> paths =
            SectionPath.parse(
                Optional.ofNullable(section)
                    .filter(text -> !text.isBlank())
                    .orElse(one.picked().section()));
        entry.section = SectionStore.text(paths);
        placed
            .computeIfAbsent(
                SectionPath.text(paths),
                text ->
                    paths.stream()
                        .map(path -> sections.at(library.id, path).id)
                        .distinct()
                        .toList())
            .forEach(id -> members.add(new Section.Member(entry.id, id)));
        entries.add(entry);
        added.add(entry.id);
      }
      bulk.insert(Entry.TARGET, entries);
      sections.put(members);
    }
    store.entered(added);
    return added;
  }

  /** What an entry repeats of its version. */
  private record EntryHead(
      long toolId, long versionId, String code, String name, String classId, BigDecimal dc) {

    Entry entry(long id, Library library, Planned planned) {
      Entry entry = new Entry();
      entry.id = id;
      entry.libraryId = library.id;
      entry.toolId = toolId;
      entry.versionId = versionId;
      entry.pinned = !library.follows;
      entry.number = planned.number();
      entry.process = library.processes().numbersWith(EntryStore.process(classId));
      entry.call(code, name);
      entry.classId = classId;
      entry.dc = dc;
      return entry;
    }
  }

  /** From the entries that were picked; where these hold another version than enters, from that. */
  private Map<Long, EntryHead> heads(Library library, List<Planned> planned) {
    Map<Long, EntryHead> heads = new HashMap<>();
    List<Long> entryIds = new ArrayList<>();
    for (Planned one : planned) {
      Picked picked = one.picked();
      if (picked.entryId() == 0 || picked.behind() && library.follows) {
        Entry whole =
            new Entry(
                0,
                library.id,
                tools.get(picked.toolId()),
                library.processes().numbersWith(EntryStore.process(picked.classId())),
                one.number());
        heads.put(
            whole.toolId,
            new EntryHead(
                whole.toolId, whole.versionId, whole.code, whole.name, whole.classId, whole.dc));
      } else {
        entryIds.add(picked.entryId());
      }
    }
    if (!entryIds.isEmpty()) {
      jdbc.sql("select tool_id, version_id, code, name, class_id, dc from entry where id in (:ids)")
          .param("ids", entryIds)
          .query(EntryHead.class)
          .list()
          .forEach(head -> heads.put(head.toolId(), head));
    }
    return heads;
  }
}
