package arborline.core.recipe;

import arborline.core.exchange.RawItem;
import arborline.core.finding.Finding;
import arborline.core.finding.Repair;
import java.time.LocalDate;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** What was typed where a spreadsheet made a day of it: 8 March was {@code 3/8}. */
final class SpreadsheetDates {

  private static final Set<Integer> PARTS = Set.of(2, 4, 8, 16, 32);

  private SpreadsheetDates() {}

  /** The fraction of an inch that day and month are, where they are one. */
  static Optional<String> fraction(LocalDate date) {
    int month = date.getMonthValue();
    int day = date.getDayOfMonth();
    if (PARTS.contains(day) && month < day) {
      return Optional.of("%d/%d".formatted(month, day));
    }
    return PARTS.contains(month) && day < month
        ? Optional.of("%d/%d".formatted(day, month))
        : Optional.empty();
  }

  /** Month and day as a code may have had them: {@code 10-12}. */
  static String code(LocalDate date) {
    return "%d-%d".formatted(date.getMonthValue(), date.getDayOfMonth());
  }

  /** A day where a code was typed; month and day are offered back. */
  static Finding forCode(LocalDate date) {
    return Finding.hold(
            "date-for-code",
            "the code is the day %s: a spreadsheet made it of what was typed".formatted(date),
            RawItem.CODE)
        .withRepair(
            Repair.of(
                "date-to-code",
                "take month and day as the code",
                Map.of(RawItem.CODE, code(date))));
  }

  /** A day where a number was typed; the fraction, else day and month, are offered back. */
  static Finding forNumber(LocalDate date, String symbol) {
    Finding finding =
        Finding.hold(
            "date-for-number",
            "%s holds the day %s: a spreadsheet made it of what was typed".formatted(symbol, date),
            symbol);
    return finding.withRepair(
        fraction(date)
            .map(fraction ->
                Repair.of(
                    "date-to-fraction." + symbol,
                    "take the fraction that day and month are in " + symbol,
                    Map.of(symbol, fraction + " in")))
            .orElseGet(() ->
                Repair.of(
                    "date-to-decimal." + symbol,
                    "take day and month as a decimal in " + symbol,
                    Map.of(
                        symbol, "%d.%d".formatted(date.getDayOfMonth(), date.getMonthValue())))));
  }
}
