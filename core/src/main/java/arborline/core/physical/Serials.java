package arborline.core.physical;

import java.util.Collection;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;

/**
 * Serials of physical tools: what stands on their labels, so that it fits a small Data Matrix and
 * can be typed where no reader is at hand.
 */
public final class Serials {

  /** Of a serial, characters. */
  public static final int LONGEST = 40;

  private static final Pattern FORM = Pattern.compile("[A-Z0-9][A-Z0-9._/+-]*");

  private Serials() {}

  /** A serial as it is kept: two that differ in letter case only are one. */
  public static String key(String typed) {
    return typed.strip().toUpperCase(Locale.ROOT);
  }

  /** Why a serial cannot be one; empty where it can. */
  public static Optional<String> refusal(String serial) {
    String key = key(serial);
    if (key.length() > LONGEST) {
      return Optional.of("a serial has at most %d characters".formatted(LONGEST));
    }
    return FORM.matcher(key).matches()
        ? Optional.empty()
        : Optional.of(
            "a serial has letters A to Z, digits and . _ / + - only, and begins with one of the"
                + " first two");
  }

  /**
   * The next free serial of a tool: its code and a number from 1 on.
   *
   * @param code of the tool; what no serial may have is left out
   * @param taken serials of the shop that begin with it
   */
  public static String next(String code, Collection<String> taken) {
    String begins = stem(code);
    int last =
        taken.stream()
            .map(Serials::key)
            .filter(serial -> serial.startsWith(begins))
            .map(serial -> serial.substring(begins.length()))
            .filter(rest -> rest.matches("\\d{1,7}"))
            .mapToInt(Integer::parseInt)
            .max()
            .orElse(0);
    return begins + (last + 1);
  }

  /** With what the serials of a tool begin that are given to its pieces. */
  public static String stem(String code) {
    String stem = key(code).replaceAll("[^A-Z0-9._/+-]", "").replaceAll("^[^A-Z0-9]+", "");
    String room = stem.length() > LONGEST - 8 ? stem.substring(0, LONGEST - 8) : stem;
    return (room.isEmpty() ? "T" : room) + ".";
  }
}
