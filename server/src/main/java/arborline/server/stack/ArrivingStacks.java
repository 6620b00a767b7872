package arborline.server.stack;

import arborline.core.exchange.ItemKind;
import arborline.core.inspect.Inspected;
import arborline.core.inspect.StackCheck;
import arborline.core.library.Codes;
import arborline.core.stack.Component;
import arborline.core.stack.Cutter;
import arborline.core.stack.PlannedStack;
import arborline.core.tool.Tool;
import arborline.server.inspection.Belongings;
import arborline.server.support.Json;
import arborline.server.support.Refusal;
import arborline.server.tool.OwnedByTool;
import arborline.server.tool.ToolBelongings;
import arborline.server.tool.Tools;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Stacks that come with tools of a delivery. */
@Service
class ArrivingStacks implements Belongings, OwnedByTool {

  private final StackRepository stacks;
  private final StackVersions versions;
  private final ComponentRepository components;
  private final PlannedStacks planned;
  private final Tools tools;
  private final Json json;
  private final ToolBelongings belongings;

  ArrivingStacks(
      StackRepository stacks,
      StackVersions versions,
      ComponentRepository components,
      PlannedStacks planned,
      Tools tools,
      Json json,
      ToolBelongings belongings) {
    this.stacks = stacks;
    this.versions = versions;
    this.components = components;
    this.planned = planned;
    this.tools = tools;
    this.json = json;
    this.belongings = belongings;
  }

  @Override
  public String kind() {
    return ItemKind.STACK.word();
  }

  @Override
  @Transactional(readOnly = true)
  public int unknown(long toolId, long deliveryId, Inspected arriving) {
    return arriving.stacks().isEmpty() ? 0 : fresh(toolId, arriving).size();
  }

  private List<PlannedStack> fresh(long toolId, Inspected arriving) {
    List<PlannedStack> known = planned.of(List.of(toolId)).getOrDefault(toolId, List.of());
    return arriving.stacks().stream()
        .filter(stack -> known.stream().noneMatch(own -> same(own, stack)))
        .distinct()
        .toList();
  }

  private static boolean same(PlannedStack own, PlannedStack arriving) {
    boolean alike = arriving.overhang().signum() == 0 || own.overhang().equals(arriving.overhang());
    return alike
        && own.name().equals(arriving.name())
        && own.seat().equals(arriving.seat())
        && keys(own).equals(keys(arriving));
  }

  private static List<String> keys(PlannedStack stack) {
    return stack.parts().stream().map(Codes::key).toList();
  }

  /** A stack that cannot be built is left out, as was said of its line. */
  @Override
  @Transactional(propagation = Propagation.MANDATORY)
  public List<Long> take(long toolId, long deliveryId, Inspected arriving) {
    List<Long> made = new ArrayList<>();
    if (arriving.stacks().isEmpty()) {
      return made;
    }
    Tool tool = tools.get(toolId).tool();
    for (PlannedStack stack : fresh(toolId, arriving)) {
      Map<String, ComponentRow> rows = new HashMap<>();
      components.findByCodeKeyIn(keys(stack)).forEach(row -> rows.put(row.codeKey, row));
      boolean sound =
          StackCheck.obstacles(
                  tool,
                  stack,
                  code -> Optional.ofNullable(rows.get(Codes.key(code))).map(this::part))
              .isEmpty();
      if (sound) {
        made.add(keep(toolId, tool, stack, rows));
      }
    }
    belongings.stackChanged(toolId);
    return made;
  }

  @Override
  @Transactional(propagation = Propagation.MANDATORY)
  public void become(Map<Long, Inspected> wanted) {
    Map<Long, List<StackRow>> rows =
        stacks.findByToolIdInOrderById(wanted.keySet()).stream()
            .collect(Collectors.groupingBy(row -> row.toolId));
    Map<Long, List<PlannedStack>> known = planned.of(wanted.keySet());
    wanted.forEach((toolId, inspected) -> {
      List<StackRow> own = rows.getOrDefault(toolId, List.of());
      List<PlannedStack> there = known.getOrDefault(toolId, List.of());
      if (become(toolId, own, there, inspected.stacks())) {
        belongings.stackChanged(toolId);
      }
    });
  }

  private boolean become(
      long toolId, List<StackRow> rows, List<PlannedStack> there, List<PlannedStack> wanted) {
    List<PlannedStack> fresh = new ArrayList<>(wanted);
    boolean changed = false;
    for (int i = 0; i < rows.size(); i++) {
      PlannedStack own = there.get(i);
      Optional<PlannedStack> same = fresh.stream().filter(one -> same(own, one)).findFirst();
      if (same.isPresent()) {
        fresh.remove(same.get());
      } else {
        stacks.delete(rows.get(i));
        changed = true;
      }
    }
    if (!fresh.isEmpty()) {
      Tool tool = tools.get(toolId).tool();
      fresh.forEach(stack -> build(toolId, tool, stack));
    }
    return changed || !fresh.isEmpty();
  }

  private void build(long toolId, Tool tool, PlannedStack stack) {
    Map<String, ComponentRow> parts = new HashMap<>();
    components.findByCodeKeyIn(keys(stack)).forEach(row -> parts.put(row.codeKey, row));
    StackCheck.obstacles(
            tool, stack, code -> Optional.ofNullable(parts.get(Codes.key(code))).map(this::part))
        .stream()
        .findFirst()
        .ifPresent(fault -> {
          throw Refusal.conflict(
              "stack '%s' of %s cannot be built: %s"
                  .formatted(stack.name(), tool.code(), fault.message()));
        });
    keep(toolId, tool, stack, parts);
  }

  private Component part(ComponentRow row) {
    return json.read(row.definition, Component.class);
  }

  private long keep(long toolId, Tool tool, PlannedStack stack, Map<String, ComponentRow> rows) {
    List<ComponentRow> ordered = keys(stack).stream().map(rows::get).toList();
    double overhang =
        StackCheck.built(
                stack, ordered.stream().map(this::part).toList(), Cutter.of(tool).orElseThrow())
            .overhang();
    StackRow row = new StackRow(toolId);
    row.name = stack.name();
    row.seat = stack.seat();
    row.overhang = BigDecimal.valueOf(overhang).setScale(4, RoundingMode.HALF_UP);
    ordered.forEach(part -> row.add(new StackPart(part.id, null)));
    StackRow saved = stacks.save(row);
    versions.keep(saved);
    return saved.id;
  }

  @Override
  @Transactional(propagation = Propagation.MANDATORY)
  public void takeBack(List<Long> rows) {
    rows.stream()
        .map(stacks::findById)
        .flatMap(Optional::stream)
        .filter(row -> row.versionNo == 1)
        .forEach(row -> {
          stacks.delete(row);
          belongings.stackChanged(row.toolId);
        });
    stacks.flush();
  }
}
