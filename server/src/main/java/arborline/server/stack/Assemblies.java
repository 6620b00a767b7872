package arborline.server.stack;

import arborline.core.connection.Joint;
import arborline.core.machine.Assembly;
import arborline.core.machine.Loaded;
import arborline.core.stack.AssemblyOutline;
import arborline.core.stack.AssemblyOutline.TurnedOutline;
import arborline.core.stack.Cutter;
import arborline.core.stack.Stack;
import arborline.core.tool.Tool;
import arborline.core.tool.outline.Outline;
import arborline.server.stack.Components.KnownComponent;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
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
   * A tool in the holder that is kept for it, and how that looks.
   *
   * @param outline on the axis of the spindle
   * @param turned what of it lies on a turned axis
   * @param retired codes of its parts that were taken out of use
   * @param stack what it is put together of
   */
  public record AssembledTool(
      Assembly assembly,
      Outline outline,
      Optional<TurnedOutline> turned,
      List<String> retired,
      Stack stack) {}

  /**
   * A tool as it is put into a place.
   *
   * @param assembled null where no stack is kept for it
   */
  public static Loaded loaded(Tool tool, @Nullable AssembledTool assembled) {
    return assembled == null
        ? new Loaded(tool, Optional.empty())
        : new Loaded(
            tool, Optional.of(assembled.assembly()), assembled.retired(), Optional.empty());
  }

  /**
   * The assemblies of tools as they are given, by tool id; a tool without a stack is left out. Of
   * several stacks one without retired parts comes first; of these the first that was kept for the
   * seat counts, else the first that goes into it, else the first of all.
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
                  .map(row -> candidate(row, seat, cutter))
                  .min(Comparator.comparing(candidate -> candidate.rank(seat))))
          .ifPresent(chosen ->
              assemblies.put(
                  toolId,
                  new AssembledTool(
                      Assembly.of(chosen.stack()),
                      AssemblyOutline.of(chosen.stack()),
                      AssemblyOutline.turned(chosen.stack()),
                      chosen.retired(),
                      chosen.stack())));
    });
    return assemblies;
  }

  private record Candidate(boolean keptForSeat, Stack stack, List<String> retired) {

    private static final int IN_USE = 3;

    int rank(String seat) {
      int last = retired.isEmpty() ? 0 : IN_USE;
      if (keptForSeat) {
        return last;
      }
      return last + (Joint.of(seat, Assembly.of(stack).connection()).mates() ? 1 : 2);
    }
  }

  private Candidate candidate(StackRow row, String seat, Cutter cutter) {
    List<KnownComponent> parts = components.inOrder(row.parts);
    Stack stack =
        new Stack(
            row.seat,
            parts.stream().map(KnownComponent::component).toList(),
            cutter,
            row.overhang.doubleValue());
    return new Candidate(
        row.seat.equals(seat),
        stack,
        parts.stream()
            .filter(KnownComponent::retired)
            .map(part -> part.component().code())
            .toList());
  }
}
