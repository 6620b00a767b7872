package arborline.server.stack;

import arborline.core.stack.Component;
import arborline.core.stack.PlannedStack;
import arborline.server.exchange.StacksOfTools;
import arborline.server.support.Json;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The stacks of tools as files carry them. */
@Service
@Transactional(readOnly = true)
class PlannedStacks implements StacksOfTools {

  private final StackRepository stacks;
  private final ComponentRepository components;
  private final Json json;

  PlannedStacks(StackRepository stacks, ComponentRepository components, Json json) {
    this.stacks = stacks;
    this.components = components;
    this.json = json;
  }

  @Override
  public Map<Long, List<PlannedStack>> of(Collection<Long> toolIds) {
    List<StackRow> rows = stacks.findByToolIdInOrderById(toolIds);
    Map<Long, String> codes = new HashMap<>();
    parts(rows).forEach(row -> codes.put(row.id, row.code));
    return rows.stream()
        .collect(
            Collectors.groupingBy(
                row -> row.toolId,
                Collectors.mapping(row -> planned(row, codes), Collectors.toList())));
  }

  private List<ComponentRow> parts(List<StackRow> rows) {
    Set<Long> ids =
        rows.stream()
            .flatMap(row -> row.parts.stream())
            .map(part -> part.componentId)
            .collect(Collectors.toCollection(HashSet::new));
    return ids.isEmpty() ? List.of() : components.findByIdIn(ids);
  }

  private static PlannedStack planned(StackRow row, Map<Long, String> codes) {
    return new PlannedStack(
        row.name,
        row.seat,
        row.overhang,
        row.parts.stream().map(part -> codes.get(part.componentId)).toList());
  }

  @Override
  public Map<String, KnownPart> parts(Collection<Long> toolIds) {
    Map<String, KnownPart> parts = new TreeMap<>();
    parts(stacks.findByToolIdInOrderById(toolIds))
        .forEach(row ->
            parts.put(row.code, new KnownPart(row.id, json.read(row.definition, Component.class))));
    return parts;
  }

  @Override
  public Map<Long, List<String>> olderParts(Collection<Long> toolIds) {
    List<StackRow> rows = stacks.findByToolIdInOrderById(toolIds);
    Map<Long, String> codes = new HashMap<>();
    parts(rows).forEach(row -> codes.put(row.id, row.code));
    Map<Long, List<String>> older = new HashMap<>();
    for (StackRow row : rows) {
      List<String> kept =
          row.parts.stream()
              .filter(part -> part.versionNo != null)
              .map(part -> "%s, version %d".formatted(codes.get(part.componentId), part.versionNo))
              .toList();
      if (!kept.isEmpty()) {
        older.merge(
            row.toolId,
            kept,
            (one, other) -> java.util.stream.Stream.concat(one.stream(), other.stream()).toList());
      }
    }
    return older;
  }
}
