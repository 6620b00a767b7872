package arborline.server.link;

import arborline.server.link.LinkedLibraries.Known;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Libraries to those that they are derived from, and to those that they include. */
@Component
class LibraryLinks implements LinkSource {

  private final LinkedLibraries libraries;
  private final JdbcClient jdbc;

  LibraryLinks(LinkedLibraries libraries, JdbcClient jdbc) {
    this.libraries = libraries;
    this.jdbc = jdbc;
  }

  private record Derived(long libraryId, long baseId, long editionId) {}

  private record Included(long libraryId, long fromId) {}

  @Override
  public List<Link> all() {
    List<Derived> derived =
        jdbc.sql(
                """
                select d.library_id, d.base_id, d.edition_id from derived_library d
                join library l on l.id = d.library_id where l.put_away_at is null limit 1000\
                """)
            .query(Derived.class)
            .list();
    List<Included> included =
        jdbc.sql(
                """
                select distinct i.library_id, i.from_id from library_include i
                join library l on l.id = i.library_id where l.put_away_at is null limit 1000\
                """)
            .query(Included.class)
            .list();
    Set<Long> ids = new HashSet<>();
    derived.forEach(row -> ids.addAll(List.of(row.libraryId(), row.baseId())));
    included.forEach(row -> ids.addAll(List.of(row.libraryId(), row.fromId())));
    Map<Long, Known> known = libraries.libraries(ids);
    Map<Long, Known> editions =
        libraries.editions(derived.stream().map(Derived::editionId).toList(), known);
    List<Link> links = new ArrayList<>();
    for (Derived row : derived) {
      Known base = libraries.target(row.baseId(), row.editionId(), known, editions);
      Known sound = new Known(base.end(), known.get(row.baseId()).stray());
      add(links, known.get(row.libraryId()), sound, "is derived from");
    }
    for (Included row : included) {
      add(links, known.get(row.libraryId()), known.get(row.fromId()), "includes");
    }
    return links;
  }

  /** Links of libraries that whoever asks does not see are not his. */
  private static void add(List<Link> links, Known from, Known to, String relation) {
    if (from.end().href() != null) {
      links.add(new Link(from.end(), to.end(), relation, to.stray()));
    }
  }
}
