package arborline.core.library;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** The kinds of work that libraries are kept for. */
public enum LibraryProcess {
  MILLING,
  TURNING,
  ROUTING,
  JET;

  /** As it is written: {@code milling}. */
  public String word() {
    return name().toLowerCase(Locale.ROOT);
  }

  /** The one that a word means. */
  public static Optional<LibraryProcess> named(String word) {
    return Arrays.stream(values())
        .filter(process -> process.word().equals(word.strip().toLowerCase(Locale.ROOT)))
        .findFirst();
  }
}
