package arborline.server.machine;

import arborline.core.machine.Machine;
import arborline.core.table.TableEntry;
import arborline.core.tool.Silhouettes;
import arborline.core.tool.outline.Outline;
import arborline.server.machine.PlannedLoads.LoadedPlace;
import arborline.server.machine.Plans.Planned;
import arborline.server.stack.Assemblies.AssembledTool;
import arborline.server.tool.Tools.Held;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** How the tools of a planned load look in their places, each in the holder for its seat. */
@Component
class LoadOutlines {

  private final PickedTools picked;
  private final PlanFit fit;

  LoadOutlines(PickedTools picked, PlanFit fit) {
    this.picked = picked;
    this.fit = fit;
  }

  /**
   * Outlines by place; that of the bare cutter where no stack is kept, none where it has no sizes.
   */
  @Transactional(readOnly = true)
  Map<String, Outline> of(Machine machine, Collection<LoadedPlace> placement) {
    Map<Long, Long> libraries = new HashMap<>();
    placement.forEach(place -> libraries.put(place.toolId(), place.libraryId()));
    Map<Long, Held> known = picked.all(libraries);
    List<Planned> plan =
        placement.stream()
            .map(place ->
                new Planned(place.place(), place.toolId(), place.libraryId(), TableEntry.EMPTY))
            .toList();
    Map<String, AssembledTool> assembled = fit.assembled(machine, plan, known);
    Map<String, Outline> outlines = new HashMap<>();
    for (LoadedPlace place : placement) {
      Optional.ofNullable(assembled.get(place.place()))
          .map(tool -> tool.outline().bare())
          .or(() -> Silhouettes.of(known.get(place.toolId()).tool()))
          .ifPresent(outline -> outlines.put(place.place(), outline));
    }
    return outlines;
  }
}
