package arborline.server.machine;

import arborline.core.finding.Finding;
import arborline.core.loadplan.LoadPlace;
import arborline.core.loadplan.LoadProblem;
import arborline.core.loadplan.LoadTool;
import arborline.core.machine.Fit;
import arborline.core.machine.Loaded;
import arborline.core.machine.Machine;
import arborline.core.storage.Storage;
import arborline.core.storage.StorageDefinition;
import arborline.core.storage.ToolBody;
import arborline.core.tool.Tool;
import arborline.server.machine.LoadSituation.RefusedTool;
import arborline.server.right.ToolGuard;
import arborline.server.stack.Assemblies;
import arborline.server.stack.Assemblies.AssembledTool;
import arborline.server.support.Refusal;
import arborline.server.tool.Tools.Held;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Puts together what has to be known before a load is planned. */
@Component
class LoadSituations {

  /** What keeps a tool out of a place whatever its sizes are. */
  private static final Set<String> UNSUITED = Set.of("place-unsuited", "seat-differs");

  private final Machines machines;
  private final PlanRepository places;
  private final PickedTools picked;
  private final Assemblies assemblies;
  private final PlannableTools plannable;
  private final ToolGuard seeing;
  private final OwnPlaces own;

  LoadSituations(
      Machines machines,
      PlanRepository places,
      PickedTools picked,
      Assemblies assemblies,
      PlannableTools plannable,
      ToolGuard seeing,
      OwnPlaces own) {
    this.own = own;
    this.machines = machines;
    this.places = places;
    this.picked = picked;
    this.assemblies = assemblies;
    this.plannable = plannable;
    this.seeing = seeing;
  }

  /**
   * The load of a machine.
   *
   * @param wanted tools that have to be in, and the library of each; 0 for any
   * @param keep tools that stay where they are planned
   */
  @Transactional(readOnly = true)
  LoadSituation of(String machineId, Map<Long, Long> wanted, Set<Long> keep) {
    Machine machine = machines.get(machineId).machine();
    List<PlanPlace> planned =
        places.findByMachineId(machineId).stream()
            .filter(place -> machine.hasPlace(place.place))
            .toList();
    seeing.needSight(wanted.keySet());
    Map<Long, Long> all = new LinkedHashMap<>();
    planned.forEach(place -> all.put(place.toolId, place.library()));
    wanted.forEach(
        (tool, library) -> all.merge(tool, library, (old, named) -> named == 0 ? old : named));
    Map<Long, Held> known = picked.all(all);
    List<RefusedTool> refused = refused(wanted.keySet(), planned, known);
    Map<Long, LoadTool> tools = tools(machine, known);
    Map<String, LoadTool> byCode = new LinkedHashMap<>();
    Map<String, Long> ids = new HashMap<>();
    Map<String, Long> libraries = new HashMap<>();
    tools.forEach((id, tool) -> {
      String code = known.get(id).tool().code();
      byCode.put(code, tool);
      ids.put(code, id);
      libraries.put(code, all.get(id));
    });
    Map<LoadPlace, String> present = new HashMap<>();
    planned.forEach(
        place -> present.put(placed(machine, place.place), known.get(place.toolId).tool().code()));
    Set<String> refusedCodes = new HashSet<>();
    refused.forEach(tool -> refusedCodes.add(tool.code()));
    LoadProblem problem =
        new LoadProblem(
            machine.storages().stream().map(Storage::of).toList(),
            fixed(machine, known),
            byCode,
            present,
            wanted.keySet().stream()
                .map(id -> known.get(id).tool().code())
                .filter(code -> !refusedCodes.contains(code))
                .toList(),
            kept(keep, planned, known));
    return new LoadSituation(machine, problem, ids, libraries, refused, stamp(planned));
  }

