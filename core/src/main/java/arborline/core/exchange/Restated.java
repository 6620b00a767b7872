package arborline.core.exchange;

import arborline.core.property.Dictionary;
import arborline.core.quantity.Conversion;
import arborline.core.quantity.Quantity;
import arborline.core.quantity.Unit;
import arborline.core.tool.Tool;
import arborline.core.tool.Value;
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

  static void losses(Tool tool, WriteOptions options, LossReport report) {
    tool.values()
        .forEach((symbol, value) -> {
          if (value instanceof Value.Measure measure
              && options.unit().isPresent()
              && convertible(measure.quantity().unit(), options.unit().get())
              && !exact(measure.quantity(), options.unit().get())) {
            report.add(
                tool.code(),
                symbol,
                "%s is rounded to %d decimals in %s"
                    .formatted(measure, Conversion.INEXACT_DECIMALS, options.unit().get().code()));
          }
          if (Dictionary.standard().find(symbol).isEmpty()) {
            report.add(tool.code(), symbol, "is not a property of the dictionary");
          }
        });
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
