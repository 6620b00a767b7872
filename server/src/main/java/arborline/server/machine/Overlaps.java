package arborline.server.machine;

import arborline.core.machine.Machine;
import arborline.core.machine.Overlap;
import arborline.server.account.Permission;
import arborline.server.live.Live;
import arborline.server.support.Refusal;
import arborline.server.trail.Trail;
import arborline.server.trail.TrailRecord;
import arborline.server.trail.Undo;
import arborline.server.trail.UndoKind;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Places that planned tools are stated to cover beside their own. */
@Service
class Overlaps implements Undo<Overlaps.Stated> {

  private static final UndoKind<Stated> KIND =
      new UndoKind<>("plan.overlap", 1, Stated.class, Permission.LOAD);

  private final Machines machines;
  private final PlanFit fit;
  private final OverlapStore store;
  private final Trail trail;
  private final Live live;

  Overlaps(Machines machines, PlanFit fit, OverlapStore store, Trail trail, Live live) {
    this.machines = machines;
    this.fit = fit;
    this.store = store;
    this.trail = trail;
    this.live = live;
  }

  /** What a tool covered before and then; null for what its diameter says. */
  record Stated(String machine, long toolId, @Nullable Overlap before, @Nullable Overlap after) {}

  /**
   * States what a planned tool covers.
   *
   * @param overlap null for what its diameter says
   * @return the line of the trail that takes it back
   * @throws Refusal where it would not fit into its place any more
   */
  @Transactional
  long state(String machineId, long toolId, @Nullable Overlap overlap) {
    Machine machine = machines.lock(machineId).machine();
    if (overlap != null && !overlap.possible()) {
      throw Refusal.badRequest("a tool covers 0 to %d places on a side".formatted(Overlap.MOST));
    }
    List<PlanPlace> standing = fit.standing(machine, toolId);
    if (standing.isEmpty()) {
      throw Refusal.conflict("the tool is not planned for %s".formatted(machine.name()));
    }
    Overlap before = store.of(machineId).get(toolId);
    write(machine, toolId, overlap);
    return trail.record(
        TrailRecord.of(
                "machine",
                machineId,
                overlap == null
                    ? "%s covers what its diameter says".formatted(fit.code(standing.getFirst()))
                    : "stated that %s covers %d places above it and %d below"
                        .formatted(fit.code(standing.getFirst()), overlap.plus(), overlap.minus()))
            .undoneBy(KIND, new Stated(machineId, toolId, before, overlap)));
  }

  private void write(Machine machine, long toolId, @Nullable Overlap overlap) {
    store.write(machine.id(), toolId, Optional.ofNullable(overlap));
    fit.standing(machine, toolId).forEach(place -> fit.refuseMisfit(machine, place, false));
    live.say("machine", machine.id(), "plan");
  }

  @Override
  public UndoKind<Stated> kind() {
    return KIND;
  }

  @Override
  public void takeBack(Stated stated) {
    Machine machine = machines.lock(stated.machine()).machine();
    if (!Objects.equals(store.of(stated.machine()).get(stated.toolId()), stated.after())) {
      throw Refusal.conflict("something else was stated since; take that back first");
    }
    write(machine, stated.toolId(), stated.before());
  }
}
