package arborline.core.cutting.formula;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Named inputs of a formula, in the units that the formula states.
 *
 * @param numbers by name
 * @param segments of a bar, from its free end; empty for all other formulas
 */
public record Inputs(Map<String, Double> numbers, List<Segment> segments) {

  /** Inputs as name and value in turn. */
  public static Inputs of(Object... pairs) {
    Map<String, Double> numbers = new LinkedHashMap<>();
    for (int i = 0; i < pairs.length; i += 2) {
      numbers.put((String) pairs[i], ((Number) pairs[i + 1]).doubleValue());
    }
    return new Inputs(numbers, List.of());
  }

  public boolean has(String name) {
    return numbers.containsKey(name);
  }

  /** The value of an input that is known to be there. */
  public double get(String name) {
    return numbers.get(name);
  }

  public double get(String name, double otherwise) {
    return Optional.ofNullable(numbers.get(name)).orElse(otherwise);
  }
}
