package arborline.server.job;

import arborline.core.machine.Machine;
import arborline.core.table.FieldNeeds;
import arborline.core.table.ProgramUse;
import arborline.core.table.TableField;
import arborline.core.tool.Silhouettes;
import arborline.core.tool.outline.Outline;
import arborline.server.machine.Machines;
import arborline.server.machine.Plans;
import arborline.server.machine.Plans.Planned;
import arborline.server.right.LibraryGuard;
import arborline.server.right.ToolGuard;
import arborline.server.tool.Holdings.UsedIn;
import arborline.server.tool.Tools;
import arborline.server.tool.Tools.Held;
import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Jobs as people look at them: each tool with where it stands in the load of the machine. */
@Component
class JobViews {

  private final Machines machines;
  private final Plans plans;
  private final Tools tools;
  private final LibraryGuard libraries;
  private final ToolGuard seeing;

  JobViews(Machines machines, Plans plans, Tools tools, LibraryGuard libraries, ToolGuard seeing) {
    this.machines = machines;
    this.plans = plans;
    this.tools = tools;
    this.libraries = libraries;
    this.seeing = seeing;
  }

  /**
   * A job in short.
   *
   * @param machineName null where that was retired
   * @param tools how many it calls
   * @param missing how many of these its program would not find in the load
   */
  record JobHead(
      long id,
      String name,
      String part,
      String machine,
      @Nullable String machineName,
      boolean finished,
      int tools,
      int missing) {}

  /**
   * A tool that a job calls.
   *
   * @param outline of the cutter; null where its sizes do not say one
   * @param library null where none is named, or whoever asks does not see it
   * @param found true where the program finds it in the load under its number
   * @param stands where it stands, as people would say it
   * @param seen true where whoever asks sees the sheet of the tool
   * @param uses what the program does with it, where somebody said so; none for what is usual
   * @param usualUses what programs usually do with a tool of its class
   */
  record JobToolView(
      int number,
      long toolId,
      String code,
      String name,
      @Nullable Outline outline,
      @Nullable Long libraryId,
      @Nullable String library,
      boolean found,
      String stands,
      boolean seen,
      List<String> uses,
      List<String> usualUses) {}

  /**
   * A job with what it calls.
   *
   * @param possibleUses what programs may do with a tool
   */
  record JobView(JobHead head, int version, List<JobToolView> tools, List<String> possibleUses) {}

  /** What programs may do with a tool, in words. */
  static final List<String> POSSIBLE_USES = words(EnumSet.allOf(ProgramUse.class));

  private static List<String> words(Set<ProgramUse> uses) {
    return uses.stream().sorted().map(ProgramUse::words).toList();
  }

  /** Jobs in short. */
  @Transactional(readOnly = true)
  List<JobHead> heads(List<JobRow> jobs) {
    Map<String, Machine> known = new HashMap<>();
    machines.all().forEach(linked -> known.put(linked.machine().id(), linked.machine()));
    Map<String, Collection<Planned>> loads = new HashMap<>();
    return jobs.stream()
        .map(job ->
            head(
                job,
                Optional.ofNullable(known.get(job.machine())),
                loads.computeIfAbsent(job.machine(), id -> plans.plan(id).values())))
        .toList();
  }

  private static JobHead head(JobRow job, Optional<Machine> machine, Collection<Planned> load) {
    int missing =
        (int)
            job.tools().stream()
                .filter(tool -> load.stream().noneMatch(planned -> found(tool, planned)))
                .count();
    return new JobHead(
        job.id(),
        job.name(),
        job.part(),
        job.machine(),
        machine.map(Machine::name).orElse(null),
        job.finished(),
        job.tools().size(),
        missing);
  }

  private static boolean found(JobTool tool, Planned planned) {
    return planned.toolId() == tool.tool()
        && Integer.toString(tool.number()).equals(planned.entry().get(TableField.NUMBER));
  }

  /** A job with what it calls. */
  @Transactional(readOnly = true)
  JobView view(JobRow job) {
    Optional<Machine> machine =
        machines.all().stream()
            .map(Machines.Linked::machine)
            .filter(one -> one.id().equals(job.machine()))
            .findFirst();
    Collection<Planned> load = plans.plan(job.machine()).values();
    Map<Long, Long> meant = new LinkedHashMap<>();
    job.tools()
        .forEach(tool -> meant.put(tool.tool(), tool.library() == null ? 0 : tool.library()));
    Map<Long, Held> held = tools.held(meant);
    Set<Long> hidden = libraries.hidden();
    Set<Long> unseen = meant.isEmpty() ? Set.of() : seeing.unseen(meant.keySet());
    List<JobToolView> views = new ArrayList<>();
    for (JobTool tool : job.tools()) {
      Held one = held.get(tool.tool());
      if (one != null) {
        views.add(view(tool, one, machine, load, hidden, !unseen.contains(tool.tool())));
      }
    }
    return new JobView(head(job, machine, load), job.version(), views, POSSIBLE_USES);
  }

  private static JobToolView view(
      JobTool tool,
      Held held,
      Optional<Machine> machine,
      Collection<Planned> load,
      Set<Long> hidden,
      boolean seen) {
    Optional<UsedIn> from =
        held.from()
            .filter(one -> tool.library() != null && one.libraryId() == tool.library())
            .filter(one -> !hidden.contains(one.libraryId()));
    return new JobToolView(
        tool.number(),
        tool.tool(),
        held.tool().code(),
        held.tool().name(),
        Silhouettes.of(held.tool()).orElse(null),
        from.map(UsedIn::libraryId).orElse(null),
        from.map(UsedIn::library).orElse(null),
        load.stream().anyMatch(planned -> found(tool, planned)),
        machine.map(one -> stands(tool, one, load)).orElse("the machine was retired"),
        seen,
        words(tool.uses()),
        words(ProgramUse.usual(FieldNeeds.motion(held.tool()))));
  }

  private static String stands(JobTool tool, Machine machine, Collection<Planned> load) {
    List<Planned> there = load.stream().filter(planned -> planned.toolId() == tool.tool()).toList();
    List<Planned> found = there.stream().filter(planned -> found(tool, planned)).toList();
    if (!found.isEmpty()) {
      return "in %s".formatted(words(machine, found));
    }
    if (there.isEmpty() && machine.numbering().numberIsPlace() && !hasPlace(machine, tool)) {
      return "no %s %d".formatted(machine.placeWord(), tool.number());
    }
    return there.isEmpty()
        ? "not in the load"
        : "in %s, where it is T%s"
            .formatted(words(machine, there), there.getFirst().entry().get(TableField.NUMBER));
  }

  private static boolean hasPlace(Machine machine, JobTool tool) {
    return machine.places().stream()
        .map(machine::number)
        .anyMatch(Integer.toString(tool.number())::equals);
  }

  private static String words(Machine machine, List<Planned> planned) {
    return String.join(" and ", planned.stream().map(one -> machine.words(one.place())).toList());
  }

  /** What is planned at a machine, as it is numbered there; sisters once. */
  @Transactional(readOnly = true)
  List<JobTool> load(String machineId) {
    machines.get(machineId);
    Map<Integer, JobTool> load = new LinkedHashMap<>();
    for (Planned planned : plans.plan(machineId).values()) {
      String number = planned.entry().get(TableField.NUMBER);
      if (number != null) {
        load.putIfAbsent(
            Integer.parseInt(number),
            new JobTool(
                Integer.parseInt(number),
                planned.toolId(),
                planned.libraryId() == 0 ? null : planned.libraryId()));
      }
    }
    return List.copyOf(load.values());
  }
}
