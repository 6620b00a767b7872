package arborline.server.job;

import arborline.core.table.ProgramUse;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * A tool that a job calls.
 *
 * @param number by which its program calls it; {@link JobNumbers#NONE} for none yet
 * @param library from which it is taken; null for any that has it
 * @param uses what its program does with it; empty for what is usual of its class
 */
record JobTool(int number, long tool, @Nullable Long library, Set<ProgramUse> uses) {

  JobTool {
    boolean usual = uses == null || uses.isEmpty();
    uses = usual ? Set.of() : Set.copyOf(ProgramUse.withMoves(uses));
  }

  /** A tool with which the program does what is usual. */
  JobTool(int number, long tool, @Nullable Long library) {
    this(number, tool, library, Set.of());
  }

  JobTool numbered(int other) {
    return new JobTool(other, tool, library, uses);
  }

  JobTool from(long other) {
    return new JobTool(number, tool, other, uses);
  }

  /** Which tool it is of which library, whatever the program calls it and does with it. */
  JobTool meant() {
    return new JobTool(0, tool, library);
  }
}
