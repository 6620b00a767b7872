package arborline.server.machine;

import arborline.core.loadplan.LoadPlace;
import arborline.core.loadplan.LoadProblem;
import arborline.core.loadplan.SortedPlaces;
import arborline.server.support.Refusal;
import java.math.BigDecimal;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** Orders in which the tools of a storage can stand. */
enum LoadSort {
  NUMBER(Comparator.<SortedTool>comparingLong(SortedTool::number).thenComparing(SortedTool::name)),
  CODE(Comparator.comparing(SortedTool::name)),
  CLASS(
      Comparator.comparing(SortedTool::toolClass)
          .thenComparing(SortedTool::diameter)
          .thenComparing(SortedTool::name)),
  DIAMETER(Comparator.comparing(SortedTool::diameter).thenComparing(SortedTool::name));

  private final Comparator<SortedTool> order;

  LoadSort(Comparator<SortedTool> order) {
    this.order = order;
  }

  /**
   * What a tool is sorted by.
   *
   * @param name of its piece in the problem
   * @param diameter that it cuts, mm
   */
  record SortedTool(String name, long number, String toolClass, BigDecimal diameter) {}

  /**
   * The problem of having the tools of a storage stand in this order, all others where they are.
   *
   * @param storage which storage of the problem, from 0 up
   * @param tools that stand in it
   * @throws Refusal where they do not fit so
   */
  LoadProblem of(LoadProblem problem, int storage, List<SortedTool> tools) {
    List<String> names = tools.stream().sorted(order).map(SortedTool::name).toList();
    Map<LoadPlace, String> places = new HashMap<>(problem.fixed());
    places.putAll(
        SortedPlaces.of(problem, storage, names)
            .orElseThrow(() ->
                Refusal.conflict(
                    "the tools do not all fit in that order: wide ones need empty places beside"
                        + " them; take one out, or choose another order")));
    Set<String> others = new HashSet<>(problem.present().values());
    names.forEach(others::remove);
    return new LoadProblem(
        problem.storages(), places, problem.tools(), problem.present(), names, others);
  }
}
