package arborline.server.tool;

import arborline.core.library.Codes;
import arborline.core.tool.Tool;
import arborline.server.support.Refusal;
import jakarta.persistence.EntityManager;
import java.util.Collection;
import java.util.HashMap;
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

  public Optional<Long> byCode(String code) {
    return tools.findByCodeKey(Codes.key(code)).map(found -> found.id);
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
          .forEach(tool -> found.put(tool.codeKey, tool.id));
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
