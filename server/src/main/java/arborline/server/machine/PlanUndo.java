package arborline.server.machine;

import arborline.server.account.Permission;
import arborline.server.live.Live;
import arborline.server.support.Json;
import arborline.server.support.Refusal;
import arborline.server.trail.Undo;
import java.util.List;
import org.springframework.stereotype.Component;

/** Puts places of a load plan back to what they were. */
@Component
class PlanUndo implements Undo {

  static final String KIND = "plan.changed";

  private final Machines machines;
  private final PlanRepository places;
  private final Json json;
  private final Live live;

  PlanUndo(Machines machines, PlanRepository places, Json json, Live live) {
    this.machines = machines;
    this.places = places;
    this.json = json;
    this.live = live;
  }

  @Override
  public String kind() {
    return KIND;
  }

  @Override
  public Permission needs() {
    return Permission.LOAD;
  }

  @Override
  public void undo(String data) {
    Plans.Before before = json.read(data, Plans.Before.class);
    machines.lock(before.machineId());
    List<String> touched = before.places().stream().map(Plans.PlaceBefore::place).toList();
    for (Plans.PlaceBefore each : before.places()) {
      if (each.fields() != null) {
        places
            .findByMachineIdAndToolId(before.machineId(), each.toolId())
            .filter(now -> !touched.contains(now.place))
            .ifPresent(now -> {
              throw Refusal.conflict("the tool is in pocket %s now".formatted(now.place));
            });
      }
      places.findByMachineIdAndPlace(before.machineId(), each.place()).ifPresent(places::delete);
    }
    places.flush();
    for (Plans.PlaceBefore each : before.places()) {
      if (each.fields() != null) {
        places.save(new PlanPlace(before.machineId(), each.place(), each.toolId(), each.fields()));
      }
    }
    live.say("machine", before.machineId(), "plan");
  }
}
