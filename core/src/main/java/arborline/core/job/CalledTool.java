package arborline.core.job;

import arborline.core.table.ProgramUse;
import java.util.Set;

/**
 * A tool that a job calls.
 *
 * @param number by which its program calls it
 * @param toolId the tool of the library that is meant
 * @param uses what the program does with it; empty for what is usual of its class
 */
public record CalledTool(int number, long toolId, String code, Set<ProgramUse> uses) {

  public CalledTool {
    uses = Set.copyOf(uses);
  }

  /** A tool with which a program does what is usual. */
  public CalledTool(int number, long toolId, String code) {
    this(number, toolId, code, Set.of());
  }
}
