package arborline.core.exchange;

import arborline.core.formula.ValueFormula;
import arborline.core.quantity.Unit;
import arborline.core.tool.Value;
import java.util.Optional;

/**
 * A value as it arrived, before anybody understood it.
 *
 * @param text as written; what the formula came to where there is one
 * @param unit what the column or the field says it is in
 * @param defaulted true while it is a trade default that nobody has confirmed
 * @param formula by which it follows from others, as written
 */
public record Cell(String text, Optional<Unit> unit, boolean defaulted, Optional<String> formula) {

  public Cell(String text, Optional<Unit> unit, boolean defaulted) {
    this(text, unit, defaulted, Optional.empty());
  }

  public static Cell of(String text) {
    return new Cell(text, Optional.empty(), false);
  }

  public static Cell of(String text, Unit unit) {
    return new Cell(text, Optional.of(unit), false);
  }

  /** The cell that brings a value back. */
  public static Cell of(Value value) {
    return switch (value) {
      case Value.Measure measure ->
          new Cell(
              measure.text(),
              Optional.of(measure.quantity().unit()),
              value.defaulted(),
              measure.formula().map(ValueFormula::text));
      case Value.Word word -> new Cell(word.text(), Optional.empty(), word.defaulted());
    };
  }

  /** True where nothing is written. */
  public boolean blank() {
    return text.isBlank() && formula.isEmpty();
  }
}
