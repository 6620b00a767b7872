package arborline.server.machine;

import arborline.core.connection.Connection;
import arborline.core.finding.Finding;
import arborline.core.machine.Machine;
import arborline.core.table.Nominal;
import arborline.core.table.TableField;
import arborline.core.tool.Silhouettes;
import arborline.core.tool.outline.Outline;
import arborline.server.account.MayEdit;
import arborline.server.account.MayLoad;
import arborline.server.support.Slice;
import arborline.server.tool.Holdings.UsedIn;
import arborline.server.tool.Tools;
import java.math.BigDecimal;
import java.util.ArrayList;
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
  private final Nominals nominals;
  private final MachineLibraries libraries;

  MachineController(Machines machines, Plans plans, Nominals nominals, MachineLibraries libraries) {
    this.libraries = libraries;
    this.machines = machines;
    this.plans = plans;
    this.nominals = nominals;
  }

  record MachineHead(
      String id,
      String name,
      String kind,
      String seat,
      String seatName,
      int pockets,
      int planned) {}

  /**
   * A planned place.
   *
   * @param length measured length in mm; null while not measured
   * @param diameter measured diameter in mm; null while not measured
   * @param nominalLength gauge length of the kept stack in mm; null where none is kept
   * @param nominalDiameter diameter of the sheet in mm; null where it states none
   * @param questions what is odd about the measures, in sentences
   */
  record PlaceView(
      String place,
      long toolId,
      String code,
      String name,
      String number,
      @Nullable String length,
      @Nullable String diameter,
      @Nullable String nominalLength,
      @Nullable String nominalDiameter,
      List<String> questions,
      @Nullable Long libraryId,
      @Nullable String library,
      int versionNo,
      int newestNo,
      @Nullable Outline outline) {}

  /**
   * A machine with its load plan.
   *
   * @param seatName what people call its spindle
   * @param library from which tools for it are picked first; null where none was chosen
   */
  record MachineView(
      Machine machine,
      String seatName,
      List<PlaceView> plan,
      MachineLibraries.@Nullable MachineLibrary library) {}

  /**
   * What to put into a place.
   *
   * @param allow true where the lead lets a tool in that is not released
   */
  record PutOrder(
      long toolId,
      @Nullable Long libraryId,
      @Nullable String length,
      @Nullable String diameter,
      @Nullable Boolean allow) {}

  /**
   * What was done.
   *
   * @param questions what is odd about the measures, in sentences
   */
  record PlanDone(long undo, List<String> questions) {}

  @GetMapping
  Slice<MachineHead> all() {
    return Slice.all(
        machines.all().stream()
            .map(Machines.Linked::machine)
            .map(machine ->
                new MachineHead(
                    machine.id(),
                    machine.name(),
                    machine.kind(),
                    machine.seat(),
                    Connection.tradeName(machine.seat()),
                    machine.magazine().pockets(),
                    plans.plan(machine.id()).size()))
            .toList());
  }

  @GetMapping("/{id}")
  MachineView one(@PathVariable String id) {
    Machine machine = machines.get(id).machine();
    Map<String, Plans.Planned> plan = plans.plan(id);
    Map<Long, Tools.Held> known = plans.tools(plan.values());
    Map<String, Nominal> nominal = nominals.of(machine, PickedTools.tools(known));
    return new MachineView(
        machine,
        Connection.tradeName(machine.seat()),
        plan.values().stream()
            .map(planned ->
                place(
                    planned,
                    known.get(planned.toolId()),
                    nominal.getOrDefault(planned.entry().key(), Nominal.UNKNOWN)))
            .toList(),
        libraries.of(id).orElse(null));
  }

  /**
   * Which library tools for a machine are picked from first.
   *
   * @param library null for none
   * @param edition as which it stands there; null for none in particular
   */
  record LibraryChoice(@Nullable Long library, @Nullable Long edition) {}

  @PutMapping("/{id}/library")
  @MayEdit
  PlanDone choose(@PathVariable String id, @RequestBody LibraryChoice choice) {
    return new PlanDone(libraries.choose(id, choice.library(), choice.edition()), List.of());
  }

  private static PlaceView place(Plans.Planned planned, Tools.Held known, Nominal nominal) {
    List<String> questions = new ArrayList<>(PickedTools.questions(known, planned.libraryId()));
    questions.addAll(Plans.questions(nominal, planned.entry()));
    return new PlaceView(
        planned.place(),
        planned.toolId(),
        planned.entry().get(TableField.TOOL),
        known.tool().name(),
        planned.entry().get(TableField.NUMBER),
        planned.entry().get(TableField.LENGTH),
        planned.entry().get(TableField.DIAMETER),
        size(nominal, TableField.LENGTH),
        size(nominal, TableField.DIAMETER),
        questions,
        known.from().map(UsedIn::libraryId).orElse(null),
        known.from().map(UsedIn::library).orElse(null),
        known.versionNo(),
        known.newestNo(),
        Silhouettes.of(known.tool()).orElse(null));
  }

  private static @Nullable String size(Nominal nominal, TableField field) {
    BigDecimal size = nominal.sizes().get(field);
    return size == null ? null : size.toPlainString();
  }

  /** Why a tool cannot go into which places. */
  @GetMapping("/{id}/plan/refusals")
  Map<String, List<Finding>> refusals(
      @PathVariable String id,
      @RequestParam long toolId,
      @RequestParam(required = false) @Nullable Long libraryId) {
    return plans.refusals(id, toolId, libraryId);
  }

  @PutMapping("/{id}/plan/{place}")
  @MayLoad
  PlanDone put(@PathVariable String id, @PathVariable String place, @RequestBody PutOrder order) {
    Plans.Put put =
        plans.put(
            id,
            place,
            order.toolId(),
            order.libraryId(),
            order.length(),
            order.diameter(),
            Boolean.TRUE.equals(order.allow()));
    return new PlanDone(put.undo(), put.questions());
  }

  @DeleteMapping("/{id}/plan/{place}")
  @MayLoad
  PlanDone clear(@PathVariable String id, @PathVariable String place) {
    return new PlanDone(plans.clear(id, place), List.of());
  }
}
