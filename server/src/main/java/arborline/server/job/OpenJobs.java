package arborline.server.job;

import arborline.core.job.CalledTool;
import arborline.core.job.OpenJob;
import arborline.server.machine.JobsOfMachine;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** The open jobs of machines, with what they call. */
@Component
class OpenJobs implements JobsOfMachine {

  private final JdbcClient jdbc;

  OpenJobs(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  private record Row(long id, String name, int toolNo, long toolId, String code, String uses) {}

  @Override
  public List<OpenJob> open(String machineId) {
    Map<Long, String> names = new LinkedHashMap<>();
    Map<Long, List<CalledTool>> calls = new LinkedHashMap<>();
    jdbc.sql(
            """
            select j.id, j.name, c.tool_no, c.tool_id, t.code, c.uses from job j
            join job_tool c on c.job_id = j.id join tool t on t.id = c.tool_id
            where j.machine_id = ? and j.finished_at is null and j.deleted_at is null
            order by j.name, j.id, c.tool_no\
            """)
        .param(machineId)
        .query(Row.class)
        .list()
        .forEach(row -> {
          names.put(row.id(), row.name());
          calls
              .computeIfAbsent(row.id(), id -> new ArrayList<>())
              .add(
                  new CalledTool(
                      row.toolNo(), row.toolId(), row.code(), StoredUses.of(row.uses())));
        });
    return names.entrySet().stream()
        .map(job -> new OpenJob(job.getKey(), job.getValue(), calls.get(job.getKey())))
        .toList();
  }
}
