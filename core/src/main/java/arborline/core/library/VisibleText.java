package arborline.core.library;

import java.util.Locale;
import java.util.Optional;

/**
 * Text whose every sign can be seen. Control characters, zero-width and direction marks and signs
 * without a meaning make two texts that look alike differ, or end a record of a control early.
 */
public final class VisibleText {

  private VisibleText() {}

  /** What cannot be seen in a text, and where; nothing where all of it can. */
  public static Optional<String> fault(String what, String text) {
    int position = 1;
    for (int at = 0; at < text.length(); at += Character.charCount(text.codePointAt(at))) {
      if (hidden(text.codePointAt(at))) {
        return Optional.of(
            String.format(
                Locale.ROOT,
                "%s has a character that cannot be seen (U+%04X) at position %d",
                what,
                text.codePointAt(at),
                position));
      }
      position++;
    }
    return Optional.empty();
  }

  /** The text without what cannot be seen. */
  public static String only(String text) {
    StringBuilder seen = new StringBuilder(text.length());
    text.codePoints().filter(point -> !hidden(point)).forEach(seen::appendCodePoint);
    return seen.toString();
  }

  private static boolean hidden(int point) {
    return switch (Character.getType(point)) {
      case Character.CONTROL,
          Character.FORMAT,
          Character.SURROGATE,
          Character.PRIVATE_USE,
          Character.UNASSIGNED,
          Character.LINE_SEPARATOR,
          Character.PARAGRAPH_SEPARATOR ->
          true;
      default -> false;
    };
  }
}
