package arborline.server.link;

import arborline.server.link.LinkedLibraries.Known;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Outlets to the libraries and editions that they write. */
@Component
class OutletLinks implements LinkSource {

  private final LinkedLibraries libraries;
  private final JdbcClient jdbc;

  OutletLinks(LinkedLibraries libraries, JdbcClient jdbc) {
    this.libraries = libraries;
    this.jdbc = jdbc;
  }

  private record Row(
      long id,
      long libraryId,
      @Nullable Long editionId,
      @Nullable String folder,
      String name,
      @Nullable String fault) {}

  @Override
  public List<Link> all() {
    List<Row> rows =
        jdbc.sql(
                """
                select id, library_id, edition_id, folder, name, fault from outlet
                order by id limit 1000\
                """)
            .query(Row.class)
            .list();
    Map<Long, Known> known = libraries.libraries(rows.stream().map(Row::libraryId).toList());
    Map<Long, Known> editions =
        libraries.editions(
            rows.stream().map(Row::editionId).filter(Objects::nonNull).toList(), known);
    List<Link> links = new ArrayList<>();
    for (Row row : rows) {
      Known target = libraries.target(row.libraryId(), row.editionId(), known, editions);
      if (known.get(row.libraryId()).end().href() != null || target.stray() != null) {
        links.add(
            new Link(
                new LinkEnd(
                    LinkKind.OUTLET,
                    Long.toString(row.id()),
                    row.folder() == null ? row.name() : row.folder() + "/" + row.name(),
                    "/outlets"),
                target.end(),
                "writes",
                row.fault() == null ? target.stray() : row.fault(),
                target.anew()));
      }
    }
    return links;
  }
}
