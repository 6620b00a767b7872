package arborline.server.stack;

import arborline.core.connection.Joint;
import arborline.core.machine.Assembly;
import arborline.core.stack.AssemblyOutline;
import arborline.core.stack.Cutter;
import arborline.core.stack.Stack;
import arborline.core.tool.Tool;
import arborline.core.tool.outline.Outline;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What machines meet of tools: the tool in the holder that is kept for it. */
@Service
public class Assemblies {

  private final StackRepository stacks;
  private final Components components;

  Assemblies(StackRepository stacks, Components components) {
    this.stacks = stacks;
    this.components = components;
  }

  /** A tool in the holder that is kept for it, and how that looks. */
  public record AssembledTool(Assembly assembly, Outline outline) {}

  /**
   * The assemblies of tools as they are given, by tool id; a tool without a stack is left out. Of
   * several stacks the first that was kept for the seat counts, else the first that goes into it,
   * else the first of all.
   *
   * @param tools by id: their own versions stand in the stacks
   * @param seat connection code of the spindle
   */
  @Transactional(readOnly = true)
  public Map<Long, AssembledTool> of(Map<Long, Tool> tools, String seat) {
    Map<Long, AssembledTool> assemblies = new HashMap<>();
    if (tools.isEmpty()) {
      return assemblies;
    }
    Map<Long, List<StackRow>> rows =
        stacks.findByToolIdInOrderById(tools.keySet()).stream()
            .collect(Collectors.groupingBy(row -> row.toolId));
    rows.forEach((toolId, all) -> {
      Cutter.of(tools.get(toolId))
          .flatMap(cutter ->
              all.stream()
                  .map(row -> new Candidate(row.seat.equals(seat), stack(row, cutter)))
                  .min(Comparator.comparing(candidate -> candidate.rank(seat))))
          .ifPresent(chosen ->
              assemblies.put(
                  toolId,
                  new AssembledTool(
                      Assembly.of(chosen.stack()), AssemblyOutline.of(chosen.stack()))));
    });
    return assemblies;
  }

  private record Candidate(boolean keptForSeat, Stack stack) {

    int rank(String seat) {
      if (keptForSeat) {
        return 0;
      }
      return Joint.of(seat, Assembly.of(stack).connection()).mates() ? 1 : 2;
    }
  }

  private Stack stack(StackRow row, Cutter cutter) {
    return new Stack(
        row.seat,
        components.inOrder(row.parts).stream().map(Components.KnownComponent::component).toList(),
        cutter,
        row.overhang.doubleValue());
  }
}
