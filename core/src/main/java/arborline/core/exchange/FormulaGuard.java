package arborline.core.exchange;

/**
 * Keeps a spreadsheet from running a text cell as a formula: such a cell is written behind an
 * apostrophe and read back without it.
 */
final class FormulaGuard {

  private static final String STARTS = "=+-@\t\r";

  private FormulaGuard() {}

  static String guard(String text) {
    return dangerous(text, 0) || text.startsWith("'") && dangerous(text, 1) ? "'" + text : text;
  }

  static String unguard(String text) {
    boolean guarded =
        text.startsWith("'") && (dangerous(text, 1) || text.startsWith("''") && dangerous(text, 2));
    return guarded ? text.substring(1) : text;
  }

  private static boolean dangerous(String text, int at) {
    return text.length() > at && STARTS.indexOf(text.charAt(at)) >= 0;
  }
}
