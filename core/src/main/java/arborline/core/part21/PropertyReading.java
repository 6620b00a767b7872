package arborline.core.part21;

import arborline.core.quantity.Conversion;
import arborline.core.quantity.Unit;
import java.math.BigDecimal;
import java.util.Optional;

/**
 * A property of an item as a file has it.
 *
 * @param line on which its value begins
 * @param name symbol, id or whatever else it is called
 * @param number its size; empty for a text and for mere limits
 * @param unit of the number, where one is said
 * @param limit {@code MIN} or {@code MAX} where the number is a limit; empty for a value
 * @param text what is written where it is no number; empty for a number
 */
record PropertyReading(
    long line,
    String name,
    Optional<BigDecimal> number,
    Optional<MeasureUnit> unit,
    String limit,
    String text) {

  static PropertyReading text(long line, String name, String text) {
    return new PropertyReading(line, name, Optional.empty(), Optional.empty(), "", text);
  }

  static PropertyReading number(
      long line, String name, BigDecimal number, Optional<MeasureUnit> unit, String limit) {
    return new PropertyReading(line, name, Optional.of(number), unit, limit, "");
  }

  /**
   * The number in a unit of ours; nothing where its unit is none of that kind. What a conversion
   * brings beyond twelve digits comes from the rounding of whoever wrote the file.
   */
  Optional<BigDecimal> in(Unit wanted) {
    return number.flatMap(size ->
        unit.filter(one -> one.unit().convertsTo(wanted))
            .map(one -> Conversion.convert(one.amount(size), one.unit(), wanted).amount())
            .map(MeasureUnit::sensible));
  }
}
