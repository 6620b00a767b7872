package arborline.server.job;

import arborline.core.job.CallNumbers;
import arborline.core.machine.Machine;
import arborline.core.table.TableField;
import arborline.server.machine.Machines;
import arborline.server.machine.Plans;
import arborline.server.tool.Tools;
import arborline.server.tool.Tools.Held;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Numbers of tools that come into a job without one. */
@Component
class JobNumbers {

  /** Stands for no number yet. */
  static final int NONE = Integer.MIN_VALUE;

  private final Machines machines;
  private final Plans plans;
  private final Tools tools;

  JobNumbers(Machines machines, Plans plans, Tools tools) {
    this.machines = machines;
    this.plans = plans;
    this.tools = tools;
  }

  /** The job with a number for each tool. */
  @Transactional(readOnly = true)
  JobRow numbered(JobRow job) {
    if (job.tools().stream().noneMatch(tool -> tool.number() == NONE)) {
      return job;
    }
    Machine machine = machines.get(job.machine()).machine();
    Map<Long, Long> meant = new HashMap<>();
    Set<Long> taken = new HashSet<>();
    for (JobTool tool : job.tools()) {
      meant.put(tool.tool(), tool.library() == null ? 0 : tool.library());
      taken.add((long) tool.number());
    }
    Map<Long, Held> held = tools.held(meant);
    CallNumbers numbers = new CallNumbers(machine, planned(job.machine()), taken);
    List<JobTool> numbered = new ArrayList<>();
    for (JobTool tool : job.tools()) {
      if (tool.number() == NONE) {
        long own = Optional.ofNullable(held.get(tool.tool())).flatMap(Held::number).orElse(1);
        long number = numbers.take(tool.tool(), own);
        numbered.add(tool.numbered(Math.toIntExact(number)));
      } else {
        numbered.add(tool);
      }
    }
    return job.calling(numbered);
  }

  /** Numbers of the load of a machine, by tool. */
  private Map<Long, Long> planned(String machine) {
    Map<Long, Long> planned = new HashMap<>();
    plans
        .plan(machine)
        .values()
        .forEach(one ->
            Optional.ofNullable(one.entry().get(TableField.NUMBER))
                .ifPresent(number -> planned.put(one.toolId(), Long.parseLong(number))));
    return planned;
  }
}
