package arborline.core.loadplan;

import arborline.core.storage.Storage;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Which tools have to be in the places of a machine.
 *
 * @param fixed places that hold one tool only, which stands nowhere else
 * @param tools by name
 * @param present what stands where now; it obeys all rules but, perhaps, that of fixed places
 * @param wanted tools that have to be in
 * @param keep tools that stand and are not moved
 */
public record LoadProblem(
    List<Storage> storages,
    Map<LoadPlace, String> fixed,
    Map<String, LoadTool> tools,
    Map<LoadPlace, String> present,
    List<String> wanted,
    Set<String> keep) {

  public LoadProblem {
    storages = List.copyOf(storages);
    fixed = Map.copyOf(fixed);
    present = Map.copyOf(present);
    wanted = wanted.stream().distinct().toList();
    keep = Set.copyOf(keep);
  }

  /** Where tools stand now. */
  Map<String, LoadPlace> standing() {
    Map<String, LoadPlace> standing = new LinkedHashMap<>();
    present.entrySet().stream()
        .sorted(Map.Entry.comparingByKey())
        .forEach(entry -> standing.put(entry.getValue(), entry.getKey()));
    return standing;
  }

  /** The one place where a tool may stand; empty where it has none of its own. */
  Optional<LoadPlace> own(String tool) {
    return fixed.entrySet().stream()
        .filter(entry -> entry.getValue().equals(tool))
        .map(Map.Entry::getKey)
        .min(LoadPlace::compareTo);
  }

  /** The same with fewer tools that have to be in. */
  LoadProblem wanting(List<String> fewer) {
    return new LoadProblem(storages, fixed, tools, present, fewer, keep);
  }
}
