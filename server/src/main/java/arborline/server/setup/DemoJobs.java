package arborline.server.setup;

import arborline.server.job.Jobs;
import arborline.server.support.Json;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Jobs of the demo, each with the tools that it calls. */
@Component
class DemoJobs {

  private final Jobs jobs;
  private final JdbcClient jdbc;
  private final Json json;

  DemoJobs(Jobs jobs, JdbcClient jdbc, Json json) {
    this.jobs = jobs;
    this.jdbc = jdbc;
    this.json = json;
  }

  /**
   * A job of the demo file.
   *
   * @param tools codes in that library, in the order of use
   */
  record DemoJob(String name, String part, String machine, String library, List<String> tools) {}

  /** Makes what the file says; without one there is no job. */
  void make(Path file) throws IOException {
    if (!Files.exists(file)) {
      return;
    }
    for (DemoJob job : json.read(Files.readString(file), DemoJob[].class)) {
      long library =
          jdbc.sql("select id from library where name = ?")
              .param(job.library())
              .query(Long.class)
              .single();
      List<Long> tools = job.tools().stream().map(code -> tool(library, code)).toList();
      jobs.bring(job.name(), job.part(), job.machine(), library, tools);
    }
  }

  private long tool(long library, String code) {
    return jdbc.sql("select tool_id from entry where library_id = ? and code = ?")
        .params(library, code)
        .query(Long.class)
        .single();
  }
}
