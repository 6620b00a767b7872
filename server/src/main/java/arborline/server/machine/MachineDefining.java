package arborline.server.machine;

import arborline.core.job.JobChange;
import arborline.core.machine.Machine;
import arborline.core.machine.MachineFaults;
import arborline.core.machine.PlaceNames;
import arborline.core.table.ControlDialects;
import arborline.server.account.Permission;
import arborline.server.live.Live;
import arborline.server.support.Json;
import arborline.server.support.Refusal;
import arborline.server.trail.Trail;
import arborline.server.trail.TrailRecord;
import arborline.server.trail.Undo;
import arborline.server.trail.UndoKind;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.interceptor.TransactionAspectSupport;

/** Sets machines up, changes, copies and retires them. */
@Service
class MachineDefining implements Undo<MachineDefining.Defined> {

  private static final UndoKind<Defined> KIND =
      new UndoKind<>("machine.defined", 1, Defined.class, Permission.EDIT);

  private final Machines machines;
  private final MachineRepository rows;
  private final PlanRepository places;
  private final PlanFit fit;
  private final PlaceRenaming renaming;
  private final JobKeeping jobs;
  private final Trail trail;
  private final Live live;
  private final Json json;
  private final Clock clock;

  MachineDefining(
      Machines machines,
      MachineRepository rows,
      PlanRepository places,
      PlanFit fit,
      PlaceRenaming renaming,
      JobKeeping jobs,
      Trail trail,
      Live live,
      Json json,
      Clock clock) {
    this.machines = machines;
    this.rows = rows;
    this.places = places;
    this.fit = fit;
    this.renaming = renaming;
    this.jobs = jobs;
    this.trail = trail;
    this.live = live;
    this.json = json;
    this.clock = clock;
  }

  /** A planned tool whose place went away with a change. */
  record Fallen(String place, long toolId, String fields, @Nullable Long library) {}

  /**
   * A definition before and after; null where there was no machine, or none is left in use.
   *
   * @param fallen what fell out of the load plan
   */
  record Defined(
      String machine, @Nullable String before, @Nullable String after, List<Fallen> fallen) {}

  /**
   * A tool that loses its place, or does not fit there any more.
   *
   * @param why null where the place goes away
   */
  record FallsOut(String place, String code, @Nullable String why) {}

  /**
   * What a change of a definition comes to.
   *
   * @param fallsOut tools that leave the load plan with it
   * @param misfits tools that stay planned although they do not fit there any more
   * @param jobs open ones that it would change, or has changed
   * @param storages as they are drawn then
   * @param undo null where it was only looked at, or nothing changed
   */
  record DefinitionChange(
      Machine machine,
      int version,
      List<FallsOut> fallsOut,
      List<FallsOut> misfits,
      List<JobChange> jobs,
      List<StorageView> storages,
      @Nullable Long undo) {

    static DefinitionChange of(
        Machine machine,
        int version,
        List<FallsOut> fallsOut,
        List<FallsOut> misfits,
        List<JobChange> jobs,
        @Nullable Long undo) {
      return new DefinitionChange(
          machine, version, fallsOut, misfits, jobs, StorageView.all(machine, place -> 0), undo);
    }
  }

  /**
   * What may come of a change of a definition.
   *
   * @param letFall true where tools may leave the load plan whose places go away
   * @param changeJobs true where the lead lets jobs be changed by it
   */
  record Allowed(boolean letFall, boolean changeJobs) {}

  /** What is wrong with a definition, each a sentence. */
  record DefinitionFaults(List<String> faults) {}

  /** Fields that two people changed differently. */
  record DefinitionConflict(List<String> fields) {}

