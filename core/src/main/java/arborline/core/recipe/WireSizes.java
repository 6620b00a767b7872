package arborline.core.recipe;

import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Number and letter drills: #7 is 0.2010 in, Q is 0.3320 in. Source: standard drill gauges. */
final class WireSizes {

  private static final Map<String, String> INCHES = WordTable.read("wire-sizes.tsv");
  private static final Pattern NUMBER = Pattern.compile("(?i)(?:#|no\\.?)\\s*(\\d{1,2})");
  private static final Pattern LETTER =
      Pattern.compile("(?i)(?:(?:ltr|letter|let)\\.?\\s*)?([A-Z])");

  private WireSizes() {}

  /** The size in inches that a whole cell names. */
  static Optional<String> inches(String cell) {
    String text = cell.strip();
    Matcher number = NUMBER.matcher(text);
    if (number.matches()) {
      return Optional.ofNullable(INCHES.get(number.group(1)));
    }
    Matcher letter = LETTER.matcher(text);
    return letter.matches()
        ? Optional.ofNullable(INCHES.get(letter.group(1).toUpperCase(Locale.ROOT)))
        : Optional.empty();
  }
}
