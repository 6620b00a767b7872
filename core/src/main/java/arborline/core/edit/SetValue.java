package arborline.core.edit;

import arborline.core.exchange.Cell;
import arborline.core.quantity.Unit;
import arborline.core.tool.Tool;
import java.util.Optional;

/**
 * One value for all.
 *
 * @param property symbol
 * @param text as people write it; empty to take the value away
 * @param unit of a number without one; nothing for the property's own
 */
public record SetValue(String property, String text, Optional<Unit> unit) implements BulkEdit {

  @Override
  public Optional<String> symbol() {
    return Optional.of(property);
  }

  @Override
  public Written write(Tool tool) {
    return Written.of(property, new Cell(text, unit, false));
  }
}
