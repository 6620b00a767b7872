package arborline.server.stack;

import arborline.core.machine.Assembly;
import arborline.core.stack.Cutter;
import arborline.core.stack.Stack;
import arborline.core.tool.Tool;
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

  /**
   * The assemblies of tools as they are given, by tool id; a tool without a stack is left out. Of
   * several stacks the first that was kept for the seat counts, else the first of all.
   *
   * @param tools by id: their own versions stand in the stacks
   * @param seat connection code of the spindle
   */
  @Transactional(readOnly = true)
  public Map<Long, Assembly> of(Map<Long, Tool> tools, String seat) {
    Map<Long, Assembly> assemblies = new HashMap<>();
    if (tools.isEmpty()) {
      return assemblies;
    }
    Map<Long, List<StackRow>> rows =
        stacks.findByToolIdInOrderById(tools.keySet()).stream()
            .collect(Collectors.groupingBy(row -> row.toolId));
    rows.forEach((toolId, all) -> {
      StackRow row =
          all.stream()
              .min(Comparator.comparing((StackRow stack) -> !stack.seat.equals(seat)))
              .orElseThrow();
      Cutter.of(tools.get(toolId))
          .ifPresent(cutter -> assemblies.put(toolId, Assembly.of(stack(row, cutter).shape())));
    });
    return assemblies;
  }

  private Stack stack(StackRow row, Cutter cutter) {
    return new Stack(
        row.seat,
        components.inOrder(row.parts).stream().map(Components.KnownComponent::component).toList(),
        cutter,
        row.overhang.doubleValue());
  }
}
