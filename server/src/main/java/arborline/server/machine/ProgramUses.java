package arborline.server.machine;

import arborline.core.job.CalledTool;
import arborline.core.job.OpenJob;
import arborline.core.table.JobUse;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;

/** What the programs of a machine do with tools, as its open jobs say. */
@Component
public class ProgramUses {

  private final JobsOfMachine jobs;

  ProgramUses(JobsOfMachine jobs) {
    this.jobs = jobs;
  }

  /** By tool, for each open job that calls it. */
  public Map<Long, List<JobUse>> of(String machineId) {
    Map<Long, List<JobUse>> uses = new HashMap<>();
    for (OpenJob job : jobs.open(machineId)) {
      for (CalledTool called : job.calls()) {
        uses.computeIfAbsent(called.toolId(), id -> new ArrayList<>())
            .add(new JobUse(job.name(), called.uses()));
      }
    }
    return uses;
  }
}
