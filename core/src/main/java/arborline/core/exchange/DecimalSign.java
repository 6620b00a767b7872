package arborline.core.exchange;

import arborline.core.finding.Finding;
import arborline.core.finding.Repair;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;

/**
 * Numbers of a table whose decimal sign is known. The other sign can only part thousands: {@code
 * 1.234,5} with a decimal comma is 1234.5. Where a number has that other sign alone, before exactly
 * three digits, it may mean either; nobody but the file's owner knows.
 */
public final class DecimalSign {

  private static final Pattern GROUPED = Pattern.compile("[+-]?[1-9]\\d{0,2}(\\.\\d{3})+");
  private static final Pattern GROUPED_DECIMAL =
      Pattern.compile("[+-]?[1-9]\\d{0,2}(\\.\\d{3})+,\\d+");

  private DecimalSign() {}

  /**
   * A number as the entry parser reads it.
   *
   * @param text with a decimal point
   * @param finding where two readings are possible
   */
  public record Read(String text, Optional<Finding> finding) {}

  /**
   * True for a cell that is read as it is: without a comma, and without a point where commas are
   * decimals.
   */
  static boolean plain(String cell, char sign) {
    return cell.indexOf(',') < 0 && (sign == '.' || cell.indexOf('.') < 0);
  }

  /**
   * Reads a cell of a column of numbers.
   *
   * @param sign point or comma
   */
  public static Read read(String cell, char sign, String symbol) {
    if (plain(cell, sign)) {
      return new Read(cell, Optional.empty());
    }
    String text = cell.strip();
    if (sign == '.') {
      return GROUPED_DECIMAL.matcher(swapped(text)).matches()
          ? new Read(text.replace(",", ""), Optional.empty())
          : new Read(cell, Optional.empty());
    }
    if (GROUPED_DECIMAL.matcher(text).matches()) {
      return new Read(text.replace(".", "").replace(',', '.'), Optional.empty());
    }
    if (GROUPED.matcher(text).matches()) {
      return new Read(cell, Optional.of(twoReadings(text, symbol)));
    }
    return new Read(cell.replace(',', '.'), Optional.empty());
  }

  private static String swapped(String text) {
    return text.replace(',', ' ').replace('.', ',').replace(' ', '.');
  }

  private static Finding twoReadings(String text, String symbol) {
    String thousands = text.replace(".", "");
    return Finding.hold(
            "thousands-or-decimal",
            "%s '%s': the file writes decimals with a comma; the point may part thousands (%s)"
                    .formatted(symbol, text, thousands)
                + " or decimals (%s)".formatted(text),
            symbol)
        .withRepair(
            Repair.of(
                "thousands." + symbol,
                "read points in %s as parting thousands".formatted(symbol),
                Map.of(symbol, thousands)));
  }
}
