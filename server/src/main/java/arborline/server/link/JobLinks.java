package arborline.server.link;

import arborline.server.link.LinkedLibraries.Known;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Open jobs to the machines on which they run, and to the libraries that they take tools from. */
@Component
class JobLinks implements LinkSource {

  private final LinkedLibraries libraries;
  private final JdbcClient jdbc;

  JobLinks(LinkedLibraries libraries, JdbcClient jdbc) {
    this.libraries = libraries;
    this.jdbc = jdbc;
  }

  /**
   * @param machine its name; null where it is gone
   */
  private record Runs(
      long id, String name, String machineId, @Nullable String machine, boolean retired) {}

  private record Takes(long id, String name, long libraryId) {}

  private static LinkEnd end(long id, String name) {
    return new LinkEnd(LinkKind.JOB, Long.toString(id), name, "/jobs/" + id);
  }

  @Override
  public List<Link> all() {
    List<Link> links = new ArrayList<>();
    jdbc.sql(
            """
            select j.id, j.name, j.machine_id, m.name as machine,
              m.retired_at is not null as retired
            from job j left join machine m on m.id = j.machine_id
            where j.finished_at is null and j.deleted_at is null order by j.name limit 1000\
            """)
        .query(Runs.class)
        .list()
        .forEach(row -> links.add(runs(row)));
    List<Takes> takes =
        jdbc.sql(
                """
                select distinct j.id, j.name, c.library_id from job j
                join job_tool c on c.job_id = j.id
                where j.finished_at is null and j.deleted_at is null
                  and c.library_id is not null order by j.name limit 5000\
                """)
            .query(Takes.class)
            .list();
    Map<Long, Known> known =
        libraries.libraries(takes.stream().map(Takes::libraryId).distinct().toList());
    for (Takes row : takes) {
      Known target = known.get(row.libraryId());
      links.add(
          new Link(end(row.id(), row.name()), target.end(), "takes tools from", target.stray()));
    }
    return links;
  }

  private static Link runs(Runs row) {
    LinkEnd job = end(row.id(), row.name());
    if (row.machine() == null || row.retired()) {
      LinkEnd gone =
          new LinkEnd(
              LinkKind.MACHINE,
              row.machineId(),
              row.machine() == null ? row.machineId() : row.machine(),
              null);
      return new Link(job, gone, "runs on", "the machine was retired");
    }
    return new Link(job, MachineLinks.end(row.machineId(), row.machine()), "runs on", null);
  }
}
