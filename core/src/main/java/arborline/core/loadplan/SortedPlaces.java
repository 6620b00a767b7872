package arborline.core.loadplan;

import arborline.core.storage.Blocking;
import arborline.core.storage.PlaceLimits;
import arborline.core.storage.Storage;
import arborline.core.storage.ToolBody;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/**
 * Puts the tools of one storage into it in a given order, each into the next place that takes it
 * beside those before. Tools with places of their own stay in these.
 */
public final class SortedPlaces {

  private final LoadProblem problem;
  private final int storage;
  private final Blocking blocking;
  private final Map<LoadPlace, String> stands = new TreeMap<>();

  private SortedPlaces(LoadProblem problem, int storage) {
    this.problem = problem;
    this.storage = storage;
    this.blocking = new Blocking(problem.storages().get(storage));
  }

  /**
   * Where the tools go.
   *
   * @param storage which storage of the problem, from 0 up
   * @param order names of the tools that stand in it, all of them
   * @return every one of them with its place; empty where they do not fit in this order
   */
  public static Optional<Map<LoadPlace, String>> of(
      LoadProblem problem, int storage, List<String> order) {
    return new SortedPlaces(problem, storage).sorted(order);
  }

  private Optional<Map<LoadPlace, String>> sorted(List<String> order) {
    List<String> left = new ArrayList<>(order);
    for (String tool : order) {
      Optional<LoadPlace> own = problem.own(tool);
      if (own.isPresent() && own.get().storage() == storage) {
        stands.put(own.get(), tool);
        left.remove(tool);
      }
    }
    int next = 0;
    for (String tool : left) {
      while (next < places() && !takes(new LoadPlace(storage, next), tool)) {
        next++;
      }
      if (next == places()) {
        return Optional.empty();
      }
      stands.put(new LoadPlace(storage, next++), tool);
    }
    return Optional.of(stands);
  }

  private int places() {
    return problem.storages().get(storage).definition().places();
  }

  private boolean takes(LoadPlace place, String tool) {
    LoadTool known = problem.tools().get(tool);
    ToolBody body = known.in(storage);
    Storage there = problem.storages().get(storage);
    return !problem.fixed().containsKey(place)
        && !known.closed().containsKey(place)
        && PlaceLimits.exceeded(there, body).isEmpty()
        && stands.entrySet().stream()
            .allMatch(other ->
                blocking
                    .clash(
                        body,
                        place.index(),
                        problem.tools().get(other.getValue()).in(storage),
                        other.getKey().index())
                    .isEmpty());
  }
}