  /**
   * Sets a machine up.
   *
   * @param planOf whose load plan it begins with; null for an empty one
   * @param look true to see only how it would be
   */
  @Transactional
  DefinitionChange create(Machine machine, @Nullable String planOf, boolean look) {
    refuseFaults(machine);
    if (rows.findById(machine.id()).isPresent()) {
      throw Refusal.conflict(
          "there is a machine %s already, perhaps a retired one; choose another id"
              .formatted(machine.id()));
    }
    if (look) {
      return DefinitionChange.of(machine, 0, List.of(), List.of(), List.of(), null);
    }
    if (planOf != null) {
      machines.lock(planOf);
    }
    String definition = json.text(machine);
    rows.insert(machine.id(), machine.name(), definition);
    String copied = "";
    if (planOf != null) {
      int tools = copyPlan(planOf, machine);
      copied = " with %s of %s".formatted(TrailRecord.count(tools, "planned tool"), planOf);
    }
    live.say("machine", machine.id(), "definition");
    long undo =
        record(
            machine, "set up %s%s".formatted(machine.name(), copied), null, definition, List.of());
    return DefinitionChange.of(machine, 1, List.of(), List.of(), List.of(), undo);
  }

  private int copyPlan(String from, Machine to) {
    int copied = 0;
    for (PlanPlace place : places.findByMachineId(from)) {
      if (to.hasPlace(place.place)) {
        places.save(
            new PlanPlace(to.id(), place.place, place.toolId, place.library(), place.fields));
        copied++;
      }
    }
    return copied;
  }

  private static void refuseFaults(Machine machine) {
    List<String> faults = new ArrayList<>(MachineFaults.of(machine));
    if (faults.isEmpty() && !ControlDialects.known(machine.habits().dialect())) {
      faults.add(
          "habits.dialect: there is no '%s'; name %s, or leave it empty"
              .formatted(machine.habits().dialect(), ControlDialects.names()));
    }
    if (!faults.isEmpty()) {
      throw Refusal.badRequest(String.join("; ", faults), new DefinitionFaults(faults));
    }
  }

  /**
   * Changes a definition; what others changed since is joined field by field.
   *
   * @param base the definition that somebody started from
   * @param allowed what may come of it
   * @param look true to see only what would come of it: it is made and taken back again
   */
  @Transactional
  DefinitionChange change(String id, Machine base, Machine wanted, Allowed allowed, boolean look) {
    Machines.Linked now = machines.lock(id);
    Machine joined = joined(now.machine(), base, wanted);
    if (!joined.id().equals(id)) {
      throw Refusal.badRequest("id: a machine keeps its id; copy it to have another");
    }
    refuseFaults(joined);
    Map<String, String> names = PlaceNames.changed(now.machine(), joined);
    List<PlanPlace> fallen =
        places.findByMachineId(id).stream()
            .filter(place -> !joined.hasPlace(names.getOrDefault(place.place, place.place)))
            .toList();
    List<FallsOut> fallsOut =
        fallen.stream().map(place -> new FallsOut(place.place, fit.code(place), null)).toList();
    List<FallsOut> misfits = fit.misfits(joined, names);
    String before = json.text(now.machine());
    String after = json.text(joined);
    if (before.equals(after)) {
      return DefinitionChange.of(joined, now.version(), fallsOut, misfits, List.of(), null);
    }
    if (!look && !fallen.isEmpty() && !allowed.letFall()) {
      throw Refusal.conflict(
          "%s would leave the load plan, since their places go away: %s"
              .formatted(
                  TrailRecord.count(fallen.size(), "tool"),
                  String.join(", ", fallsOut.stream().map(FallsOut::code).toList())),
          fallsOut);
    }
    JobKeeping.JobLoad found = jobs.before(now.machine());
    places.deleteAll(fallen);
    MachineRow row = rows.findById(id).orElseThrow();
    write(row, joined, after);
    rows.flush();
    renaming.rename(joined, names);
    List<JobChange> changed = jobs.changes(joined, found);
    if (look) {
      TransactionAspectSupport.currentTransactionStatus().setRollbackOnly();
      return DefinitionChange.of(joined, now.version(), fallsOut, misfits, changed, null);
    }
    String although = jobs.refuse(changed, allowed.changeJobs());
    long undo =
        record(
            joined,
            "changed the definition of %s%s%s"
                .formatted(
                    joined.name(),
                    fallen.isEmpty()
                        ? ""
                        : "; %s left the load plan"
                            .formatted(TrailRecord.count(fallen.size(), "tool")),
                    although),
            before,
            after,
            fallen.stream()
                .map(place -> new Fallen(place.place, place.toolId, place.fields, place.libraryId))
                .toList());
    return DefinitionChange.of(joined, row.versionNo, fallsOut, misfits, changed, undo);
  }

