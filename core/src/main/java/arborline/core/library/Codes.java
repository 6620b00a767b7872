package arborline.core.library;

import java.util.Locale;
import java.util.function.Predicate;

/** Rules for tool codes: unique in the shop whatever the letter case, no white space. */
public final class Codes {

  private Codes() {}

  /** What makes two codes the same. */
  public static String key(String code) {
    return code.strip().toUpperCase(Locale.ROOT);
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
