package arborline.core.table;

import java.util.List;

/**
 * What programs need a value of a tool table for.
 *
 * @param jobs names of those whose programs do; empty where no job calls the tool, and it is only
 *     what such tools are usually used for
 */
public record Purpose(ProgramUse use, List<String> jobs) {

  private static final int NAMED = 2;

  public Purpose {
    jobs = List.copyOf(jobs);
  }

  /** {@code radius compensation in Winch drum and 3 other jobs}. */
  public String words() {
    if (jobs.isEmpty()) {
      return use.words();
    }
    int others = jobs.size() - NAMED + 1;
    String names =
        jobs.size() <= NAMED
            ? String.join(" and ", jobs)
            : "%s and %d other jobs".formatted(jobs.getFirst(), others);
    return "%s in %s".formatted(use.words(), names);
  }
}
