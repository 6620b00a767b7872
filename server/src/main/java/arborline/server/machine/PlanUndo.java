package arborline.server.machine;

import arborline.core.machine.Machine;
import arborline.server.account.Permission;
import arborline.server.live.Live;
import arborline.server.support.Refusal;
import arborline.server.trail.Undo;
import arborline.server.trail.UndoKind;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Component;

/** Puts places of a load plan back to what they were. */
@Component
class PlanUndo implements Undo<Plans.Before> {

  static final UndoKind<Plans.Before> KIND =
      new UndoKind<>("plan.changed", 1, Plans.Before.class, Permission.LOAD);

  private final Machines machines;
  private final PlanRepository places;
  private final PlanFit fit;
  private final PickedTools picked;
  private final JobKeeping jobs;
  private final Live live;

  PlanUndo(
      Machines machines,
      PlanRepository places,
      PlanFit fit,
      PickedTools picked,
      JobKeeping jobs,
      Live live) {
    this.machines = machines;
    this.places = places;
    this.fit = fit;
    this.picked = picked;
    this.jobs = jobs;
    this.live = live;
  }

  @Override
  public UndoKind<Plans.Before> kind() {
    return KIND;
  }

  @Override
  public void takeBack(Plans.Before before) {
    Machine machine = machines.lock(before.machineId()).machine();
    before.places().forEach(place -> refuseChanged(machine, place));
    JobKeeping.JobLoad found = jobs.before(machine);
    for (Plans.PlaceBefore place : before.places()) {
      places.findByMachineIdAndPlace(machine.id(), place.place()).ifPresent(places::delete);
    }
    places.flush();
    for (Plans.PlaceBefore place : before.places()) {
      if (place.fields() != null) {
        bringBack(machine, place);
      }
    }
    jobs.refuseTakingBack(machine, found);
    live.say("machine", machine.id(), "plan");
  }

  /** Refuses where somebody has planned something else since. */
  private void refuseChanged(Machine machine, Plans.PlaceBefore place) {
    Optional<PlanPlace> now = places.findByMachineIdAndPlace(machine.id(), place.place());
    long tool = now.map(planned -> planned.toolId).orElse(0L);
    boolean unchanged =
        place.toolAfter() == null
            || tool == place.toolAfter()
                && Objects.equals(
                    now.map(planned -> planned.fields).orElse(null), place.fieldsAfter());
    if (!unchanged) {
      throw Refusal.conflict(
          "%s was planned anew since; take that back first"
              .formatted(machine.words(place.place())));
    }
  }

  private void bringBack(Machine machine, Plans.PlaceBefore place) {
    List<PlanPlace> standing = fit.standing(machine, place.toolId());
    if (!standing.isEmpty() && !machine.numbering().sisters()) {
      throw Refusal.conflict("the tool is in %s now".formatted(PlanFit.words(machine, standing)));
    }
    long library = place.library() == null ? 0 : place.library();
    fit.refuseMisfit(machine, place.place(), picked.one(place.toolId(), library), Set.of(), false);
    places.save(
        new PlanPlace(machine.id(), place.place(), place.toolId(), library, place.fields()));
    places.flush();
  }
}
