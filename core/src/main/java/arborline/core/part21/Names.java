package arborline.core.part21;

import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Locale;

/** Names of entities, each as one string however often it stands in a file. */
final class Names {

  private static final int SLOTS = 1024;
  private static final int LONGEST = 64;
  private static final byte[] NONE = {};

  private final String[] known = new String[SLOTS];
  private final byte[][] signs = new byte[SLOTS][];

  Names() {
    Arrays.fill(signs, NONE);
  }

  /** The name that stands at a place of a text, in capitals. */
  String at(byte[] text, int from, int to) {
    int slot = slot(text, from, to);
    byte[] kept = signs[slot];
    if (Arrays.equals(kept, 0, kept.length, text, from, to)) {
      return known[slot];
    }
    String written = new String(text, from, to - from, StandardCharsets.UTF_8);
    String name = written.toUpperCase(Locale.ROOT);
    if (name.equals(written) && name.length() <= LONGEST) {
      known[slot] = name;
      signs[slot] = name.getBytes(StandardCharsets.UTF_8);
    }
    return name;
  }

  /** Few signs tell the names of a schema apart. */
  private static int slot(byte[] text, int from, int to) {
    int length = to - from;
    int hash = length;
    hash = 31 * hash + text[from];
    hash = 31 * hash + text[from + length / 4];
    hash = 31 * hash + text[from + length / 2];
    hash = 31 * hash + text[from + 3 * length / 4];
    hash = 31 * hash + text[to - 1];
    return (hash ^ hash >>> 10) & SLOTS - 1;
  }
}
