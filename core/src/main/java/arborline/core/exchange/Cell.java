package arborline.core.exchange;

import arborline.core.quantity.Unit;
import arborline.core.tool.Value;
import java.util.Optional;

/**
 * A value as it arrived, before anybody understood it.
 *
 * @param text as written
 * @param unit what the column or the field says it is in
 * @param defaulted true while it is a trade default that nobody has confirmed
 */
public record Cell(String text, Optional<Unit> unit, boolean defaulted) {

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
          new Cell(measure.text(), Optional.of(measure.quantity().unit()), value.defaulted());
      case Value.Word word -> new Cell(word.text(), Optional.empty(), word.defaulted());
    };
  }
}
