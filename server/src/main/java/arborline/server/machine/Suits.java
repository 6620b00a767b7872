package arborline.server.machine;

import arborline.core.finding.Finding;
import arborline.core.finding.Severity;
import arborline.core.machine.Fit;
import arborline.core.machine.Loaded;
import arborline.core.machine.Machine;
import arborline.core.storage.Storage;
import arborline.core.storage.StorageDefinition;
import arborline.core.storage.Turret;
import arborline.core.tool.Tool;
import arborline.server.right.ToolGuard;
import arborline.server.stack.Assemblies;
import arborline.server.stack.Assemblies.AssembledTool;
import arborline.server.tool.Tools;
import arborline.server.tool.Tools.Held;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Which tools can go into a machine at all, whatever stands in it. */
@Service
class Suits {

  private final Machines machines;
  private final Tools tools;
  private final Assemblies assemblies;
  private final ToolGuard seeing;

  Suits(Machines machines, Tools tools, Assemblies assemblies, ToolGuard seeing) {
    this.machines = machines;
    this.tools = tools;
    this.assemblies = assemblies;
    this.seeing = seeing;
  }

  /** Why tools can go into no place, by tool; those that can are left out. */
  @Transactional(readOnly = true)
  Map<Long, String> unsuited(String machineId, @Nullable Long libraryId, Collection<Long> asked) {
    seeing.needSight(asked);
    Machine machine = machines.get(machineId).machine();
    Map<Long, Long> wanted = new HashMap<>();
    asked.forEach(tool -> wanted.put(tool, libraryId == null ? 0 : libraryId));
    Map<Long, Held> known = tools.held(wanted);
    Map<Long, Tool> meant = PickedTools.tools(known);
    Map<Long, List<Finding>> least = new TreeMap<>();
    for (StorageDefinition storage : machine.storages()) {
      Map<Long, AssembledTool> assembled = assemblies.of(meant, machine.seat(storage));
      meant.forEach((id, tool) -> {
        Loaded loaded = Assemblies.loaded(tool, assembled.get(id));
        for (String place : kinds(storage)) {
          least.merge(id, holds(machine, place, loaded), Suits::fewer);
        }
      });
    }
    Map<Long, String> unsuited = new TreeMap<>();
    least.forEach((tool, holds) -> {
      if (!holds.isEmpty()) {
        unsuited.put(tool, holds.getFirst().message());
      }
    });
    return unsuited;
  }

  private static List<Finding> fewer(List<Finding> one, List<Finding> other) {
    return other.size() < one.size() ? other : one;
  }

  private static List<Finding> holds(Machine machine, String place, Loaded tool) {
    return Fit.check(machine, place, tool, Map.of()).stream()
        .filter(finding -> finding.severity() == Severity.HOLD)
        .toList();
  }

  /** One place of each kind that a storage has: any, or a driven and a static station. */
  private static List<String> kinds(StorageDefinition storage) {
    Map<Boolean, String> kinds = new TreeMap<>();
    for (int index = 0; index < storage.places(); index++) {
      boolean driven =
          Storage.of(storage) instanceof Turret turret && turret.station(index).driven();
      kinds.putIfAbsent(driven, storage.place(index));
    }
    return List.copyOf(kinds.values());
  }
}
