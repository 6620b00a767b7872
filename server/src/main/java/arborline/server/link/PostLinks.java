package arborline.server.link;

import arborline.server.link.LinkedLibraries.Known;
import arborline.server.machine.Machines;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Posts to the machines that they serve, and to the libraries and defaults that they bring. */
@Component
class PostLinks implements LinkSource {

  private final Machines machines;
  private final LinkedLibraries libraries;
  private final JdbcClient jdbc;

  PostLinks(Machines machines, LinkedLibraries libraries, JdbcClient jdbc) {
    this.machines = machines;
    this.libraries = libraries;
    this.jdbc = jdbc;
  }

  private record Row(
      long id,
      String name,
      @Nullable String machineId,
      @Nullable Long libraryId,
      @Nullable Long editionId,
      @Nullable Integer defaultsNo) {}

  static LinkEnd end(long id, String name) {
    return new LinkEnd(LinkKind.POST, Long.toString(id), name, "/posts/" + id);
  }

  @Override
  public List<Link> all() {
    List<Row> rows =
        jdbc.sql(
                """
                select p.id, p.name, p.machine_id, p.library_id, p.edition_id,
                  (select max(d.version_no) from post_defaults d where d.post_id = p.id)
                    as defaults_no
                from post p where p.deleted_at is null order by p.name limit 1000\
                """)
            .query(Row.class)
            .list();
    Map<String, LinkEnd> known = new HashMap<>();
    machines
        .all()
        .forEach(linked ->
            known.put(
                linked.machine().id(),
                MachineLinks.end(linked.machine().id(), linked.machine().name())));
    Map<Long, Known> found =
        libraries.libraries(rows.stream().map(Row::libraryId).filter(Objects::nonNull).toList());
    Map<Long, Known> editions =
        libraries.editions(
            rows.stream().map(Row::editionId).filter(Objects::nonNull).toList(), found);
    List<Link> links = new ArrayList<>();
    for (Row row : rows) {
      LinkEnd post = end(row.id(), row.name());
      if (row.machineId() != null) {
        LinkEnd machine = known.get(row.machineId());
        links.add(
            machine == null
                ? new Link(
                    post,
                    new LinkEnd(LinkKind.MACHINE, row.machineId(), row.machineId(), null),
                    "serves",
                    "the machine was retired")
                : new Link(post, machine, "serves", null));
      }
      if (row.libraryId() != null) {
        Known target = libraries.target(row.libraryId(), row.editionId(), found, editions);
        links.add(new Link(post, target.end(), "brings", target.stray(), target.anew()));
      }
      if (row.defaultsNo() != null) {
        links.add(
            new Link(
                post,
                new LinkEnd(
                    LinkKind.DEFAULTS,
                    Long.toString(row.id()),
                    "defaults of %s, version %d".formatted(row.name(), row.defaultsNo()),
                    post.href()),
                "brings",
                null));
      }
    }
    return links;
  }
}
