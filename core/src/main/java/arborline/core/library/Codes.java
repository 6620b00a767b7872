package arborline.core.library;

import java.text.Normalizer;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Predicate;

/**
 * Rules for tool codes: unique in the shop whatever the letter case and however accents are
 * composed, no white space, only signs that everybody can see.
 */
public final class Codes {

  private Codes() {}

  /** What makes two codes the same. */
  public static String key(String code) {
    return Normalizer.normalize(code.strip(), Normalizer.Form.NFC).toUpperCase(Locale.ROOT);
  }

  /** Why a text is no code, or nothing where it is one; an empty text is not judged. */
  public static Optional<String> fault(String code) {
    if (code.chars().anyMatch(Character::isWhitespace)) {
      return Optional.of("code '%s' has spaces in it".formatted(code));
    }
    Optional<String> hidden = VisibleText.fault("code", code);
    if (hidden.isPresent()) {
      return hidden;
    }
    return code.startsWith("-") || code.endsWith("-")
        ? Optional.of("code '%s' begins or ends with a dash".formatted(code))
        : Optional.empty();
  }

  /**
   * The nearest text that is a code: hyphens for spaces, hidden signs and outer dashes left out.
   */
  public static String mended(String code) {
    return VisibleText.only(code.strip().replaceAll("\\s+", "-")).replaceAll("^-+|-+$", "");
  }

  /** The code itself where it is free, else the first free one with {@code -2}, {@code -3}, ... */
  public static String nextFree(String code, Predicate<String> used) {
    if (!used.test(key(code))) {
      return code;
    }
    int count = 2;
    while (used.test(key(code + "-" + count))) {
      count++;
    }
    return code + "-" + count;
  }
}
