package arborline.server.machine;

import arborline.core.finding.Finding;
import arborline.core.finding.Severity;
import arborline.core.machine.Fit;
import arborline.core.machine.Loaded;
import arborline.core.machine.Machine;
import arborline.core.machine.Overlap;
import arborline.core.storage.StorageDefinition;
import arborline.core.table.PlaceOrder;
import arborline.core.table.TableEntry;
import arborline.core.table.TableField;
import arborline.core.tool.Tool;
import arborline.server.machine.MachineDefining.FallsOut;
import arborline.server.machine.Plans.Planned;
import arborline.server.right.ToolGuard;
import arborline.server.stack.Assemblies;
import arborline.server.stack.Assemblies.AssembledTool;
import arborline.server.support.Json;
import arborline.server.support.Refusal;
import arborline.server.tool.Tools.Held;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Whether tools fit into places of a machine as its plan is now. */
@Component
class PlanFit {

  private final Machines machines;
  private final PlanRepository places;
  private final PickedTools picked;
  private final Assemblies assemblies;
  private final OwnPlaces own;
  private final OverlapStore overlaps;
  private final ToolGuard seeing;
  private final Json json;

  PlanFit(
      Machines machines,
      PlanRepository places,
      PickedTools picked,
      Assemblies assemblies,
      OwnPlaces own,
      OverlapStore overlaps,
      ToolGuard seeing,
      Json json) {
    this.machines = machines;
    this.places = places;
    this.picked = picked;
    this.assemblies = assemblies;
    this.own = own;
    this.overlaps = overlaps;
    this.seeing = seeing;
    this.json = json;
  }

  /**
   * The place that a tool leaves when it is put somewhere.
   *
   * @param from as somebody said it; null where nobody did
   * @return empty where it is not planned
   * @throws Refusal where it does not stand in that place, or in several
   */
  Optional<PlanPlace> left(Machine machine, long toolId, @Nullable String from) {
    List<PlanPlace> standing = standing(machine, toolId);
    if (from != null) {
      return Optional.of(
          standing.stream()
              .filter(place -> place.place.equals(from))
              .findFirst()
              .orElseThrow(() ->
                  Refusal.conflict(
                      "the tool is not planned for %s any more".formatted(machine.words(from)))));
    }
    if (standing.size() > 1) {
      throw Refusal.conflict(
          "%s is planned for %s: say with 'from' which of them is meant"
              .formatted(code(standing.getFirst()), words(machine, standing)));
    }
    return standing.stream().findFirst();
  }

  /** Where a tool is planned, in the order of places. */
  List<PlanPlace> standing(Machine machine, long toolId) {
    return places.findByMachineIdAndToolId(machine.id(), toolId).stream()
        .sorted(Comparator.comparing(place -> place.place, PlaceOrder.BY_NUMBER))
        .toList();
  }

  static String words(Machine machine, List<PlanPlace> standing) {
    return String.join(
        " and ", standing.stream().map(place -> machine.words(place.place)).toList());
  }

  /** The code of a planned tool. */
  String code(PlanPlace place) {
    return Optional.ofNullable(entry(place).get(TableField.TOOL)).orElse("a tool");
  }

  private TableEntry entry(PlanPlace place) {
    return json.read(place.fields, TableEntry.class);
  }

  /**
   * Why the tool cannot go where, for every place that refuses it.
   *
   * @param libraryId from which it is picked; null as it is planned, else from any
   * @param from the place that it would leave; null where that is clear, or it is another one
   * @param another true where one more of it is to go in
   */
  @Transactional(readOnly = true)
  public Map<String, List<Finding>> refusals(
      String machineId,
      long toolId,
      @Nullable Long libraryId,
      @Nullable String from,
      boolean another) {
    Machine machine = machines.get(machineId).machine();
    List<PlanPlace> standing = standing(machine, toolId);
    if (standing.isEmpty()) {
      seeing.needSight(List.of(toolId));
    }
    Optional<PlanPlace> old = another ? Optional.empty() : left(machine, toolId, from);
    Held meant = picked.one(toolId, library(standing, libraryId));
    Set<String> leaving = old.map(place -> Set.of(place.place)).orElse(Set.of());
    Map<String, Loaded> occupied = occupied(machine, leaving);
    Map<String, Long> kept = own.of(machineId);
    Map<String, List<Finding>> refusals = new HashMap<>();
    for (StorageDefinition storage : machine.storages()) {
      Loaded tool = loaded(machine, storage, meant);
      for (String place : storage.all()) {
        List<Finding> holds = new ArrayList<>(holds(machine, place, tool, occupied, old.isEmpty()));
        OwnPlaces.obstacle(machine, kept, place, toolId).ifPresent(holds::addFirst);
        if (!holds.isEmpty()) {
          refusals.put(place, holds);
        }
      }
    }
    return refusals;
  }

  /** The library by which a tool goes: the one that is named, else as it is planned, else any. */
  static long library(List<PlanPlace> standing, @Nullable Long named) {
    return named == null ? standing.stream().findFirst().map(PlanPlace::library).orElse(0L) : named;
  }

  /** A tool as it is put into a storage of a machine. */
  Loaded loaded(Machine machine, StorageDefinition storage, Held known) {
    return Assemblies.loaded(
            known.tool(),
            assemblies.of(Map.of(known.id(), known.tool()), machine.seat(storage)).get(known.id()))
        .covering(Optional.ofNullable(overlaps.of(machine.id()).get(known.id())));
  }

