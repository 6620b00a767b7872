package arborline.core.property;

import arborline.core.quantity.Unit;
import java.util.Optional;

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

  public boolean numeric() {
    return unit.isPresent();
  }

  public boolean length() {
    return unit.filter(Unit.MILLIMETRE::equals).isPresent();
  }
}
