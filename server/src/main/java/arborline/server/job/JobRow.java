package arborline.server.job;

import java.util.List;

/**
 * A job of the shop.
 *
 * @param part that comes of it; empty where nobody said
 * @param machine on which it runs
 * @param finished true where its tools may be changed again
 * @param version grows with each change
 * @param tools by number
 */
record JobRow(
    long id,
    String name,
    String part,
    String machine,
    boolean finished,
    int version,
    boolean deleted,
    List<JobTool> tools) {

  JobRow {
    tools = List.copyOf(tools);
  }

  JobRow finished(boolean now) {
    return new JobRow(id, name, part, machine, now, version, deleted, tools);
  }

  JobRow on(String other) {
    return new JobRow(id, name, part, other, finished, version, deleted, tools);
  }

  JobRow calling(List<JobTool> others) {
    return new JobRow(id, name, part, machine, finished, version, deleted, others);
  }
}
