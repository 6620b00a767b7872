package arborline.server.tool;

import arborline.core.library.Codes;
import arborline.core.library.Standing;
import arborline.core.tool.Tool;
import arborline.server.support.Refusal;
import jakarta.persistence.EntityManager;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Tools of the shop for reading: by identity, by code, or as one version had them. */
@Service
@Transactional(readOnly = true)
public class Tools {

  private final EntityManager entities;
  private final ToolRepository tools;
  private final Holdings holdings;

  Tools(EntityManager entities, ToolRepository tools, Holdings holdings) {
    this.entities = entities;
    this.tools = tools;
    this.holdings = holdings;
  }

  /** A tool with its identity and the number it has in the first library that holds it. */
  public record Known(long id, Tool tool, Optional<Integer> number) {}

  public Known get(long id) {
    return Optional.ofNullable(load(Set.of(id)).get(id))
        .orElseThrow(() -> Refusal.notFound("there is no tool " + id));
  }

  /** How far a tool is trusted. */
  public Standing standing(long id) {
    return tools
        .findById(id)
        .map(tool -> Standing.at(tool.standing))
        .orElseThrow(() -> Refusal.notFound("there is no tool " + id));
  }

  /** The tool of a code; of one that was merged into another, the other. */
  public Optional<Long> byCode(String code) {
    return tools.findByCodeKey(Codes.key(code)).map(ShopTool::standsFor);
  }

  /** Whether a tool carries a code now. */
  public boolean carries(String codeKey) {
    return tools.existsByCodeKey(codeKey);
  }

  /** Tools of several codes, by code key; unknown ones are left out. */
  public Map<String, Long> byCodes(Collection<String> codes) {
    Map<String, Long> found = new HashMap<>();
    if (!codes.isEmpty()) {
      tools
          .findByCodeKeyIn(codes.stream().map(Codes::key).toList())
          .forEach(tool -> found.put(tool.codeKey, tool.standsFor()));
    }
    return found;
  }

  /** Several tools at once, by identity; missing ones are left out. */
  public Map<Long, Known> load(Collection<Long> ids) {
    if (ids.isEmpty()) {
      return Map.of();
    }
    Map<Long, Integer> numbers = holdings.numbers(ids);
    Map<Long, Known> known = new HashMap<>();
    current(ids)
        .forEach((id, current) ->
            known.put(id, new Known(id, current.tool(), Optional.ofNullable(numbers.get(id)))));
    return known;
  }

  /**
   * A tool as a library has it.
   *
   * @param from the library; empty for a tool that is in none, which is then as it stands now
   * @param others further libraries that have it
   * @param versionNo of the version that the library holds
   * @param newestNo of the version that stands
   */
  public record Held(
      long id,
      Tool tool,
      Optional<Holdings.UsedIn> from,
      List<Holdings.UsedIn> others,
      int versionNo,
      int newestNo) {

    public Optional<Integer> number() {
      return from.map(Holdings.UsedIn::number);
    }
  }

  /**
   * Tools in the versions and under the numbers that libraries have, by identity; missing ones are
   * left out. Where the library that is named does not have a tool, the one counts in which it has
   * the smallest number.
   *
   * @param libraries which library is meant, by tool; 0 for none
   */
  public Map<Long, Held> held(Map<Long, Long> libraries) {
    if (libraries.isEmpty()) {
      return Map.of();
    }
    Map<Long, List<Holdings.UsedIn>> used = holdings.of(libraries.keySet());
    Map<Long, CurrentTool> newest = current(libraries.keySet());
    Map<Long, Holdings.UsedIn> from = new HashMap<>();
    used.forEach((id, all) ->
        from.put(
            id,
            all.stream()
                .filter(one -> one.libraryId() == libraries.get(id))
                .findFirst()
                .orElse(all.getFirst())));
    Map<Long, CurrentTool> older = older(newest, from);
    Map<Long, Held> held = new HashMap<>();
    newest.forEach((id, now) -> {
      CurrentTool wanted = older.getOrDefault(id, now);
      Holdings.UsedIn meant = from.get(id);
      held.put(
          id,
          new Held(
              id,
              wanted.tool(),
              Optional.ofNullable(meant),
              used.getOrDefault(id, List.of()).stream().filter(one -> one != meant).toList(),
              wanted.versionNo(),
              now.versionNo()));
    });
    return held;
  }

  /** Where libraries hold another version than the one that stands: that version. */
  private Map<Long, CurrentTool> older(
      Map<Long, CurrentTool> newest, Map<Long, Holdings.UsedIn> from) {
    List<Long> versionIds =
        from.entrySet().stream()
            .filter(held -> newest.containsKey(held.getKey()))
            .filter(held -> newest.get(held.getKey()).versionId() != held.getValue().versionId())
            .map(held -> held.getValue().versionId())
            .toList();
    Map<Long, CurrentTool> older = new HashMap<>();
    if (versionIds.isEmpty()) {
      return older;
    }
    entities
        .createQuery(
            "select t, v from ShopTool t join ToolVersion v on v.toolId = t.id"
                + " where v.id in (:ids)",
            Object[].class)
        .setParameter("ids", versionIds)
        .getResultStream()
        .forEach(row -> {
          ShopTool owner = (ShopTool) row[0];
          older.put(owner.id, CurrentTool.of(owner, (ToolVersion) row[1]));
        });
    return older;
  }

  /** Several tools with the versions that stand, by identity; missing ones are left out. */
  public Map<Long, CurrentTool> current(Collection<Long> ids) {
    Map<Long, CurrentTool> current = new HashMap<>();
    entities
        .createQuery(
            "select t, v from ShopTool t join ToolVersion v on v.id = t.versionId"
                + " where t.id in (:ids)",
            Object[].class)
        .setParameter("ids", ids)
        .getResultStream()
        .forEach(row -> {
          ShopTool owner = (ShopTool) row[0];
          current.put(owner.id, CurrentTool.of(owner, (ToolVersion) row[1]));
        });
    return current;
  }

  /** Tools as versions had them, by version id and without their codes. */
  public Map<Long, Tool> versions(Collection<Long> versionIds) {
    Map<Long, Tool> read = new HashMap<>();
    entities
        .createQuery(
            "select v.id, v.name, v.classId, v.vals from ToolVersion v where v.id in (:ids)",
            Object[].class)
        .setParameter("ids", versionIds)
        .getResultStream()
        .forEach(row ->
            read.put(
                (Long) row[0],
                StoredTools.tool("", (String) row[1], (String) row[2], (String) row[3])));
    return read;
  }
}
