package arborline.core.job;

import java.util.List;

/** A job that is not finished, with the tools that it calls. */
public record OpenJob(long id, String name, List<CalledTool> calls) {

  public OpenJob {
    calls = List.copyOf(calls);
  }
}
