package arborline.server.machine;

import arborline.core.machine.Machine;
import arborline.core.table.TableEntry;
import arborline.core.table.TableField;
import arborline.server.live.Live;
import arborline.server.support.Json;
import arborline.server.support.Refusal;
import arborline.server.tool.CurrentTool;
import arborline.server.tool.ToolReference;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** Pockets of load plans go with their tool, once its stacks and entries did. */
@Component
@Order(1)
class PlanReference implements ToolReference {

  private final PlanRepository places;
  private final Machines machines;
  private final PlanFit fit;
  private final Live live;
  private final Json json;
  private final OwnPlaces own;
  private final OverlapStore overlaps;

  PlanReference(
      PlanRepository places,
      Machines machines,
      PlanFit fit,
      Live live,
      Json json,
      OwnPlaces own,
      OverlapStore overlaps) {
    this.own = own;
    this.overlaps = overlaps;
    this.places = places;
    this.machines = machines;
    this.fit = fit;
    this.live = live;
    this.json = json;
  }

  /** A pocket before and after. */
  record Pocket(String machineId, String place, String before, String after) {}

  record Moved(List<Pocket> pockets) {}

  @Override
  public String name() {
    return "plan";
  }

  @Override
  public Followed follow(CurrentTool from, CurrentTool into) {
    own.follow(from.id(), into.id());
    overlaps.follow(from.id(), into.id());
    List<Pocket> moved = new ArrayList<>();
    List<String> sentences = new ArrayList<>();
    for (PlanPlace planned : places.findByToolIdOrderByMachineId(from.id())) {
      Machine machine = machines.lockAny(planned.machineId).machine();
      List<PlanPlace> standing = fit.standing(machine, into.id());
      if (!standing.isEmpty() && !machine.numbering().sisters()) {
        throw Refusal.conflict(
            ("%s is planned for %s of %s and %s for %s: two tools in one machine"
                    + " are two; take one out of the plan, or keep them apart")
                .formatted(
                    from.code(),
                    machine.words(planned.place),
                    machine.name(),
                    into.code(),
                    PlanFit.words(machine, standing)));
      }
      String before = planned.fields;
      planned.toolId = into.id();
      planned.fields =
          json.text(
              json.read(before, TableEntry.class)
                  .with(TableField.TOOL, into.code())
                  .with(TableField.NAME, machine.habits().fit(into.tool().name())));
      places.save(planned);
      places.flush();
      fit.refuseMisfit(machine, planned, false);
      moved.add(new Pocket(machine.id(), planned.place, before, planned.fields));
      sentences.add(
          "%s of %s is planned with %s; the control calls it %s until the plan is sent"
              .formatted(machine.words(planned.place), machine.name(), into.code(), from.code()));
      live.say("machine", machine.id(), "plan");
    }
    return moved.isEmpty()
        ? Followed.NOTHING
        : new Followed(json.text(new Moved(moved)), sentences);
  }

  @Override
  public void goBack(CurrentTool from, CurrentTool into, String kept) {
    for (Pocket pocket : json.read(kept, Moved.class).pockets()) {
      Machine machine = machines.lockAny(pocket.machineId()).machine();
      Optional<PlanPlace> now =
          places
              .findByMachineIdAndPlace(pocket.machineId(), pocket.place())
              .filter(planned -> planned.toolId == into.id())
              .filter(planned -> Objects.equals(planned.fields, pocket.after()));
      if (now.isEmpty()) {
        throw Refusal.conflict(
            "%s of %s was planned anew since; take that back first"
                .formatted(machine.words(pocket.place()), machine.name()));
      }
      now.get().toolId = from.id();
      now.get().fields = pocket.before();
      places.save(now.get());
      live.say("machine", machine.id(), "plan");
    }
  }
}
