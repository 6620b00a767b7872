package arborline.server.machine;

import arborline.core.job.CalledTool;
import arborline.core.job.JobChange;
import arborline.core.job.JobChanges;
import arborline.core.job.LoadedTool;
import arborline.core.job.OpenJob;
import arborline.core.machine.Machine;
import arborline.core.machine.MachineSpindle.Carries;
import arborline.core.table.TableEntry;
import arborline.server.account.Actor;
import arborline.server.account.Role;
import arborline.server.machine.Plans.Planned;
import arborline.server.support.Json;
import arborline.server.support.Refusal;
import arborline.server.tool.Tools.Held;
import arborline.server.trail.TrailRecord;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.http.HttpStatus;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/**
 * Keeps the tools that open jobs call where their programs find them: a change of a plan that would
 * change a job is refused, unless the lead has it done all the same.
 */
@Component
class JobKeeping {

  private final JobsOfMachine jobs;
  private final PlanRepository places;
  private final PickedTools picked;
  private final PlanFit fit;
  private final UseHeads uses;
  private final JdbcClient jdbc;
  private final Json json;

  JobKeeping(
      JobsOfMachine jobs,
      PlanRepository places,
      PickedTools picked,
      PlanFit fit,
      UseHeads uses,
      JdbcClient jdbc,
      Json json) {
    this.jobs = jobs;
    this.places = places;
    this.picked = picked;
    this.fit = fit;
    this.uses = uses;
    this.jdbc = jdbc;
    this.json = json;
  }

  /** Open jobs of a machine with what of its load they find. */
  record JobLoad(List<OpenJob> jobs, List<LoadedTool> load) {}

  /** Jobs that a change would change; what a refusal carries. */
  record ChangedJobs(List<JobChange> jobs) {}

  /**
   * An open job that calls a planned tool.
   *
   * @param number by which its program calls it
   */
  record JobCall(long job, String name, int number) {}

  /** What the jobs of a machine find in its load before it is changed; the machine is locked. */
  JobLoad before(Machine machine) {
    List<OpenJob> open = jobs.open(machine.id());
    return new JobLoad(open, load(machine, open));
  }

  /**
   * Refuses a change that was made in this transaction where it would change a job.
   *
   * @param allow true where the lead has it done all the same
   * @return what the trail has to say of it besides; empty where no job is changed
   */
  String refuseChanged(Machine machine, JobLoad before, boolean allow) {
    return refuse(changes(machine, before), allow);
  }

  /** As {@link #refuseChanged}, where it is known which jobs would be changed. */
  String refuse(List<JobChange> changes, boolean allow) {
    if (changes.isEmpty()) {
      return "";
    }
    String would = words(changes);
    boolean lead = Actor.role().filter(Role.LEAD::equals).isPresent();
    if (allow && !lead) {
      throw Refusal.of(
          HttpStatus.FORBIDDEN, would + ": only the lead changes a job in this manner");
    }
    if (!allow) {
      throw Refusal.conflict(
          "%s: finish or change the job first, or %s"
              .formatted(
                  would,
                  lead
                      ? "change it all the same, which is kept on the trail"
                      : "ask the lead, who may change it all the same"),
          new ChangedJobs(changes));
    }
    return ", although " + would;
  }

  /** Refuses to take something back where that would change a job. */
  void refuseTakingBack(Machine machine, JobLoad before) {
    List<JobChange> changes = changes(machine, before);
    if (!changes.isEmpty()) {
      throw Refusal.conflict(words(changes) + ": finish or change the job first");
    }
  }

  /**
   * Jobs that a change that was made in this transaction would change; none for whoever sets the
   * shop up.
   */
  List<JobChange> changes(Machine machine, JobLoad before) {
    return Actor.role().isEmpty()
        ? List.of()
        : JobChanges.of(before.jobs(), before.load(), load(machine, before.jobs()));
  }

  /** Jobs that would lose tools with the machine itself. */
  List<JobChange> without(Machine machine) {
    JobLoad found = before(machine);
    return Actor.role().isEmpty()
        ? List.of()
        : JobChanges.of(found.jobs(), found.load(), List.of());
  }

  private static String words(List<JobChange> changes) {
    String first = changes.getFirst().sentence();
    return changes.size() == 1
        ? first
        : "%s, and %s".formatted(first, TrailRecord.count(changes.size() - 1, "more job"));
  }

  /** Rows, not what is held of them: places may have been renamed in this transaction. */
  private List<LoadedTool> load(Machine machine, List<OpenJob> open) {
    Set<Long> called =
        open.stream()
            .flatMap(job -> job.calls().stream())
            .map(CalledTool::toolId)
            .collect(Collectors.toSet());
    if (called.isEmpty()) {
      return List.of();
    }
    places.flush();
    List<PlanPlace> planned =
        jdbc.sql(
                """
                select place, tool_id, library_id, fields from plan_place
                where machine_id = :machine and tool_id in (:tools)\
                """)
            .param("machine", machine.id())
            .param("tools", called)
            .query((row, index) ->
                new PlanPlace(
                    machine.id(),
                    row.getString("place"),
                    row.getLong("tool_id"),
                    row.getLong("library_id"),
                    row.getString("fields")))
            .list();
    Map<String, String> words = turnsWork(machine) ? words(machine, planned) : Map.of();
    return planned.stream()
        .map(place ->
            new LoadedTool(
                place.toolId,
                PlanNumbers.number(entry(place)),
                words.getOrDefault(place.place, "")))
        .toList();
  }

  private static boolean turnsWork(Machine machine) {
    return machine.spindles().stream().anyMatch(spindle -> spindle.carries() == Carries.WORK);
  }

  /** How tools are used, by place. */
  private Map<String, String> words(Machine machine, List<PlanPlace> planned) {
    Map<Long, Held> known = picked.of(planned);
    Map<String, Planned> plan = new HashMap<>();
    planned.forEach(place ->
        plan.put(
            place.place, new Planned(place.place, place.toolId, place.library(), entry(place))));
    Map<String, String> words = new HashMap<>();
    uses.of(machine, plan, PickedTools.tools(known), fit.assembled(machine, plan.values(), known))
        .forEach((place, use) -> words.put(place, use.words()));
    return words;
  }

  private TableEntry entry(PlanPlace place) {
    return json.read(place.fields, TableEntry.class);
  }

  /**
   * Open jobs of a machine that find a tool as it is planned, by its place.
   *
   * @param plan by place
   */
  Map<String, List<JobCall>> calls(String machineId, Map<String, Planned> plan) {
    List<OpenJob> open = jobs.open(machineId);
    Map<String, List<JobCall>> calls = new HashMap<>();
    plan.forEach((place, planned) ->
        calls.put(
            place,
            open.stream()
                .flatMap(job ->
                    job.calls().stream()
                        .filter(call ->
                            call.toolId() == planned.toolId()
                                && call.number() == PlanNumbers.number(planned.entry()))
                        .map(call -> new JobCall(job.id(), job.name(), call.number())))
                .toList()));
    return calls;
  }
}
