package arborline.core.table;

import java.util.Set;

/**
 * What the program of a job does with a tool.
 *
 * @param job name of the job
 * @param uses empty for what is usual of such a tool
 */
public record JobUse(String job, Set<ProgramUse> uses) {

  public JobUse {
    uses = Set.copyOf(uses);
  }
}
