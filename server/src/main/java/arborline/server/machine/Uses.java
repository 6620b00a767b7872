package arborline.server.machine;

import arborline.core.finding.Finding;
import arborline.core.machine.Loaded;
import arborline.core.machine.Machine;
import arborline.core.machine.Machine.Placed;
import arborline.core.machine.MachineSpindle;
import arborline.core.machine.MachineSpindle.Carries;
import arborline.core.table.ControlDialects;
import arborline.core.table.ControlTerms;
import arborline.core.table.Statements;
import arborline.core.table.TableEntry;
import arborline.core.table.TableField;
import arborline.core.tool.Tool;
import arborline.core.tool.ToolClasses;
import arborline.core.use.BlockAngle;
import arborline.core.use.SetPoint;
import arborline.core.use.ToolUse;
import arborline.core.use.UseReader;
import arborline.core.use.UseReading;
import arborline.core.use.UsualUse;
import arborline.server.account.Permission;
import arborline.server.live.Live;
import arborline.server.support.Json;
import arborline.server.support.Refusal;
import arborline.server.tool.Tools.Held;
import arborline.server.trail.Trail;
import arborline.server.trail.TrailRecord;
import arborline.server.trail.Undo;
import arborline.server.trail.UndoKind;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** How planned tools are used in their places. */
@Service
class Uses implements Undo<Uses.Chosen> {

  private static final UndoKind<Chosen> KIND =
      new UndoKind<>("plan.use", 1, Chosen.class, Permission.LOAD);

  private final Machines machines;
  private final PlanNumbers numbers;
  private final PlanFit fit;
  private final PlanRepository places;
  private final PickedTools picked;
  private final UseStore store;
  private final UseHeads heads;
  private final JobKeeping jobs;
  private final Trail trail;
  private final Live live;
  private final Json json;

  Uses(
      Machines machines,
      PlanNumbers numbers,
      PlanFit fit,
      PlanRepository places,
      PickedTools picked,
      UseStore store,
      UseHeads heads,
      JobKeeping jobs,
      Trail trail,
      Live live,
      Json json) {
    this.machines = machines;
    this.numbers = numbers;
    this.fit = fit;
    this.places = places;
    this.picked = picked;
    this.store = store;
    this.heads = heads;
    this.jobs = jobs;
    this.trail = trail;
    this.live = live;
    this.json = json;
  }

  /** A use before and after; null for the usual one. */
  record Chosen(
      String machine, String place, long toolId, @Nullable String before, @Nullable String after) {}

  /**
   * A use with what follows from it and what could be chosen instead.
   *
   * @param usual true where nobody chose another
   * @param turnsWork true where the machine turns work, so that it matters how a tool stands
   * @param setPoints that a tool of this class can be set by
   * @param spindles that a tool in this place reaches
   * @param undo null where it was only looked at
   */
  record UseView(
      ToolUse use,
      boolean usual,
      UseReading reading,
      boolean turnsWork,
      List<SetPoint> setPoints,
      List<String> spindles,
      List<String> coolants,
      @Nullable Long undo) {}

  /**
   * @param block angle at which the block of its stack holds it
   */
  private record There(
      Machine machine, Placed placed, PlanPlace planned, Tool tool, Optional<BigDecimal> block) {}

  /** What is planned for a place, with nobody else changing it where that is wanted. */
  private There there(Machine machine, String place) {
    PlanPlace planned =
        places
            .findByMachineIdAndPlace(machine.id(), place)
            .orElseThrow(() -> Refusal.notFound("nothing is planned for " + machine.words(place)));
    Placed placed =
        machine.placed(place).orElseThrow(() -> Refusal.notFound("there is no place " + place));
    Held held = picked.one(planned.toolId, planned.library());
    Loaded loaded = fit.loaded(machine, placed.storage(), held);
    return new There(
        machine, placed, planned, held.tool(), BlockAngle.of(placed, loaded.assembly()));
  }

  @Transactional(readOnly = true)
  UseView of(String machineId, String place) {
    There there = there(machines.get(machineId).machine(), place);
    Optional<ToolUse> kept = kept(there);
    return view(there, kept.orElseGet(() -> usual(there)), kept.isEmpty(), null);
  }

  private Optional<ToolUse> kept(There there) {
    return store
        .written(there.machine().id(), there.planned().toolId, there.planned().place)
        .map(written -> json.read(written, ToolUse.class));
  }

  private ToolUse usual(There there) {
    return UsualUse.of(
        there.machine(),
        there.placed(),
        there.tool(),
        numbers.offset(there.machine(), there.planned()),
        heads.defaults(there.machine()),
        there.block());
  }

  private UseView view(There there, ToolUse use, boolean usual, @Nullable Long undo) {
    UseReading reading =
        UseReader.of(there.machine(), there.placed(), there.tool(), use, there.block());
    List<Finding> findings = new ArrayList<>(reading.findings());
    findings.addAll(offsets(there, use));
    return new UseView(
        use,
        usual,
        new UseReading(
            reading.orientation(),
            reading.sense(),
            reading.tip(),
            reading.feed(),
            reading.clearances(),
            reading.view(),
            reading.front(),
            findings),
        there.machine().spindles().stream().anyMatch(spindle -> spindle.carries() == Carries.WORK),
        ToolClasses.named(there.tool().toolClass()).map(SetPoint::of).orElse(List.of()),
        there.machine().spindles().stream()
            .filter(spindle -> spindle.carries() == Carries.WORK)
            .map(MachineSpindle::name)
            .filter(name ->
                there.placed().storage().turret() == null
                    || there.placed().storage().turret().reaches().contains(name))
            .toList(),
        there.machine().outputs().coolant(),
        undo);
  }

