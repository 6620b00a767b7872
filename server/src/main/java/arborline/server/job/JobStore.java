package arborline.server.job;

import arborline.core.library.Codes;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.support.GeneratedKeyHolder;
import org.springframework.stereotype.Component;

/** Jobs in the database. */
@Component
class JobStore {

  private static final int MOST = 1_000;

  private final JdbcClient jdbc;

  JobStore(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  private static JobRow row(ResultSet row, int index) throws SQLException {
    return new JobRow(
        row.getLong("id"),
        row.getString("name"),
        row.getString("part"),
        row.getString("machine_id"),
        row.getTimestamp("finished_at") != null,
        row.getInt("version_no"),
        row.getTimestamp("deleted_at") != null,
        List.of());
  }

  private record ToolRow(
      long jobId, int toolNo, long toolId, @Nullable Long libraryId, String uses) {}

  /** Jobs with their tools. */
  private List<JobRow> whole(List<JobRow> jobs) {
    if (jobs.isEmpty()) {
      return jobs;
    }
    Map<Long, List<JobTool>> tools = new HashMap<>();
    jdbc.sql("select * from job_tool where job_id in (:jobs) order by job_id, tool_no")
        .param("jobs", jobs.stream().map(JobRow::id).toList())
        .query(ToolRow.class)
        .list()
        .forEach(row ->
            tools
                .computeIfAbsent(row.jobId(), id -> new ArrayList<>())
                .add(
                    new JobTool(
                        row.toolNo(), row.toolId(), row.libraryId(), StoredUses.of(row.uses()))));
    return jobs.stream().map(job -> job.calling(tools.getOrDefault(job.id(), List.of()))).toList();
  }

  /** All jobs that are not deleted: open ones first, then by name. */
  List<JobRow> all() {
    return whole(
        jdbc.sql(
                """
                select * from job where deleted_at is null
                order by finished_at is not null, name limit\s\
                """
                    + MOST)
            .query(JobStore::row)
            .list());
  }

  Optional<JobRow> get(long id) {
    return whole(jdbc.sql("select * from job where id = ?").param(id).query(JobStore::row).list())
        .stream()
        .findFirst();
  }

  /** As {@link #get}, with nobody else changing it until the transaction ends. */
  Optional<JobRow> lock(long id) {
    jdbc.sql("update job set version_no = version_no where id = ?").param(id).update();
    return whole(
            jdbc.sql("select * from job where id = ? for update")
                .param(id)
                .query(JobStore::row)
                .list())
        .stream()
        .findFirst();
  }

  /** True where another job has that name. */
  boolean named(String name, long except) {
    return jdbc.sql("select count(*) from job where name_key = ? and id <> ?")
            .params(Codes.key(name), except)
            .query(Long.class)
            .single()
        > 0;
  }

  long insert(JobRow job) {
    GeneratedKeyHolder key = new GeneratedKeyHolder();
    jdbc.sql("insert into job (name, name_key, part, machine_id) values (?, ?, ?, ?)")
        .params(job.name(), Codes.key(job.name()), job.part(), job.machine())
        .update(key, "id");
    long id = key.getKey().longValue();
    insert(id, job.tools());
    return id;
  }

  private void insert(long id, List<JobTool> tools) {
    tools.forEach(tool ->
        jdbc.sql(
                """
                insert into job_tool (job_id, tool_no, tool_id, library_id, uses)
                values (?, ?, ?, ?, ?)\
                """)
            .params(id, tool.number(), tool.tool(), tool.library(), StoredUses.text(tool.uses()))
            .update());
  }

  /**
   * Writes a job as it is from now on; its version grows.
   *
   * @param now of the change, for the time at which it was finished or deleted
   */
  void update(JobRow job, boolean deleted, Instant now) {
    jdbc.sql(
            """
            update job set name = ?, name_key = ?, part = ?, machine_id = ?, finished_at = ?,
              version_no = version_no + 1, deleted_at = ?
            where id = ?\
            """)
        .params(
            job.name(),
            deleted ? null : Codes.key(job.name()),
            job.part(),
            job.machine(),
            job.finished() ? Timestamp.from(now) : null,
            deleted ? Timestamp.from(now) : null,
            job.id())
        .update();
    jdbc.sql("delete from job_tool where job_id = ?").param(job.id()).update();
    insert(job.id(), job.tools());
  }
}
