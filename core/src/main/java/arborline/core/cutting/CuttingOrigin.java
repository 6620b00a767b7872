package arborline.core.cutting;

import java.util.Locale;
import java.util.Optional;

/** Where a line of cutting data comes from; what was proven at a machine beats the rest. */
public enum CuttingOrigin {
  PROVEN,
  FIXED,
  CATALOGUE,
  CALCULATED;

  /** The word in files: {@code proven}. */
  public String word() {
    return name().toLowerCase(Locale.ROOT);
  }

  /** Finds an origin by its word. */
  public static Optional<CuttingOrigin> named(String word) {
    for (CuttingOrigin origin : values()) {
      if (origin.word().equals(word.strip().toLowerCase(Locale.ROOT))) {
        return Optional.of(origin);
      }
    }
    return Optional.empty();
  }
}
