package arborline.server.link;

import arborline.server.right.LibraryGuard;
import java.util.Collection;
import java.util.HashMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Libraries and editions as ends of links: their names, and why a link to one leads nowhere. */
@Component
class LinkedLibraries {

  private final JdbcClient jdbc;
  private final LibraryGuard guard;

  LinkedLibraries(JdbcClient jdbc, LibraryGuard guard) {
    this.jdbc = jdbc;
    this.guard = guard;
  }

  /**
   * An end with what is wrong with it.
   *
   * @param stray null where it is sound
   * @param anew to what a link should lead instead; null where nothing is known
   */
  record Known(LinkEnd end, @Nullable String stray, @Nullable LinkEnd anew) {

    Known(LinkEnd end, @Nullable String stray) {
      this(end, stray, null);
    }
  }

  private record Named(long id, String name, boolean deleted) {}

  private record Numbered(long id, long libraryId, int editionNo, long newestId, int newest) {}

  /** Libraries by id. */
  Map<Long, Known> libraries(Collection<Long> ids) {
    Map<Long, Known> known = new HashMap<>();
    if (ids.isEmpty()) {
      return known;
    }
    Map<Long, LibraryGuard.Access> access = guard.access(ids);
    jdbc.sql("select id, name, put_away_at is not null as deleted from library where id in (:ids)")
        .param("ids", ids)
        .query(Named.class)
        .list()
        .forEach(row -> known.put(row.id(), library(row, access)));
    ids.forEach(id ->
        known.putIfAbsent(
            id,
            new Known(
                new LinkEnd(LinkKind.LIBRARY, Long.toString(id), "library " + id, null),
                "the library is gone")));
    return known;
  }

  private static Known library(Named row, Map<Long, LibraryGuard.Access> access) {
    String id = Long.toString(row.id());
    if (row.deleted()) {
      return new Known(
          new LinkEnd(LinkKind.LIBRARY, id, row.name(), null), "the library was deleted");
    }
    LibraryGuard.Access given = access.get(row.id());
    if (given == null) {
      return new Known(
          new LinkEnd(LinkKind.LIBRARY, id, "a private library", null), "it is not yours to see");
    }
    return new Known(
        new LinkEnd(LinkKind.LIBRARY, id, row.name(), "/libraries/" + id),
        given.right() == null ? "it is not yours to see into" : null);
  }

  /** Editions by id, of libraries that are known. */
  Map<Long, Known> editions(Collection<Long> ids, Map<Long, Known> libraries) {
    Map<Long, Known> known = new HashMap<>();
    if (ids.isEmpty()) {
      return known;
    }
    jdbc.sql(
            """
            select e.id, e.library_id, e.edition_no, n.id as newest_id, n.edition_no as newest
            from edition e join edition n on n.library_id = e.library_id and n.edition_no =
              (select max(x.edition_no) from edition x where x.library_id = e.library_id)
            where e.id in (:ids)\
            """)
        .param("ids", ids)
        .query(Numbered.class)
        .list()
        .forEach(row -> known.put(row.id(), edition(row, libraries.get(row.libraryId()))));
    return known;
  }

  private static Known edition(Numbered row, @Nullable Known library) {
    String name = library == null ? "library " + row.libraryId() : library.end().name();
    String href =
        library == null || library.end().href() == null ? null : library.end().href() + "/editions";
    String stray = library == null ? "the library is gone" : library.stray();
    boolean replaced = stray == null && row.newest() > row.editionNo();
    return new Known(
        edition(row.id(), name, row.editionNo(), href),
        replaced ? "edition %d is there".formatted(row.newest()) : stray,
        replaced ? edition(row.newestId(), name, row.newest(), href) : null);
  }

  private static LinkEnd edition(long id, String library, int number, @Nullable String href) {
    return new LinkEnd(
        LinkKind.EDITION, Long.toString(id), "%s, edition %d".formatted(library, number), href);
  }

  /** Where a link to a library, or to one of its editions, leads. */
  Known target(
      long library, @Nullable Long edition, Map<Long, Known> libraries, Map<Long, Known> editions) {
    Known known = edition == null ? null : editions.get(edition);
    return known == null ? libraries.get(library) : known;
  }
}
