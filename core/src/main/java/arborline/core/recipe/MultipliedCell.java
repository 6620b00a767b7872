package arborline.core.recipe;

import arborline.core.cutting.CuttingField;
import arborline.core.exchange.DecimalSign;
import arborline.core.property.Dictionary;
import arborline.core.property.Property;
import arborline.core.quantity.Entry;
import arborline.core.quantity.EntryParser;
import arborline.core.quantity.Unit;
import java.math.BigDecimal;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A cell whose number is multiplied: {@code 5 mm} by 2 is {@code 10 mm}. The sign of decimals, a
 * unit and a fit behind the number stay; a fraction of a length is in inches and says so then.
 */
final class MultipliedCell {

  private static final Pattern PARTS =
      Pattern.compile(
          "([\u00d8\u2300\u00f8]?\\s*)"
              + "([-+]?(?:(?:\\d+[\\s-]+)?\\d+/\\d+|[\\d.,]*\\d))"
              + "(\\s*(?i:mm|inch|in|\"|thou|\u00b0|\u00ba)?\\.?)"
              + "(\\s*[a-zA-Z]{1,2}\\d{1,2})?");
  private static final int LONGEST = 40;

  private MultipliedCell() {}

  /**
   * The cell with its number multiplied; nothing where it holds no number that can be told.
   *
   * @param symbol of the column
   * @param decimal point or comma
   */
  static Optional<String> of(String cell, String symbol, BigDecimal factor, char decimal) {
    Matcher parts = PARTS.matcher(cell);
    if (cell.length() > LONGEST || !parts.matches()) {
      return Optional.empty();
    }
    DecimalSign.Read number = DecimalSign.read(parts.group(2), decimal, symbol);
    boolean told = number.finding().isEmpty();
    if (!told
        || !(EntryParser.parse(number.text(), Unit.MILLIMETRE) instanceof Entry.Understood read)) {
      return Optional.empty();
    }
    BigDecimal product = read.quantity().amount().multiply(factor).stripTrailingZeros();
    String plain = product.signum() == 0 ? "0" : product.toPlainString();
    String unit = parts.group(3);
    boolean inches = parts.group(2).contains("/") && unit.isBlank() && length(symbol);
    String fit = parts.group(4) == null ? "" : parts.group(4);
    return Optional.of(
        parts.group(1)
            + (decimal == ',' ? plain.replace('.', ',') : plain)
            + (inches ? " in" : unit)
            + fit);
  }

  /** True for a column of numbers. */
  static boolean possible(String symbol) {
    return CuttingField.named(symbol).isPresent()
        || Dictionary.standard().find(symbol).filter(Property::numeric).isPresent();
  }

  private static boolean length(String symbol) {
    return Dictionary.standard()
        .find(symbol)
        .flatMap(Property::unit)
        .or(() -> CuttingField.named(symbol).map(CuttingField::unit))
        .filter(Unit.MILLIMETRE::equals)
        .isPresent();
  }
}
