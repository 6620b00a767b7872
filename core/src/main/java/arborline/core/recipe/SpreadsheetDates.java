package arborline.core.recipe;

import java.time.LocalDate;
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
}
