package arborline.core.exchange;

import arborline.core.cutting.CuttingField;
import arborline.core.formula.ValueFormula;
import arborline.core.property.Dictionary;
import arborline.core.property.Property;
import arborline.core.quantity.Conversion;
import arborline.core.quantity.Entry;
import arborline.core.quantity.EntryParser;
import arborline.core.quantity.Quantity;
import arborline.core.quantity.Unit;
import java.util.Optional;

/** Values as a writer states them: as authored, or converted by a stated act. */
final class Restated {

  private Restated() {}

  static Quantity of(Quantity quantity, Optional<Unit> target) {
    return target
        .filter(unit -> convertible(quantity.unit(), unit))
        .map(unit -> new Quantity(quantity.in(unit).toPlainString(), quantity.in(unit), unit))
        .orElse(quantity);
  }

  /** A cell in another unit; a formula is worked out anew there. */
  static Cell of(Cell cell, Optional<Unit> target) {
    return cell == null ? null : known(cell, target);
  }

  private static Cell known(Cell cell, Optional<Unit> target) {
    return cell.unit()
        .filter(unit -> target.filter(wanted -> convertible(unit, wanted)).isPresent())
        .map(unit -> restated(cell, unit, target))
        .orElse(cell);
  }

  private static Cell restated(Cell cell, Unit unit, Optional<Unit> target) {
    if (!(EntryParser.parse(cell.text(), unit) instanceof Entry.Understood understood)) {
      return cell;
    }
    Quantity quantity = of(understood.quantity(), target);
    return new Cell(
        quantity.text(),
        Optional.of(quantity.unit()),
        cell.defaulted(),
        cell.formula().map(formula -> stating(formula, unit)));
  }

  /** A bare number in a formula goes on being in the unit that it was meant in. */
  private static String stating(String formula, Unit unit) {
    return ValueFormula.read(formula)
        .formula()
        .map(read -> read.stating(unit, Restated::unit).text())
        .orElse(formula);
  }

  private static Optional<Unit> unit(String symbol) {
    return Dictionary.standard()
        .find(symbol)
        .flatMap(Property::unit)
        .or(() -> CuttingField.named(symbol).map(CuttingField::unit));
  }

  /** True where a length in the other unit has no end of decimals. */
  static boolean rounds(Quantity quantity, Optional<Unit> target) {
    return target
        .filter(unit -> convertible(quantity.unit(), unit) && !exact(quantity, unit))
        .isPresent();
  }

  private static boolean exact(Quantity quantity, Unit unit) {
    return Conversion.convert(quantity.amount(), quantity.unit(), unit).exact();
  }

  private static boolean convertible(Unit from, Unit to) {
    return from != to
        && (from == Unit.MILLIMETRE || from == Unit.INCH)
        && (to == Unit.MILLIMETRE || to == Unit.INCH);
  }
}
