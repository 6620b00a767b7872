package arborline.core.tool;

import arborline.core.property.Dictionary;
import arborline.core.quantity.Unit;
import java.math.BigDecimal;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * One tool: who it is, what class it belongs to and what its properties are.
 *
 * @param code shop-wide identity; may be empty until one is given
 * @param name what people call it
 * @param toolClass id of its {@link ToolClass}; may be empty while unknown
 * @param values by property symbol, in the order of the symbols
 * @param notes what else is known, by its heading; a plain note has the empty one
 */
public record Tool(
    String code,
    String name,
    String toolClass,
    Map<String, Value> values,
    SortedMap<String, String> notes) {

  private static final SortedMap<String, String> NO_NOTES =
      Collections.unmodifiableSortedMap(new TreeMap<>());

  public Tool {
    values = Collections.unmodifiableMap(new LinkedHashMap<>(sorted(values)));
    notes = notes.isEmpty() ? NO_NOTES : Collections.unmodifiableSortedMap(new TreeMap<>(notes));
  }

  private static Map<String, Value> sorted(Map<String, Value> values) {
    boolean natural = values instanceof SortedMap<String, Value> map && map.comparator() == null;
    return natural ? values : new TreeMap<>(values);
  }

  /** A tool without notes. */
  public Tool(String code, String name, String toolClass, Map<String, Value> values) {
    this(code, name, toolClass, values, NO_NOTES);
  }

  public static Tool of(String code, String name, String toolClass, Map<String, Value> values) {
    return new Tool(code, name, toolClass, values);
  }

  public boolean has(String symbol) {
    return values.containsKey(symbol);
  }

  /**
   * Size of a numeric property in the property's canonical unit (mm, deg, 1, ...), or null where it
   * has none.
   */
  public BigDecimal size(String symbol) {
    return values.get(symbol) instanceof Value.Measure measure ? canonical(symbol, measure) : null;
  }

  /** As {@link #size}, for drawing and other computation where rounding does no harm. */
  public double approx(String symbol, double otherwise) {
    BigDecimal size = size(symbol);
    return size == null ? otherwise : size.doubleValue();
  }

  public Optional<String> word(String symbol) {
    return values.get(symbol) instanceof Value.Word word
        ? Optional.of(word.text())
        : Optional.empty();
  }

  /** A copy with one value set, or taken away where the value is null. */
  public Tool with(String symbol, Value value) {
    Map<String, Value> changed = new TreeMap<>(values);
    if (value == null) {
      changed.remove(symbol);
    } else {
      changed.put(symbol, value);
    }
    return new Tool(code, name, toolClass, changed, notes);
  }

  public Tool named(String otherCode, String otherName) {
    return new Tool(otherCode, otherName, toolClass, values, notes);
  }

  public Tool ofClass(String otherClass) {
    return new Tool(code, name, otherClass, values, notes);
  }

  /** The same with other notes. */
  public Tool noted(SortedMap<String, String> others) {
    return new Tool(code, name, toolClass, values, others);
  }

  private static BigDecimal canonical(String symbol, Value.Measure measure) {
    Unit own = Dictionary.standard().get(symbol).unit().orElseThrow();
    return measure.quantity().in(own);
  }
}
