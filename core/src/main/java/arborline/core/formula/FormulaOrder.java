package arborline.core.formula;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * In which order formulas of one tool are worked out.
 *
 * @param order symbols, each behind those that it follows
 * @param circles symbols that follow themselves, each circle in its order
 */
public record FormulaOrder(List<String> order, List<List<String>> circles) {

  public FormulaOrder {
    order = List.copyOf(order);
    circles = List.copyOf(circles);
  }

  /**
   * Orders formulas.
   *
   * @param formulas by the symbol whose value they give
   */
  public static FormulaOrder of(Map<String, ValueFormula> formulas) {
    Walk walk = new Walk(new LinkedHashMap<>(formulas));
    formulas.keySet().forEach(symbol -> walk.visit(symbol, new LinkedHashSet<>()));
    return new FormulaOrder(
        walk.done.stream().filter(symbol -> !walk.circular.contains(symbol)).toList(),
        walk.circles);
  }

  /** A circle in words: {@code LU follows APMX, APMX follows LU}. */
  public static String text(List<String> circle) {
    List<String> steps = new ArrayList<>();
    for (int i = 0; i < circle.size(); i++) {
      steps.add("%s follows %s".formatted(circle.get(i), circle.get((i + 1) % circle.size())));
    }
    return String.join(", ", steps);
  }

  private static final class Walk {
    private final Map<String, ValueFormula> formulas;
    private final Set<String> done = new LinkedHashSet<>();
    private final Set<String> circular = new LinkedHashSet<>();
    private final List<List<String>> circles = new ArrayList<>();

    private Walk(Map<String, ValueFormula> formulas) {
      this.formulas = formulas;
    }

    private void visit(String symbol, LinkedHashSet<String> path) {
      if (done.contains(symbol) || !formulas.containsKey(symbol)) {
        return;
      }
      if (!path.add(symbol)) {
        List<String> circle = new ArrayList<>(path);
        circle = circle.subList(circle.indexOf(symbol), circle.size());
        circular.addAll(circle);
        circles.add(List.copyOf(circle));
        return;
      }
      for (String source : formulas.get(symbol).symbols()) {
        visit(source, path);
      }
      path.remove(symbol);
      done.add(symbol);
    }
  }
}