  /** The tools of a plan in their holders, by place; those without a stack are left out. */
  Map<String, AssembledTool> assembled(
      Machine machine, Collection<Planned> plan, Map<Long, Held> known) {
    Map<String, AssembledTool> assembled = new HashMap<>();
    for (StorageDefinition storage : machine.storages()) {
      Map<Long, Tool> tools = new HashMap<>();
      List<Planned> here =
          plan.stream()
              .filter(planned -> storage.index(planned.place()).isPresent())
              .filter(planned -> known.containsKey(planned.toolId()))
              .toList();
      here.forEach(planned -> tools.put(planned.toolId(), known.get(planned.toolId()).tool()));
      Map<Long, AssembledTool> held = assemblies.of(tools, machine.seat(storage));
      here.stream()
          .filter(planned -> held.containsKey(planned.toolId()))
          .forEach(planned -> assembled.put(planned.place(), held.get(planned.toolId())));
    }
    return assembled;
  }

  /**
   * Planned tools that would not fit into their places if the machine were so defined.
   *
   * @param names that places have then, by those that they have now
   */
  List<FallsOut> misfits(Machine machine, Map<String, String> names) {
    Map<String, Loaded> occupied = occupied(machine, Set.of(), names);
    List<FallsOut> misfits = new ArrayList<>();
    occupied.forEach((place, tool) -> {
      Map<String, Loaded> others = new HashMap<>(occupied);
      others.remove(place);
      holds(machine, place, tool, others, false).stream()
          .findFirst()
          .ifPresent(hold -> misfits.add(new FallsOut(place, tool.tool().code(), hold.message())));
    });
    misfits.sort(Comparator.comparing(FallsOut::place, PlaceOrder.BY_NUMBER));
    return misfits;
  }

  /**
   * What stands in the places of a machine, each in the holder for its seat.
   *
   * @param leaving places whose tools do not count
   */
  private Map<String, Loaded> occupied(Machine machine, Set<String> leaving) {
    return occupied(machine, leaving, Map.of());
  }

  private Map<String, Loaded> occupied(
      Machine machine, Set<String> leaving, Map<String, String> names) {
    List<PlanPlace> all = places.findByMachineId(machine.id());
    Map<Long, Held> known = picked.of(all);
    Map<Long, Overlap> stated = overlaps.of(machine.id());
    Map<String, Loaded> occupied = new HashMap<>();
    for (StorageDefinition storage : machine.storages()) {
      Map<String, Held> here = new LinkedHashMap<>();
      all.stream()
          .filter(place -> !leaving.contains(place.place) && known.containsKey(place.toolId))
          .forEach(place -> {
            String name = names.getOrDefault(place.place, place.place);
            if (storage.index(name).isPresent()) {
              here.put(name, known.get(place.toolId));
            }
          });
      Map<Long, Tool> tools = new HashMap<>();
      here.values().forEach(held -> tools.put(held.id(), held.tool()));
      Map<Long, AssembledTool> assembled = assemblies.of(tools, machine.seat(storage));
      here.forEach((place, held) ->
          occupied.put(
              place,
              Assemblies.loaded(held.tool(), assembled.get(held.id()))
                  .covering(Optional.ofNullable(stated.get(held.id())))));
    }
    return occupied;
  }

  /**
   * What keeps a tool out of a place.
   *
   * @param arrives false for a tool that is in the machine: that a part of its stack was retired
   *     meanwhile is asked about, and does not keep it where it hangs
   */
  private static List<Finding> holds(
      Machine machine, String place, Loaded tool, Map<String, Loaded> occupied, boolean arrives) {
    return Fit.check(machine, place, tool, occupied).stream()
        .filter(finding -> finding.severity() == Severity.HOLD)
        .filter(finding -> arrives || !finding.code().equals(Fit.PART_RETIRED))
        .toList();
  }

  /**
   * Refuses where the tool of a place does not fit there as the plan is now.
   *
   * @param arrives false for a tool that was in the machine before
   */
  void refuseMisfit(Machine machine, PlanPlace planned, boolean arrives) {
    Held known = picked.one(planned.toolId, planned.library());
    refuseMisfit(machine, planned.place, known, Set.of(), arrives);
  }

  /**
   * Refuses a tool that does not fit into a place as the plan is now.
   *
   * @param leaving places whose tools leave with it; that of the place itself does anyway
   * @param arrives false for a tool that was in the machine before
   */
  void refuseMisfit(
      Machine machine, String place, Held known, Set<String> leaving, boolean arrives) {
    Map<String, Loaded> occupied = occupied(machine, leaving);
    occupied.remove(place);
    StorageDefinition storage =
        machine.placed(place).map(Machine.Placed::storage).orElse(machine.storages().getFirst());
    List<Finding> holds =
        new ArrayList<>(holds(machine, place, loaded(machine, storage, known), occupied, arrives));
    OwnPlaces.obstacle(machine, own.of(machine.id()), place, known.id()).ifPresent(holds::addFirst);
    if (!holds.isEmpty()) {
      throw Refusal.conflict(
          "%s does not fit into %s: %s"
              .formatted(known.tool().code(), machine.words(place), holds.getFirst().message()),
          holds);
    }
  }
}
