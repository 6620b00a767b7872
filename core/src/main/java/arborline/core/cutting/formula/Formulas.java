package arborline.core.cutting.formula;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.ServiceLoader;

/**
 * The formulas of machining textbooks. Lengths in mm, speeds vc in m/min, rotation in 1/min, angles
 * in degrees, forces in N, specific force kc in N/mm2, power in kW.
 */
public final class Formulas {

  private static final List<Formula> ALL =
      ServiceLoader.load(CuttingQuantity.class, Formulas.class.getClassLoader()).stream()
          .map(provider -> provider.get().formula())
          .sorted(Comparator.comparing(Formula::id, String.CASE_INSENSITIVE_ORDER))
          .toList();

  private Formulas() {}

  /** By the id of their quantity. */
  public static List<Formula> all() {
    return ALL;
  }

  public static Optional<Formula> named(String id) {
    return ALL.stream().filter(formula -> formula.id().equals(id)).findFirst();
  }
}
