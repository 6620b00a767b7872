package arborline.server.machine;

import arborline.core.finding.Finding;
import arborline.core.loadplan.LoadPlace;
import arborline.core.loadplan.LoadProblem;
import arborline.core.loadplan.LoadTool;
import arborline.core.machine.Fit;
import arborline.core.machine.Loaded;
import arborline.core.machine.Machine;
import arborline.core.machine.Overlap;
import arborline.core.storage.Storage;
import arborline.core.storage.StorageDefinition;
import arborline.core.storage.ToolBody;
import arborline.core.tool.Completed;
import arborline.core.tool.Tool;
import arborline.server.machine.LoadSituation.RefusedTool;
import arborline.server.machine.LoadSort.SortedTool;
import arborline.server.right.ToolGuard;
import arborline.server.stack.Assemblies;
import arborline.server.stack.Assemblies.AssembledTool;
import arborline.server.support.Refusal;
import arborline.server.tool.Tools.Held;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
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
  private final PlanNumbers numbers;
  private final OverlapStore overlaps;

  LoadSituations(
      Machines machines,
      PlanRepository places,
      PickedTools picked,
      Assemblies assemblies,
      PlannableTools plannable,
      ToolGuard seeing,
      OwnPlaces own,
      PlanNumbers numbers,
      OverlapStore overlaps) {
    this.overlaps = overlaps;
    this.numbers = numbers;
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
   * @param wanted tools that have to be in
   * @param keep tools that stay where they are planned
   * @param allow true where the lead lets tools in that are not released
   */
  @Transactional(readOnly = true)
  LoadSituation of(String machineId, Map<Long, Wanted> wanted, Set<Long> keep, boolean allow) {
    Machine machine = machines.get(machineId).machine();
    List<PlanPlace> planned =
        places.findByMachineId(machineId).stream()
            .filter(place -> machine.hasPlace(place.place))
            .toList();
    seeing.needSight(wanted.keySet());
    Map<Long, Long> all = new LinkedHashMap<>();
    planned.forEach(place -> all.put(place.toolId, place.library()));
    wanted.forEach((tool, want) ->
        all.merge(tool, want.libraryId(), (old, named) -> named == 0 ? old : named));
    refuseSisters(machine, wanted);
    Map<Long, Held> known = picked.all(all);
    Set<Long> standing = new HashSet<>();
    planned.forEach(place -> standing.add(place.toolId));
    List<RefusedTool> refused = refused(wanted.keySet(), standing, known, allow);
    LoadPieces pieces = new LoadPieces(known);
    Map<LoadPlace, String> present = new HashMap<>();
    planned.forEach(place -> present.put(placed(machine, place.place), pieces.next(place.toolId)));
    wanted.forEach((tool, want) -> pieces.atLeast(tool, want.number()));
    Map<Long, LoadTool> tools = tools(machine, known, standing);
    Map<String, LoadTool> byName = new LinkedHashMap<>();
    Map<String, Long> libraries = new HashMap<>();
    pieces
        .ids()
        .forEach((name, tool) -> {
          byName.put(name, tools.get(tool));
          libraries.put(name, all.get(tool));
        });
    Set<Long> left = new HashSet<>();
    refused.forEach(tool -> left.add(tool.toolId()));
    List<String> needed = new ArrayList<>();
    wanted.forEach((tool, want) -> {
      if (!left.contains(tool)) {
        needed.addAll(pieces.first(tool, want.number()));
      }
    });
    Set<String> kept = new HashSet<>();
    present.values().stream()
        .filter(name -> keep.contains(pieces.ids().get(name)))
        .forEach(kept::add);
    LoadProblem problem =
        new LoadProblem(
            machine.storages().stream().map(Storage::of).toList(),
            fixed(machine, present, pieces, known),
            byName,
            present,
            needed,
            kept);
    return new LoadSituation(machine, problem, pieces.ids(), libraries, refused, stamp(planned));
  }

  /**
   * The load of a machine with the tools of one storage in another order.
   *
   * @param storage its id
   */
  @Transactional(readOnly = true)
  LoadSituation sorted(String machineId, String storage, LoadSort by) {
    LoadSituation now = of(machineId, Map.of(), Set.of(), false);
    Machine machine = now.machine();
    int at = machine.storages().stream().map(StorageDefinition::id).toList().indexOf(storage);
    if (at < 0) {
      throw Refusal.badRequest("%s has no storage '%s'".formatted(machine.name(), storage));
    }
    Map<String, PlanPlace> planned = new HashMap<>();
    places.findByMachineId(machineId).forEach(place -> planned.put(place.place, place));
    Map<Long, Held> known = picked.of(planned.values());
    List<SortedTool> tools = new ArrayList<>();
    now.problem()
        .present()
        .forEach((place, name) -> {
          if (place.storage() == at) {
            PlanPlace there = planned.get(now.place(place));
            tools.add(
                new SortedTool(
                    name,
                    numbers.number(there),
                    known.get(there.toolId).tool().toolClass(),
                    cutting(known.get(there.toolId).tool())));
          }
        });
    return now.with(by.of(now.problem(), at, tools));
  }

  /** Diameter that a tool cuts, mm; 0 for one that cuts none. */
  private static BigDecimal cutting(Tool tool) {
    Tool complete = Completed.of(tool).tool();
    return Stream.of("DC", "DCX", "TD")
        .map(complete::size)
        .filter(Objects::nonNull)
        .findFirst()
        .orElse(BigDecimal.ZERO);
  }

  /**
   * How many of a tool have to be in.
   *
   * @param libraryId from which it is picked; 0 for any
   */
  record Wanted(long libraryId, int number) {}

  private static void refuseSisters(Machine machine, Map<Long, Wanted> wanted) {
    if (!machine.numbering().sisters()
        && wanted.values().stream().anyMatch(want -> want.number() > 1)) {
      throw Refusal.conflict(
          "%s has no sister tools: one of each can be in".formatted(machine.name()));
    }
  }

  /** Places that are kept for one tool each; for one that nobody knows here, for nobody. */
  private Map<LoadPlace, String> fixed(
      Machine machine, Map<LoadPlace, String> present, LoadPieces pieces, Map<Long, Held> known) {
    Map<LoadPlace, String> fixed = new HashMap<>();
    own.of(machine.id())
        .forEach((place, tool) -> {
          if (machine.hasPlace(place)) {
            LoadPlace there = placed(machine, place);
            String standing = present.get(there);
            boolean in = standing != null && tool.equals(pieces.ids().get(standing));
            String code = known.containsKey(tool) ? known.get(tool).tool().code() : "tool " + tool;
            fixed.put(there, in ? standing : code);
          }
        });
    return fixed;
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
      Set<Long> wanted, Set<Long> standing, Map<Long, Held> known, boolean allow) {
    List<RefusedTool> refused = new ArrayList<>();
    for (long tool : wanted) {
      if (!standing.contains(tool)) {
        String code = known.get(tool).tool().code();
        plannable
            .obstacle(tool, allow)
            .ifPresent(why -> refused.add(new RefusedTool(tool, code, why)));
      }
    }
    return refused;
  }

  /**
   * Tools as the storages meet them.
   *
   * @param standing tools that are in: what is wrong with their stacks does not take them out
   */
  private Map<Long, LoadTool> tools(Machine machine, Map<Long, Held> known, Set<Long> standing) {
    Map<Long, Tool> meant = PickedTools.tools(known);
    Map<Long, Overlap> stated = overlaps.of(machine.id());
    Map<Long, Map<Integer, ToolBody>> bodies = new HashMap<>();
    Map<Long, Map<LoadPlace, String>> closed = new HashMap<>();
    for (int number = 0; number < machine.storages().size(); number++) {
      StorageDefinition storage = machine.storages().get(number);
      Map<Long, AssembledTool> assembled = assemblies.of(meant, machine.seat(storage));
      for (Map.Entry<Long, Tool> tool : meant.entrySet()) {
        Loaded loaded =
            Assemblies.loaded(tool.getValue(), assembled.get(tool.getKey()))
                .covering(Optional.ofNullable(stated.get(tool.getKey())));
        bodies
            .computeIfAbsent(tool.getKey(), id -> new HashMap<>())
            .put(number, loaded.body(storage.form()));
        Map<LoadPlace, String> here = closed.computeIfAbsent(tool.getKey(), id -> new HashMap<>());
        for (int index = 0; index < storage.places(); index++) {
          LoadPlace place = new LoadPlace(number, index);
          why(machine, storage.place(index), loaded, standing.contains(tool.getKey()))
              .ifPresent(why -> here.put(place, why));
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

  private static Optional<String> why(
      Machine machine, String place, Loaded tool, boolean standing) {
    return Fit.check(machine, place, tool, Map.of()).stream()
        .filter(finding ->
            UNSUITED.contains(finding.code())
                || !standing && finding.code().equals(Fit.PART_RETIRED))
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
