package arborline.core.exchange;

/**
 * Keeps a spreadsheet from running a text cell as a formula: such a cell is written behind an
 * apostrophe and read back without it.
 */
final class FormulaGuard {

  private static final String STARTS = "=+-@\t\r";

  private FormulaGuard() {}

  static String guard(String text) {
    return dangerous(text, apostrophes(text)) ? "'" + text : text;
  }

  static String unguard(String text) {
    int apostrophes = apostrophes(text);
    return apostrophes > 0 && dangerous(text, apostrophes) ? text.substring(1) : text;
  }

  private static int apostrophes(String text) {
    int count = 0;
    while (count < text.length() && text.charAt(count) == '\'') {
      count++;
    }
    return count;
  }

  private static boolean dangerous(String text, int at) {
    return text.length() > at && STARTS.indexOf(text.charAt(at)) >= 0;
  }
}
