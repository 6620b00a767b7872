package arborline.core.edit;

import arborline.core.exchange.Cell;
import arborline.core.formula.ValueFormula;
import arborline.core.property.Dictionary;
import arborline.core.quantity.Quantity;
import arborline.core.quantity.Unit;
import arborline.core.tool.Completed;
import arborline.core.tool.Tool;
import arborline.core.tool.Value;
import java.util.Optional;

/**
 * A value that is worked out from others of the same tool, once: {@code APMX + 2}.
 *
 * @param property symbol of a number
 * @param unit in which the result is written, and of bare numbers
 */
public record SetByFormula(String property, ValueFormula formula, Unit unit) implements BulkEdit {

  @Override
  public Optional<String> symbol() {
    return Optional.of(property);
  }

  @Override
  public Written write(Tool tool) {
    Tool whole = Completed.of(tool).tool();
    ValueFormula.Result result = formula.evaluate(symbol -> number(whole, symbol), unit);
    return result
        .quantity()
        .map(quantity -> Written.of(property, Cell.of(quantity.text(), quantity.unit())))
        .orElseGet(() -> Written.fault(result.fault()));
  }

  private static Optional<Quantity> number(Tool tool, String symbol) {
    return Dictionary.standard().has(symbol)
            && tool.values().get(symbol) instanceof Value.Measure measure
        ? Optional.of(measure.quantity())
        : Optional.empty();
  }
}
