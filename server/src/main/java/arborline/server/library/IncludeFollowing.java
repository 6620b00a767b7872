package arborline.server.library;

import arborline.core.library.NumberSeries;
import arborline.core.library.Numbering;
import arborline.server.library.IncludeStore.Include;
import arborline.server.live.Live;
import arborline.server.support.Bulk;
import arborline.server.tool.ToolStore;
import arborline.server.trail.Trail;
import arborline.server.trail.TrailRecord;
import jakarta.persistence.EntityManager;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionTemplate;

/** Has libraries hold what stands in those that they include. */
@Component
class IncludeFollowing {

  private static final Logger LOG = LoggerFactory.getLogger(IncludeFollowing.class);
  private static final int CHUNK = 1000;

  private final IncludeStore store;
  private final LibraryRepository libraries;
  private final EntryStore entries;
  private final EntryRepository known;
  private final LibraryRefill refill;
  private final ToolStore tools;
  private final JdbcClient jdbc;
  private final Bulk bulk;
  private final EntityManager entities;
  private final TransactionTemplate transaction;
  private final Trail trail;
  private final Live live;

  IncludeFollowing(
      IncludeStore store,
      LibraryRepository libraries,
      EntryStore entries,
      EntryRepository known,
      LibraryRefill refill,
      ToolStore tools,
      JdbcClient jdbc,
      Bulk bulk,
      EntityManager entities,
      TransactionTemplate transactions,
      Trail trail,
      Live live) {
    this.store = store;
    this.libraries = libraries;
    this.entries = entries;
    this.known = known;
    this.refill = refill;
    this.tools = tools;
    this.jdbc = jdbc;
    this.bulk = bulk;
    this.entities = entities;
    this.transaction = new TransactionTemplate(transactions.getTransactionManager());
    this.transaction.setIsolationLevel(TransactionDefinition.ISOLATION_READ_COMMITTED);
    this.trail = trail;
    this.live = live;
  }

  /** Follows all that changed since it was followed last. */
  void look() {
    for (Include include : store.behind()) {
      try {
        transaction.executeWithoutResult(status -> follow(include.id()));
      } catch (RuntimeException defect) {
        LOG.warn("library {} cannot follow {}", include.libraryId(), include.fromId(), defect);
      }
    }
  }

  /** A tool as the included library has it. */
  private record Source(
      long toolId, long versionId, boolean pinned, int number, String section, String classId) {}

  /** A tool as the including library has it. */
  private record Own(long id, long toolId, long versionId, @Nullable Long includeId) {}

  /** Follows one; always inside a transaction that reads what others committed. */
  void follow(long id) {
    Optional<Include> found = store.get(id);
    if (found.isEmpty() || libraries.lock(found.get().libraryId()) == 0) {
      return;
    }
    Include include = found.get();
    Library library = libraries.findById(include.libraryId()).orElseThrow();
    long changes = store.changes(include.fromId());
    Map<Long, Source> wanted = new HashMap<>();
    sources(include).forEach(source -> wanted.put(source.toolId(), source));
    Map<Long, Own> own = new HashMap<>();
    jdbc.sql("select id, tool_id, version_id, include_id from entry where library_id = ?")
        .param(library.id)
        .query(Own.class)
        .list()
        .forEach(entry -> own.put(entry.toolId(), entry));
    List<Own> ours =
        own.values().stream()
            .filter(entry -> entry.includeId() != null && entry.includeId() == include.id())
            .toList();
    List<Long> gone =
        ours.stream().filter(entry -> !wanted.containsKey(entry.toolId())).map(Own::id).toList();
    bulk.each("delete from entry where id = ?", gone);
    ours.stream()
        .filter(entry -> wanted.containsKey(entry.toolId()))
        .filter(entry -> wanted.get(entry.toolId()).versionId() != entry.versionId())
        .forEach(entry -> hold(entry, wanted.get(entry.toolId())));
    Coming coming = coming(library, wanted, own);
    for (int from = 0; from < coming.tools().size(); from += CHUNK) {
      enter(
          library,
          include,
          coming.tools().subList(from, Math.min(coming.tools().size(), from + CHUNK)));
    }
    store.followed(id, changes, coming.refused(), coming.refusal());
    if (!gone.isEmpty() || !coming.tools().isEmpty()) {
      told(library, include, coming.tools().size(), gone.size());
    }
  }

  private List<Source> sources(Include include) {
    return jdbc.sql(
            """
            select e.tool_id, e.version_id, e.pinned, e.number, e.section, e.class_id from entry e
            where e.library_id = :from and (:section = 0 or exists (
              select 1 from entry_section es join section s on s.id = es.section_id
              where es.entry_id = e.id and (s.id = :section or s.parent_id = :section)))
            order by e.number, e.id\
            """)
        .param("from", include.fromId())
        .param("section", include.sectionId())
        .query(Source.class)
        .list();
  }

  private void hold(Own own, Source source) {
    tools.hold(List.of(own.toolId()));
    for (Entry entry : known.findByIdIn(List.of(own.id()))) {
      entries.follow(entry, tools.at(source.toolId(), source.versionId()));
      entry.pinned = source.pinned();
    }
    entities.flush();
    entities.clear();
  }

  /** Tools that come in, and why others do not. */
  private record Coming(List<LibraryRefill.Wanted> tools, int refused, @Nullable String refusal) {}

  private Coming coming(Library library, Map<Long, Source> wanted, Map<Long, Own> own) {
    NumberSeries numbers = entries.series(library, Numbering.KEEP);
    List<LibraryRefill.Wanted> coming = new ArrayList<>();
    int refused = 0;
    String refusal = null;
    for (Source source :
        wanted.values().stream()
            .filter(source -> !own.containsKey(source.toolId()))
            .sorted(Comparator.comparingInt(Source::number))
            .toList()) {
      Optional<String> why = EntryStore.refusal(library, source.classId());
      OptionalInt number =
          why.isPresent()
              ? OptionalInt.empty()
              : numbers.next(
                  OptionalInt.of(source.number()),
                  source.classId(),
                  EntryStore.process(source.classId()),
                  1);
      if (number.isEmpty()) {
        refused++;
        refusal =
            Optional.ofNullable(refusal)
                .or(() -> why)
                .orElseGet(() -> EntryStore.noNumberLeft(library, source.classId()).getMessage());
      } else {
        coming.add(
            new LibraryRefill.Wanted(
                source.toolId(), source.versionId(), number.getAsInt(), source.section()));
      }
    }
    return new Coming(coming, refused, refusal);
  }

  private void enter(Library library, Include include, List<LibraryRefill.Wanted> some) {
    tools.hold(some.stream().map(LibraryRefill.Wanted::toolId).toList());
    List<Long> added = refill.enter(library, some);
    entries.entered(added);
    entities.flush();
    bulk.each("update entry set include_id = %d where id = ?".formatted(include.id()), added);
  }

  private void told(Library library, Include include, int came, int gone) {
    String from =
        libraries.findById(include.fromId()).map(one -> one.name).orElse("a deleted library");
    trail.record(
        TrailRecord.of(
            "library",
            library.id,
            "%s received %s of the included %s, %d went"
                .formatted(library.name, TrailRecord.count(came, "tool"), from, gone)));
    live.say("library", library.id, "");
  }
}
