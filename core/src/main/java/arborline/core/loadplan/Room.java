package arborline.core.loadplan;

import arborline.core.storage.Blocking;
import arborline.core.storage.Storage;
import arborline.core.storage.ToolBody;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/**
 * Whether tools are too many by count alone. A tool needs its own place and half of those that it
 * blocks on each side, since two neighbours share what lies between them; around a closed storage
 * all these halves together are its places at most, and an open one has two ends more where nobody
 * is blocked. The solver finds this only after a long search.
 */
final class Room {

  private final LoadProblem problem;
  private final List<Blocking> blockings = new ArrayList<>();

  Room(LoadProblem problem) {
    this.problem = problem;
    problem.storages().forEach(storage -> blockings.add(new Blocking(storage)));
  }

  /**
   * True where tools need more than all places, or more than those of the one storage that takes
   * them.
   *
   * @param placement says which storages take them
   */
  boolean exceeded(PlacementModel placement, Set<String> needed) {
    List<Integer> all = new ArrayList<>();
    long everywhere = 0;
    long room = 0;
    for (int storage = 0; storage < problem.storages().size(); storage++) {
      all.add(storage);
      room += halves(storage, needed);
    }
    for (String tool : needed) {
      everywhere += least(tool, takes(placement, tool, all));
    }
    if (everywhere > room) {
      return true;
    }
    return all.stream()
        .anyMatch(storage ->
            needed.stream()
                    .filter(tool -> takes(placement, tool, all).equals(List.of(storage)))
                    .mapToLong(tool -> least(tool, List.of(storage)))
                    .sum()
                > halves(storage, needed));
  }

  private static List<Integer> takes(PlacementModel placement, String tool, List<Integer> all) {
    return all.stream()
        .filter(storage ->
            placement.places(tool).keySet().stream().anyMatch(place -> place.storage() == storage))
        .toList();
  }

  /** Half places that a tool needs in the storage where it needs the fewest. */
  private long least(String tool, List<Integer> storages) {
    return storages.stream()
        .mapToLong(storage -> 2L + blockings.get(storage).beside(body(tool, storage)))
        .min()
        .orElse(0);
  }

  /** Half places of a storage, with those beyond its ends. */
  private long halves(int storage, Set<String> needed) {
    Storage known = problem.storages().get(storage);
    int furthest =
        needed.stream()
            .mapToInt(tool -> blockings.get(storage).furthest(body(tool, storage)))
            .max()
            .orElse(0);
    return 2L * known.definition().places() + (known.spacing().closed() ? 0 : 2L * furthest);
  }

  private ToolBody body(String tool, int storage) {
    return problem.tools().get(tool).in(storage);
  }
}