  /** Offset numbers that another tool has, or that the control gives by itself. */
  private List<Finding> offsets(There there, ToolUse use) {
    List<Finding> findings = new ArrayList<>();
    Map<String, ToolUse> kept = store.all(there.machine().id());
    for (PlanPlace other : places.findByMachineId(there.machine().id())) {
      List<Integer> theirs =
          Optional.ofNullable(kept.get(UseStore.key(other.toolId, other.place)))
              .map(ToolUse::offsets)
              .orElseGet(() -> List.of(numbers.offset(there.machine(), other)));
      use.offsets().stream()
          .filter(number -> !together(there, other) && theirs.contains(number))
          .findFirst()
          .ifPresent(number ->
              findings.add(
                  Finding.hold(
                      "use-offset-taken",
                      "offset number %d is that of %s in %s"
                          .formatted(
                              number, fit.code(other), there.machine().words(other.place)))));
    }
    if (bound(there.machine())
        && !use.offsets().equals(List.of(numbers.offset(there.machine(), there.planned())))) {
      findings.add(
          Finding.hold(
              "use-offset-bound",
              "the control of %s keeps the offsets of a tool under its number, %d"
                  .formatted(
                      there.machine().name(), numbers.offset(there.machine(), there.planned()))));
    }
    return findings;
  }

  /** True where the control keeps offsets under the numbers by which programs call tools. */
  private static boolean bound(Machine machine) {
    return ControlDialects.find(machine.habits().dialect())
        .map(dialect -> ControlTerms.of(machine, dialect))
        .filter(terms -> terms.declared(TableField.OFFSET).isPresent())
        .filter(terms -> terms.declared(TableField.PROGRAM_NUMBER).isEmpty())
        .isPresent();
  }

  /** True for the same piece, and for sisters, each of which has offsets of its own. */
  private static boolean together(There there, PlanPlace other) {
    return other.place.equals(there.planned().place)
        || there.machine().numbering().sisters() && other.toolId == there.planned().toolId;
  }

  /** What a use would come to. */
  @Transactional(readOnly = true)
  UseView look(String machineId, String place, UseOrder order) {
    There there = there(machines.get(machineId).machine(), place);
    return view(there, order.on(kept(there).orElseGet(() -> usual(there))), false, null);
  }

  /**
   * Has a tool be used so.
   *
   * @param changeJobs true where the lead lets jobs be changed by it
   */
  @Transactional
  UseView choose(String machineId, String place, UseOrder order, boolean changeJobs) {
    There there = there(machines.lock(machineId).machine(), place);
    ToolUse use = order.on(kept(there).orElseGet(() -> usual(there)));
    UseView view = view(there, use, false, null);
    List<Finding> holds = UseHeads.holds(view.reading());
    if (!holds.isEmpty()) {
      throw Refusal.conflict(
          "%s cannot be used so: %s".formatted(there.tool().code(), holds.getFirst().message()),
          holds);
    }
    return view(there, use, false, keep(there, json.text(use), changeJobs));
  }

  /**
   * Has a tool be used as it usually is.
   *
   * @param changeJobs true where the lead lets jobs be changed by it
   */
  @Transactional
  UseView reset(String machineId, String place, boolean changeJobs) {
    There there = there(machines.lock(machineId).machine(), place);
    return view(there, usual(there), true, keep(there, null, changeJobs));
  }

  private long keep(There there, @Nullable String after, boolean changeJobs) {
    PlanPlace planned = there.planned();
    String machine = there.machine().id();
    String before = store.written(machine, planned.toolId, planned.place).orElse(null);
    JobKeeping.JobLoad found = jobs.before(there.machine());
    store.write(machine, planned.toolId, planned.place, after);
    planned.fields = json.text(Statements.forgotten(json.read(planned.fields, TableEntry.class)));
    String although = jobs.refuseChanged(there.machine(), found, changeJobs);
    live.say("machine", machine, "plan");
    return trail.record(
        TrailRecord.of(
                "machine",
                machine,
                "chose how %s is used in %s%s"
                    .formatted(there.tool().code(), there.machine().words(planned.place), although))
            .undoneBy(KIND, new Chosen(machine, planned.place, planned.toolId, before, after)));
  }

  @Override
  public UndoKind<Chosen> kind() {
    return KIND;
  }

  @Override
  public void takeBack(Chosen chosen) {
    Machine machine = machines.lock(chosen.machine()).machine();
    String now = store.written(chosen.machine(), chosen.toolId(), chosen.place()).orElse(null);
    boolean there =
        places
            .findByMachineIdAndPlace(chosen.machine(), chosen.place())
            .filter(planned -> planned.toolId == chosen.toolId())
            .isPresent();
    if (!there || !Objects.equals(now, chosen.after())) {
      throw Refusal.conflict(
          "%s was planned anew since; take that back first"
              .formatted(machine.words(chosen.place())));
    }
    JobKeeping.JobLoad found = jobs.before(machine);
    store.write(chosen.machine(), chosen.toolId(), chosen.place(), chosen.before());
    jobs.refuseTakingBack(machine, found);
    live.say("machine", chosen.machine(), "plan");
  }
}
