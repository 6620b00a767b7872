package arborline.server.machine;

import arborline.core.machine.Machine;
import arborline.server.account.Permission;
import arborline.server.live.Live;
import arborline.server.support.Refusal;
import arborline.server.trail.Trail;
import arborline.server.trail.TrailRecord;
import arborline.server.trail.Undo;
import arborline.server.trail.UndoKind;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps places for their tools, or lets them go. */
@Service
class PlaceKeeping implements Undo<PlaceKeeping.Kept> {

  private static final UndoKind<Kept> KIND =
      new UndoKind<>("plan.kept", 1, Kept.class, Permission.LOAD);

  private final Machines machines;
  private final PlanRepository places;
  private final PlanFit fit;
  private final OwnPlaces own;
  private final Trail trail;
  private final Live live;

  PlaceKeeping(
      Machines machines,
      PlanRepository places,
      PlanFit fit,
      OwnPlaces own,
      Trail trail,
      Live live) {
    this.machines = machines;
    this.places = places;
    this.fit = fit;
    this.own = own;
    this.trail = trail;
    this.live = live;
  }

  /** For which tool a place was kept and is; null for none. */
  record Kept(String machine, String place, @Nullable Long before, @Nullable Long after) {}

  /**
   * Keeps a place for the tool that is planned there, or for none.
   *
   * @return the line of the trail that takes it back
   */
  @Transactional
  long keep(String machineId, String place, boolean kept) {
    Machine machine = machines.lock(machineId).machine();
    if (!machine.hasPlace(place)) {
      throw Refusal.notFound("%s has no place '%s'".formatted(machine.name(), place));
    }
    Long before = own.tool(machineId, place).orElse(null);
    PlanPlace planned = places.findByMachineIdAndPlace(machineId, place).orElse(null);
    if (kept && planned == null) {
      throw Refusal.conflict(
          "nothing is planned for %s: plan the tool first".formatted(machine.words(place)));
    }
    Long after = kept ? planned.toolId : null;
    own.keep(machine, place, after);
    live.say("machine", machineId, "plan");
    String text =
        kept
            ? "kept %s for %s".formatted(machine.words(place), fit.code(planned))
            : "kept %s for no tool any more".formatted(machine.words(place));
    return trail.record(
        TrailRecord.of("machine", machineId, text)
            .undoneBy(KIND, new Kept(machineId, place, before, after)));
  }

  @Override
  public UndoKind<Kept> kind() {
    return KIND;
  }

  @Override
  public void takeBack(Kept kept) {
    Machine machine = machines.lock(kept.machine()).machine();
    if (!Objects.equals(own.tool(kept.machine(), kept.place()).orElse(null), kept.after())) {
      throw Refusal.conflict(
          "%s is kept otherwise since; take that back first"
              .formatted(machine.words(kept.place())));
    }
    own.keep(machine, kept.place(), kept.before());
    live.say("machine", kept.machine(), "plan");
  }
}
