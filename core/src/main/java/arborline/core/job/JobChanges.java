package arborline.core.job;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Optional;

/**
 * Whether a load still serves the jobs that it served: each tool that a job found under its number
 * has to be there under that number, used in the same manner. What a job did not find before does
 * not hold a change up.
 */
public final class JobChanges {

  private JobChanges() {}

  /** Jobs that a change would change, each with its first reason. */
  public static List<JobChange> of(
      List<OpenJob> jobs, Collection<LoadedTool> before, Collection<LoadedTool> after) {
    List<JobChange> changes = new ArrayList<>();
    for (OpenJob job : jobs) {
      job.calls().stream()
          .flatMap(call -> why(call, before, after).stream())
          .findFirst()
          .ifPresent(why -> changes.add(new JobChange(job.id(), job.name(), why)));
    }
    return changes;
  }

  private static Optional<String> why(
      CalledTool call, Collection<LoadedTool> before, Collection<LoadedTool> after) {
    List<String> were = uses(call, before);
    if (were.isEmpty()) {
      return Optional.empty();
    }
    List<String> will = uses(call, after);
    String calls = "calls %s as T%d".formatted(call.code(), call.number());
    if (will.isEmpty()) {
      return Optional.of(
          after.stream()
              .filter(tool -> tool.toolId() == call.toolId())
              .findFirst()
              .map(tool -> "%s, and it would be T%d".formatted(calls, tool.number()))
              .orElse(calls + ", and it would not be in the load"));
    }
    return were.stream().anyMatch(will::contains)
        ? Optional.empty()
        : Optional.of(
            "%s, %s, and it would be %s".formatted(calls, were.getFirst(), will.getFirst()));
  }

  private static List<String> uses(CalledTool call, Collection<LoadedTool> load) {
    return load.stream()
        .filter(tool -> tool.toolId() == call.toolId() && tool.number() == call.number())
        .map(LoadedTool::use)
        .toList();
  }
}
