package arborline.core.library;

import java.util.Locale;
import java.util.Optional;

/** How tools get their numbers when they enter a library. */
public enum Numbering {
  /** The number that came with the tool; the next free one where it has none or it is used. */
  KEEP,
  /** The next free number. */
  NEXT,
  /** The next free number in the range of the tool's process. */
  RANGE,
  /** The position in the delivery. */
  POSITION;

  public static Optional<Numbering> named(String text) {
    try {
      return Optional.of(valueOf(text.toUpperCase(Locale.ROOT)));
    } catch (IllegalArgumentException unknown) {
      return Optional.empty();
    }
  }
}
