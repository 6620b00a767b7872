package arborline.server.library;

import arborline.core.sharing.LibraryRight;
import arborline.core.sharing.Sharing;
import arborline.core.tool.outline.Outline;
import arborline.server.right.LibraryGuard;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What stands in libraries, where they are used and what waits there, for the page of all. */
@Component
class LibraryOverview {

  /** Classes beyond these are not shown. */
  private static final int MOST_CLASSES = 8;

  private final JdbcClient jdbc;

  /** What stands in a library is counted again only once something of it was changed. */
  private final Cache<Content, List<ClassCount>> known =
      Caffeine.newBuilder().maximumSize(2_000).expireAfterWrite(Duration.ofMinutes(2)).build();

  private final LibraryGuard guard;

  LibraryOverview(JdbcClient jdbc, LibraryGuard guard) {
    this.guard = guard;
    this.jdbc = jdbc;
  }

  /** A library as it was after some changes. */
  private record Content(long libraryId, long changes) {}

  /** How many tools of a class there are. */
  record ClassCount(String id, String title, long count, @Nullable Outline outline) {}

  /** A machine in whose load plan tools of a library stand. */
  record AtMachine(String id, String name, long tools) {}

  /** A delivery that was brought for a library and is not taken to its end. */
  record Waiting(long delivery, String name, long lines) {}

  /**
   * A library.
   *
   * @param classes those with the most tools first
   * @param behind tools that it holds in an older version than the newest
   * @param drafts tools that are not checked yet
   * @param right what whoever asks may do with what is in it; null where he only sees that it is
   *     there
   * @param maintainers who may change what is in it, in words
   * @param edition number of the newest one; 0 for none
   * @param base name of the library that it is derived from; empty for none
   * @param baseEdition number of a newer edition of that one that can be taken in; 0 for none
   * @param staleOutlets outlets of it that do not hold the edition that they should
   * @param alike groups of tools that may be one, with tools of the library in them
   */
  record LibraryRow(
      long id,
      String name,
      long tools,
      LibrarySettings settings,
      List<ClassCount> classes,
      List<AtMachine> machines,
      long behind,
      long drafts,
      long alike,
      List<Waiting> waiting,
      Sharing sharing,
      @Nullable LibraryRight right,
      String maintainers,
      long edition,
      String base,
      long baseEdition,
      long staleOutlets) {}

  @Transactional(readOnly = true)
  List<LibraryRow> of(List<Libraries.LibraryHead> heads) {
    Map<Long, Long> changes = new HashMap<>();
    jdbc.sql("select id, numbering_no from library")
        .query(row -> {
          changes.put(row.getLong(1), row.getLong(2));
        });
    Map<Long, List<AtMachine>> machines = machines();
    Map<Long, Long> behind =
        counted(
            """
            select e.library_id, count(*) from entry e join tool t on t.id = e.tool_id
            where e.pinned and e.version_id <> t.version_id group by e.library_id\
            """);
    Map<Long, Long> drafts =
        counted("select library_id, count(*) from entry where standing = 0 group by library_id");
    Map<Long, Long> alike =
        counted(
            """
            select e.library_id, count(distinct m.group_id) from duplicate_member m
            join entry e on e.tool_id = m.tool_id group by e.library_id\
            """);
    Map<Long, List<Waiting>> waiting = waiting();
    Map<Long, Long> editions =
        counted("select library_id, max(edition_no) from edition group by library_id");
    Map<Long, String> bases = bases(guard.hidden());
    Map<Long, Long> baseEditions =
        counted(
            """
            select d.library_id, max(n.edition_no) from derived_library d
            join edition o on o.id = d.edition_id
            join edition n on n.library_id = d.base_id and n.edition_no > o.edition_no
            join library b on b.id = d.base_id and b.put_away_at is null
            group by d.library_id\
            """);
    Map<Long, Long> stale =
        counted(
            """
            select o.library_id, count(*) from outlet o
            where o.fault is not null or exists (
              select 1 from edition e where e.library_id = o.library_id
                and (o.edition_id is null and e.id <> coalesce(o.written_edition_id, 0)
                  and not exists (select 1 from edition later
                    where later.library_id = e.library_id and later.edition_no > e.edition_no)
                  or e.id = o.edition_id and e.id <> coalesce(o.written_edition_id, 0)))
            group by o.library_id\
            """);
    Map<Long, String> maintainers =
        guard.maintainers(heads.stream().map(Libraries.LibraryHead::id).toList());
    return heads.stream()
        .map(head -> {
          if (head.right() == null) {
            return unseen(head, maintainers.getOrDefault(head.id(), ""));
          }
          List<ClassCount> classes =
              known.get(
                  new Content(head.id(), changes.getOrDefault(head.id(), 0L)),
                  content -> classes(content.libraryId()));
          return new LibraryRow(
              head.id(),
              head.name(),
              classes.stream().mapToLong(ClassCount::count).sum(),
              head.settings(),
              classes.stream().limit(MOST_CLASSES).toList(),
              machines.getOrDefault(head.id(), List.of()),
              behind.getOrDefault(head.id(), 0L),
              drafts.getOrDefault(head.id(), 0L),
              alike.getOrDefault(head.id(), 0L),
              waiting.getOrDefault(head.id(), List.of()),
              head.sharing(),
              head.right(),
              maintainers.getOrDefault(head.id(), ""),
              editions.getOrDefault(head.id(), 0L),
              bases.getOrDefault(head.id(), ""),
              bases.containsKey(head.id()) ? baseEditions.getOrDefault(head.id(), 0L) : 0L,
              stale.getOrDefault(head.id(), 0L));
        })
        .toList();
  }