  private void write(MachineRow row, Machine machine, String definition) {
    row.name = machine.name();
    row.definition = definition;
    row.versionNo++;
    rows.save(row);
    live.say("machine", machine.id(), "definition");
  }

  private Machine joined(Machine now, Machine base, Machine wanted) {
    DefinitionMerge.Joined joined =
        DefinitionMerge.of(json.tree(base), json.tree(now), json.tree(wanted));
    if (!joined.conflicts().isEmpty()) {
      throw Refusal.conflict(
          "somebody else changed this meanwhile: %s; look at it as it is now"
              .formatted(String.join(", ", joined.conflicts())),
          new DefinitionConflict(joined.conflicts()));
    }
    return json.read(joined.definition().toString(), Machine.class);
  }

  /**
   * Takes a machine out of use; its plan and what was agreed with it are kept.
   *
   * @param changeJobs true where the lead has jobs lose the machine that they run on
   */
  @Transactional
  long retire(String id, boolean changeJobs) {
    Machine machine = machines.lock(id).machine();
    String although = jobs.refuse(jobs.without(machine), changeJobs);
    MachineRow row = rows.findById(id).orElseThrow();
    row.retiredAt = Instant.now(clock);
    rows.save(row);
    live.say("machine", id, "definition");
    return record(machine, "retired " + machine.name() + although, row.definition, null, List.of());
  }

  private long record(
      Machine machine,
      String text,
      @Nullable String before,
      @Nullable String after,
      List<Fallen> fallen) {
    return trail.record(
        TrailRecord.of("machine", machine.id(), text)
            .undoneBy(KIND, new Defined(machine.id(), before, after, fallen)));
  }

  @Override
  public UndoKind<Defined> kind() {
    return KIND;
  }

  @Override
  public void takeBack(Defined defined) {
    rows.lock(defined.machine());
    MachineRow row =
        rows.findById(defined.machine())
            .orElseThrow(() -> Refusal.notFound("there is no machine " + defined.machine()));
    boolean same = Objects.equals(row.retiredAt == null ? row.definition : null, defined.after());
    if (!same) {
      throw Refusal.conflict("the definition was changed since; take that back first");
    }
    if (defined.before() == null) {
      row.retiredAt = Instant.now(clock);
      rows.save(row);
    } else {
      Machine before = json.read(defined.before(), Machine.class);
      JobKeeping.JobLoad found =
          jobs.before(row.retiredAt == null ? machines.get(before.id()).machine() : before);
      row.retiredAt = null;
      write(row, before, defined.before());
      rows.flush();
      if (defined.after() != null) {
        renaming.rename(
            before, PlaceNames.changed(json.read(defined.after(), Machine.class), before));
      }
      defined.fallen().forEach(fallen -> bringBack(defined.machine(), fallen));
      jobs.refuseTakingBack(before, found);
    }
    live.say("machine", defined.machine(), "definition");
  }

  private void bringBack(String machine, Fallen fallen) {
    Machine now = machines.get(machine).machine();
    List<PlanPlace> elsewhere = fit.standing(now, fallen.toolId());
    if (!elsewhere.isEmpty() && !now.numbering().sisters()) {
      throw Refusal.conflict(
          "%s is planned for %s now; take it out there first"
              .formatted(fit.code(elsewhere.getFirst()), PlanFit.words(now, elsewhere)));
    }
    long library = fallen.library() == null ? 0 : fallen.library();
    places.save(new PlanPlace(machine, fallen.place(), fallen.toolId(), library, fallen.fields()));
  }
}
