package arborline.server.machine;

import arborline.core.machine.Machine;
import arborline.core.machine.Machine.Placed;
import arborline.core.storage.StorageDefinition;
import arborline.core.table.Statements;
import arborline.core.table.TableField;
import arborline.core.tool.Process;
import arborline.core.tool.Tool;
import arborline.core.tool.ToolClasses;
import arborline.core.use.BlockAngle;
import arborline.core.use.ToolUse;
import arborline.core.use.UseReader;
import arborline.core.use.UsualUse;
import arborline.server.stack.Assemblies;
import arborline.server.stack.Assemblies.AssembledTool;
import java.math.BigDecimal;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** How tools are, or would usually be, used at a machine. */
@Service
public class MachineUses {

  private final Machines machines;
  private final PlanRepository places;
  private final PlanNumbers numbers;
  private final UseStore store;
  private final Assemblies assemblies;

  MachineUses(
      Machines machines,
      PlanRepository places,
      PlanNumbers numbers,
      UseStore store,
      Assemblies assemblies) {
    this.assemblies = assemblies;
    this.machines = machines;
    this.places = places;
    this.numbers = numbers;
    this.store = store;
  }

  /**
   * A tool at a machine.
   *
   * @param number by which programs call it: as it is planned, else as it would be if it came in
   * @param offsets its offset numbers
   * @param orientation tip orientation; empty where none follows
   */
  public record UsedTool(int number, List<Integer> offsets, Optional<Integer> orientation) {}

  /**
   * By tool: as they are planned, else as they usually would be.
   *
   * @param tools by id
   * @param numbers by tool id
   */
  @Transactional(readOnly = true)
  public Map<Long, UsedTool> of(
      String machineId, Map<Long, Tool> tools, Map<Long, Integer> numbers) {
    Machine machine = machines.get(machineId).machine();
    Map<Long, PlanPlace> planned = new HashMap<>();
    places.findByMachineId(machineId).forEach(place -> planned.put(place.toolId, place));
    Map<String, ToolUse> kept = store.all(machineId);
    Map<String, Map<Long, AssembledTool>> assembled = assembled(machine, tools, planned.keySet());
    Set<Long> taken =
        planned.values().stream().map(this.numbers::number).collect(Collectors.toSet());
    Map<Long, UsedTool> used = new HashMap<>();
    tools.forEach((id, tool) -> {
      Optional<PlanPlace> place = Optional.ofNullable(planned.get(id));
      Optional<Placed> placed = place.flatMap(there -> machine.placed(there.place));
      used.put(
          id,
          placed.isPresent()
              ? planned(
                  machine,
                  placed.get(),
                  place.get(),
                  tool,
                  kept,
                  block(placed.get(), assembled, id))
              : usual(
                  machine,
                  id,
                  tool,
                  wouldHave(machine, numbers.getOrDefault(id, 1), taken),
                  assembled));
    });
    return used;
  }

  /**
   * The number that a tool would have if it came in.
   *
   * @param own its number in its library
   * @param taken numbers of planned tools
   */
  private static int wouldHave(Machine machine, int own, Set<Long> taken) {
    boolean kept =
        machine.numbering().numberIsPlace()
            || !taken.contains((long) own) && machine.numbering().question(own).isEmpty();
    return kept ? own : Math.toIntExact(machine.numbering().nextFree(own, taken));
  }

  /** Planned tools, and turning tools, in their holders, by the id of their storage, of turrets. */
  private Map<String, Map<Long, AssembledTool>> assembled(
      Machine machine, Map<Long, Tool> tools, Set<Long> planned) {
    Map<Long, Tool> here = new HashMap<>(tools);
    here.entrySet().removeIf(tool -> !planned.contains(tool.getKey()) && !turns(tool.getValue()));
    Map<String, Map<Long, AssembledTool>> assembled = new HashMap<>();
    machine.storages().stream()
        .filter(storage -> storage.turret() != null)
        .forEach(
            storage -> assembled.put(storage.id(), assemblies.of(here, machine.seat(storage))));
    return assembled;
  }

  private static Optional<BigDecimal> block(
      Placed placed, Map<String, Map<Long, AssembledTool>> assembled, long tool) {
    return BlockAngle.of(
        placed,
        Optional.ofNullable(assembled.getOrDefault(placed.storage().id(), Map.of()).get(tool))
            .map(AssembledTool::assembly));
  }

  private UsedTool planned(
      Machine machine,
      Placed placed,
      PlanPlace place,
      Tool tool,
      Map<String, ToolUse> kept,
      Optional<BigDecimal> block) {
    ToolUse use = use(machine, placed, place, tool, kept, block);
    return new UsedTool(
        Math.toIntExact(numbers.number(place)),
        use.offsets(),
        Optional.ofNullable(UseReader.of(machine, placed, tool, use, block).orientation()));
  }

  private ToolUse use(
      Machine machine,
      Placed placed,
      PlanPlace place,
      Tool tool,
      Map<String, ToolUse> kept,
      Optional<BigDecimal> block) {
    return Optional.ofNullable(kept.get(UseStore.key(place.toolId, place.place)))
        .orElseGet(() ->
            UsualUse.of(machine, placed, tool, numbers.offset(machine, place), Map.of(), block));
  }

  /**
   * What the library says of planned tools to their control, by place.
   *
   * @param tools by id
   */
  @Transactional(readOnly = true)
  public Map<String, Map<TableField, String>> statements(Machine machine, Map<Long, Tool> tools) {
    List<PlanPlace> planned = places.findByMachineId(machine.id());
    Map<String, ToolUse> kept = store.all(machine.id());
    Map<String, Map<Long, AssembledTool>> assembled = assembled(machine, tools, tools.keySet());
    Map<String, Map<TableField, String>> statements = new HashMap<>();
    for (PlanPlace place : planned) {
      Tool tool = tools.get(place.toolId);
      Optional<Placed> placed = machine.placed(place.place);
      if (tool != null && placed.isPresent()) {
        Optional<BigDecimal> block = block(placed.get(), assembled, place.toolId);
        ToolUse use = use(machine, placed.get(), place, tool, kept, block);
        Integer orientation = UseReader.of(machine, placed.get(), tool, use, block).orientation();
        statements.put(
            place.place, Statements.of(machine, tool, use, Optional.ofNullable(orientation)));
      }
    }
    return statements;
  }

  private static boolean turns(Tool tool) {
    return ToolClasses.named(tool.toolClass())
        .filter(known -> known.sheet().process() == Process.TURNING)
        .isPresent();
  }

  /** In the first storage where a tip orientation follows. */
  private static UsedTool usual(
      Machine machine,
      long id,
      Tool tool,
      int number,
      Map<String, Map<Long, AssembledTool>> assembled) {
    Optional<Integer> orientation = Optional.empty();
    for (StorageDefinition storage : machine.storages()) {
      Placed first = new Placed(storage, 0);
      Optional<BigDecimal> block = block(first, assembled, id);
      ToolUse use = UsualUse.of(machine, first, tool, number, Map.of(), block);
      orientation =
          orientation.or(() ->
              Optional.ofNullable(UseReader.of(machine, first, tool, use, block).orientation()));
    }
    return new UsedTool(number, List.of(number), orientation);
  }
}
