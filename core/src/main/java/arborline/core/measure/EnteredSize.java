package arborline.core.measure;

import arborline.core.quantity.Conversion;
import arborline.core.quantity.Entry;
import arborline.core.quantity.EntryParser;
import arborline.core.quantity.Unit;
import java.math.BigDecimal;
import java.util.Optional;

/**
 * A size as somebody entered it.
 *
 * @param typed the number that was written
 * @param written its unit
 * @param named true where the unit stood with it, and is believed
 */
record EnteredSize(BigDecimal typed, Unit written, boolean named) {

  /** What was entered; empty where it is no length. */
  static Optional<EnteredSize> of(String text, Unit assumed) {
    Unit other = assumed == Unit.INCH ? Unit.MILLIMETRE : Unit.INCH;
    return read(text, assumed)
        .map(size ->
            new EnteredSize(
                size.typed,
                size.written,
                read(text, other).filter(same -> same.written == size.written).isPresent()));
  }

  private static Optional<EnteredSize> read(String text, Unit assumed) {
    return EntryParser.parse(decimalPoint(text), assumed) instanceof Entry.Understood understood
        ? Optional.of(
            new EnteredSize(understood.quantity().amount(), understood.quantity().unit(), false))
        : Optional.empty();
  }

  /** A comma is that of decimals, three of them as well: no tool is thousands long. */
  private static String decimalPoint(String text) {
    return text.indexOf(',') == text.lastIndexOf(',') && text.indexOf('.') < 0
        ? text.replace(',', '.')
        : text;
  }

  /** The same number in another unit. */
  BigDecimal in(Unit unit) {
    return in(typed, unit);
  }

  /** Another number, in the unit in which this one was written. */
  BigDecimal in(BigDecimal number, Unit unit) {
    return Conversion.convert(number, written, unit).amount();
  }
}
