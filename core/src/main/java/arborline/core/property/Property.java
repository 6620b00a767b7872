package arborline.core.property;

import arborline.core.quantity.Unit;
import java.util.Optional;
import java.util.Set;

/**
 * One property of a tool item.
 *
 * @param symbol ISO 13399 preferred symbol
 * @param unit canonical unit; empty for a text property
 * @param items which items carry it: C cutting item, T tool item, A adaptive item, S assembly
 * @param name the trade's name
 * @param sentence what it is, for whoever stands in the field
 */
public record Property(
    String symbol, Optional<Unit> unit, String items, String name, String sentence) {

  private static final Set<String> PITCHES = Set.of("TP", "TPN", "TPX");

  /**
   * True where a value in this unit can belong to the property: a unit of the same kind, and for
   * pitches also threads per inch.
   */
  public boolean accepts(Unit other) {
    return unit.filter(
            own -> own.kind() == other.kind() || PITCHES.contains(symbol) && other.convertsTo(own))
        .isPresent();
  }

  public boolean numeric() {
    return unit.isPresent();
  }

  public boolean length() {
    return unit.filter(Unit.MILLIMETRE::equals).isPresent();
  }
}
