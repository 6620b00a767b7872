package arborline.server.machine;

import arborline.core.finding.Finding;
import arborline.core.machine.Machine;
import arborline.core.table.TableField;
import arborline.core.tool.Silhouettes;
import arborline.core.tool.outline.Outline;
import arborline.server.account.MayLoad;
import arborline.server.library.Tools;
import arborline.server.support.Slice;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/v1/machines")
class MachineController {

  private final Machines machines;
  private final Plans plans;
  private final Tools tools;

  MachineController(Machines machines, Plans plans, Tools tools) {
    this.machines = machines;
    this.plans = plans;
    this.tools = tools;
  }

  record MachineHead(String id, String name, String kind, String seat, int pockets, int planned) {}

  /**
   * A planned place.
   *
   * @param length measured length in mm; null while not measured
   * @param diameter measured diameter in mm; null while not measured
   */
  record PlaceView(
      String place,
      long toolId,
      String code,
      String name,
      String number,
      @Nullable String length,
      @Nullable String diameter,
      @Nullable Outline outline) {}

  record MachineView(Machine machine, List<PlaceView> plan) {}

  /** What to put into a place. */
  record PutOrder(long toolId, @Nullable String length, @Nullable String diameter) {}

  record PlanDone(long undo) {}

  @GetMapping
  Slice<MachineHead> all() {
    return Slice.all(
        machines.all().stream()
            .map(Machines.Linked::machine)
            .map(each ->
                new MachineHead(
                    each.id(),
                    each.name(),
                    each.kind(),
                    each.seat(),
                    each.magazine().pockets(),
                    plans.plan(each.id()).size()))
            .toList());
  }

  @GetMapping("/{id}")
  MachineView one(@PathVariable String id) {
    Machine machine = machines.get(id).machine();
    Map<String, Plans.Planned> plan = plans.plan(id);
    Map<Long, Tools.Known> known =
        tools.load(plan.values().stream().map(Plans.Planned::toolId).toList());
    return new MachineView(
        machine,
        plan.values().stream().map(each -> place(each, known.get(each.toolId()))).toList());
  }

  private static PlaceView place(Plans.Planned planned, Tools.Known known) {
    return new PlaceView(
        planned.place(),
        planned.toolId(),
        planned.entry().get(TableField.TOOL),
        known.tool().name(),
        planned.entry().get(TableField.NUMBER),
        planned.entry().get(TableField.LENGTH),
        planned.entry().get(TableField.DIAMETER),
        Silhouettes.of(known.tool()).orElse(null));
  }

  /** Why a tool cannot go into which places. */
  @GetMapping("/{id}/plan/refusals")
  Map<String, List<Finding>> refusals(@PathVariable String id, @RequestParam long toolId) {
    return plans.refusals(id, toolId);
  }

  @PutMapping("/{id}/plan/{place}")
  @MayLoad
  PlanDone put(@PathVariable String id, @PathVariable String place, @RequestBody PutOrder order) {
    return new PlanDone(plans.put(id, place, order.toolId(), order.length(), order.diameter()));
  }

  @DeleteMapping("/{id}/plan/{place}")
  @MayLoad
  PlanDone clear(@PathVariable String id, @PathVariable String place) {
    return new PlanDone(plans.clear(id, place));
  }
}
