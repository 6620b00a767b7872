package arborline.server.library;

import arborline.core.tool.Tool;
import arborline.server.support.Refusal;
import jakarta.persistence.EntityManager;
import java.util.Collection;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Tools of the shop for other modules: by identity or by code. */
@Service
@Transactional(readOnly = true)
public class Tools {

  private final EntityManager entities;
  private final ToolRepository tools;
  private final VersionRepository versions;

  Tools(EntityManager entities, ToolRepository tools, VersionRepository versions) {
    this.entities = entities;
    this.tools = tools;
    this.versions = versions;
  }

  /** A tool with its identity and the number it has in the first library that holds it. */
  public record Known(long id, Tool tool, Optional<Integer> number) {}

  public Known get(long id) {
    return Optional.ofNullable(load(Set.of(id)).get(id))
        .orElseThrow(() -> Refusal.notFound("there is no tool " + id));
  }

  public Optional<Long> byCode(String code) {
    return tools.findByCodeKey(arborline.core.library.Codes.key(code)).map(found -> found.id);
  }

  /** Tools of several codes, by code key; unknown ones are left out. */
  public Map<String, Long> byCodes(Collection<String> codes) {
    Map<String, Long> found = new HashMap<>();
    if (!codes.isEmpty()) {
      tools
          .findByCodeKeyIn(codes.stream().map(arborline.core.library.Codes::key).toList())
          .forEach(tool -> found.put(tool.codeKey, tool.id));
    }
    return found;
  }

  /** Several tools at once, by identity; missing ones are left out. */
  public Map<Long, Known> load(Collection<Long> ids) {
    Map<Long, Known> known = new HashMap<>();
    if (ids.isEmpty()) {
      return known;
    }
    Map<Long, Integer> numbers =
        entities
            .createQuery(
                "select e.toolId, min(e.number) from Entry e where e.toolId in (:ids)"
                    + " group by e.toolId",
                Object[].class)
            .setParameter("ids", ids)
            .getResultStream()
            .collect(Collectors.toMap(row -> (Long) row[0], row -> (Integer) row[1]));
    entities
        .createQuery(
            "select t, v from ShopTool t join ToolVersion v on v.id = t.versionId"
                + " where t.id in (:ids)",
            Object[].class)
        .setParameter("ids", ids)
        .getResultStream()
        .forEach(row -> {
          ShopTool owner = (ShopTool) row[0];
          known.put(
              owner.id,
              new Known(
                  owner.id,
                  ((ToolVersion) row[1]).tool(owner.code),
                  Optional.ofNullable(numbers.get(owner.id))));
        });
    return known;
  }
}