  /** One of which nothing is said but that it is there and whose it is. */
  private static LibraryRow unseen(Libraries.LibraryHead head, String maintainers) {
    return new LibraryRow(
        head.id(),
        head.name(),
        0,
        head.settings(),
        List.of(),
        List.of(),
        0,
        0,
        0,
        List.of(),
        head.sharing(),
        null,
        maintainers,
        0,
        "",
        0,
        0);
  }

  /** The names of bases that whoever asks sees. */
  private Map<Long, String> bases(Set<Long> hidden) {
    Map<Long, String> bases = new HashMap<>();
    jdbc.sql(
            """
            select d.library_id, b.name, b.id from derived_library d
            join library b on b.id = d.base_id\
            """)
        .query(row -> {
          if (!hidden.contains(row.getLong(3))) {
            bases.put(row.getLong(1), row.getString(2));
          }
        });
    return bases;
  }

  private List<ClassCount> classes(long libraryId) {
    List<ClassCount> classes = new ArrayList<>();
    jdbc.sql(
            """
            select class_id, count(*) as tools from entry where library_id = ?
            group by class_id order by tools desc, class_id\
            """)
        .param(libraryId)
        .query(row -> {
          String id = row.getString(1);
          classes.add(
              new ClassCount(id, EntryStore.title(id), row.getLong(2), ToolLists.example(id)));
        });
    return classes;
  }

  private Map<Long, List<AtMachine>> machines() {
    Map<Long, List<AtMachine>> machines = new HashMap<>();
    jdbc.sql(
            """
            select e.library_id, m.id, m.name, count(*) from plan_place p
            join machine m on m.id = p.machine_id join entry e on e.tool_id = p.tool_id
            group by e.library_id, m.id, m.name order by m.name\
            """)
        .query(row -> {
          machines
              .computeIfAbsent(row.getLong(1), id -> new ArrayList<>())
              .add(new AtMachine(row.getString(2), row.getString(3), row.getLong(4)));
        });
    return machines;
  }

  /** A number for each library that has one. */
  private Map<Long, Long> counted(String sql) {
    Map<Long, Long> counts = new HashMap<>();
    jdbc.sql(sql)
        .query(row -> {
          counts.put(row.getLong(1), row.getLong(2));
        });
    return counts;
  }

  private Map<Long, List<Waiting>> waiting() {
    Map<Long, List<Waiting>> waiting = new HashMap<>();
    jdbc.sql(
            """
            select d.library_id, d.id, d.name, count(*) from delivery d
            join delivery_line l on l.delivery_id = d.id
            where d.library_id is not null and d.put_away_at is null
              and l.taken_id is null and l.disposition <> 'SKIPPED'
            group by d.library_id, d.id, d.name order by d.id desc\
            """)
        .query(row -> {
          waiting
              .computeIfAbsent(row.getLong(1), id -> new ArrayList<>())
              .add(new Waiting(row.getLong(2), row.getString(3), row.getLong(4)));
        });
    return waiting;
  }
}
