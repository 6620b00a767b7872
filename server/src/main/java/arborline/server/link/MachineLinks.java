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

/** Machines to their controls, and to the libraries from which tools for them are picked. */
@Component
class MachineLinks implements LinkSource {

  private final Machines machines;
  private final LinkedLibraries libraries;
  private final JdbcClient jdbc;

  MachineLinks(Machines machines, LinkedLibraries libraries, JdbcClient jdbc) {
    this.machines = machines;
    this.libraries = libraries;
    this.jdbc = jdbc;
  }

  private record Row(String machineId, long libraryId, @Nullable Long editionId) {}

  static LinkEnd end(String id, String name) {
    return new LinkEnd(LinkKind.MACHINE, id, name, "/machines/" + id);
  }

  @Override
  public List<Link> all() {
    List<Link> links = new ArrayList<>();
    Map<String, LinkEnd> ends = new HashMap<>();
    for (Machines.Linked linked : machines.all()) {
      String id = linked.machine().id();
      LinkEnd machine = end(id, linked.machine().name());
      ends.put(id, machine);
      if (!linked.link().isEmpty()) {
        links.add(
            new Link(
                machine,
                new LinkEnd(LinkKind.CONTROL, id, "control of " + machine.name(), "/tables/" + id),
                "speaks to",
                null));
      }
    }
    List<Row> rows =
        jdbc.sql("select machine_id, library_id, edition_id from machine_library limit 1000")
            .query(Row.class)
            .list();
    Map<Long, Known> known = libraries.libraries(rows.stream().map(Row::libraryId).toList());
    Map<Long, Known> editions =
        libraries.editions(
            rows.stream().map(Row::editionId).filter(Objects::nonNull).toList(), known);
    for (Row row : rows) {
      LinkEnd machine = ends.get(row.machineId());
      if (machine != null) {
        Known target = libraries.target(row.libraryId(), row.editionId(), known, editions);
        links.add(
            new Link(machine, target.end(), "picks its tools from", target.stray(), target.anew()));
      }
    }
    return links;
  }
}
