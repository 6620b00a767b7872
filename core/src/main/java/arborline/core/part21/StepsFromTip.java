package arborline.core.part21;

import arborline.core.exchange.Cell;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.SortedMap;

/**
 * The diameters of a step drill as we number them. Vendors count all of them from the tip: DC1 cuts
 * first, DC2 follows. With us DC is the diameter at the tip, and DC1 the first step behind it; the
 * lengths and angles of the steps have the same numbers in both. Source: ISO 13399, numbered
 * properties.
 */
final class StepsFromTip {

  private static final String TIP = "DC";
  private static final String CLASS = "drill-step";
  private static final int MOST = 9;

  private StepsFromTip() {}

  /** Numbers the diameters anew; returns what was done in words, nothing where nothing was. */
  static Optional<String> apply(
      String classId, SortedMap<String, Cell> cells, SortedMap<String, BigDecimal> sizes) {
    List<String> steps = new ArrayList<>();
    for (int step = 1; step <= MOST && sizes.containsKey(TIP + step); step++) {
      steps.add(TIP + step);
    }
    if (!classId.equals(CLASS) || steps.isEmpty() || !fromTip(steps, sizes)) {
      return Optional.empty();
    }
    List<Cell> diameters = steps.stream().map(cells::get).toList();
    steps.forEach(cells::remove);
    cells.put(TIP, diameters.getFirst());
    for (int step = 1; step < diameters.size(); step++) {
      cells.put(TIP + step, diameters.get(step));
    }
    return Optional.of(
        "the vendor counts the diameters from the tip: its %s are DC%s here"
            .formatted(
                String.join(", ", steps),
                diameters.size() == 1 ? "" : " to DC" + (diameters.size() - 1)));
  }

  /** True unless DC says itself what the tip is: another diameter than all the steps. */
  private static boolean fromTip(List<String> steps, SortedMap<String, BigDecimal> sizes) {
    BigDecimal tip = sizes.get(TIP);
    return tip == null || steps.stream().anyMatch(step -> sizes.get(step).compareTo(tip) == 0);
  }
}