  /** Places that are kept for one tool each; for one that nobody knows here, for nobody. */
  private Map<LoadPlace, String> fixed(Machine machine, Map<Long, Held> known) {
    Map<LoadPlace, String> fixed = new HashMap<>();
    own.of(machine.id())
        .forEach((place, tool) -> {
          if (machine.hasPlace(place)) {
            fixed.put(
                placed(machine, place),
                known.containsKey(tool) ? known.get(tool).tool().code() : "tool " + tool);
          }
        });
    return fixed;
  }

  private static Set<String> kept(Set<Long> keep, List<PlanPlace> planned, Map<Long, Held> known) {
    Set<String> kept = new HashSet<>();
    for (PlanPlace place : planned) {
      if (keep.contains(place.toolId)) {
        kept.add(known.get(place.toolId).tool().code());
      }
    }
    return kept;
  }

  /** What a plan was like, so that a change of it is noticed. */
  static String stamp(List<PlanPlace> planned) {
    return Integer.toHexString(
        planned.stream()
            .map(place -> place.place + "=" + place.toolId)
            .sorted()
            .toList()
            .hashCode());
  }

  private static LoadPlace placed(Machine machine, String place) {
    Machine.Placed placed = machine.placed(place).orElseThrow();
    return new LoadPlace(machine.storages().indexOf(placed.storage()), placed.index());
  }

  private List<RefusedTool> refused(
      Set<Long> wanted, List<PlanPlace> planned, Map<Long, Held> known) {
    Set<Long> standing = new HashSet<>();
    planned.forEach(place -> standing.add(place.toolId));
    List<RefusedTool> refused = new ArrayList<>();
    for (long tool : wanted) {
      if (!standing.contains(tool)) {
        String code = known.get(tool).tool().code();
        plannable.obstacle(tool).ifPresent(why -> refused.add(new RefusedTool(code, why)));
      }
    }
    return refused;
  }

  private Map<Long, LoadTool> tools(Machine machine, Map<Long, Held> known) {
    Map<Long, Tool> meant = PickedTools.tools(known);
    Map<Long, Map<Integer, ToolBody>> bodies = new HashMap<>();
    Map<Long, Map<LoadPlace, String>> closed = new HashMap<>();
    for (int number = 0; number < machine.storages().size(); number++) {
      StorageDefinition storage = machine.storages().get(number);
      Map<Long, AssembledTool> assembled = assemblies.of(meant, machine.seat(storage));
      for (Map.Entry<Long, Tool> tool : meant.entrySet()) {
        Loaded loaded =
            new Loaded(
                tool.getValue(),
                Optional.ofNullable(assembled.get(tool.getKey())).map(AssembledTool::assembly));
        bodies.computeIfAbsent(tool.getKey(), id -> new HashMap<>()).put(number, loaded.body());
        Map<LoadPlace, String> here = closed.computeIfAbsent(tool.getKey(), id -> new HashMap<>());
        for (int index = 0; index < storage.places(); index++) {
          LoadPlace place = new LoadPlace(number, index);
          why(machine, storage.place(index), loaded).ifPresent(why -> here.put(place, why));
        }
      }
    }
    Map<Long, LoadTool> tools = new LinkedHashMap<>();
    meant.keySet().stream()
        .sorted()
        .forEach(id ->
            tools.put(
                id,
                new LoadTool(
                    bodies.get(id).get(0),
                    bodies.get(id),
                    closed.get(id),
                    Optional.empty(),
                    Optional.empty())));
    return tools;
  }

  private static Optional<String> why(Machine machine, String place, Loaded tool) {
    return Fit.check(machine, place, tool, Map.of()).stream()
        .filter(finding -> UNSUITED.contains(finding.code()))
        .map(Finding::message)
        .findFirst();
  }

  /** Refuses a plan that is not the one from which somebody started. */
  static void needStamp(List<PlanPlace> planned, String stamp) {
    if (!stamp(planned).equals(stamp)) {
      throw Refusal.conflict("the load was changed meanwhile; plan it again from how it is now");
    }
  }
}
