package arborline.core.part21;

import java.util.Locale;

/** Names of entities, each as one string however often it stands in a file. */
final class Names {

  private static final int SLOTS = 512;
  private static final int LONGEST = 64;

  private final String[] known = new String[SLOTS];

  /** The name that stands at a place of a text, in capitals. */
  String at(char[] text, int from, int to) {
    int hash = 0;
    for (int i = from; i < to; i++) {
      hash = 31 * hash + text[i];
    }
    int slot = (hash ^ hash >>> 15) & SLOTS - 1;
    String name = known[slot];
    if (name == null || !same(name, text, from, to)) {
      String written = new String(text, from, to - from);
      name = written.toUpperCase(Locale.ROOT);
      if (name.equals(written) && name.length() <= LONGEST) {
        known[slot] = name;
      }
    }
    return name;
  }

  private static boolean same(String name, char[] text, int from, int to) {
    if (name.length() != to - from) {
      return false;
    }
    for (int i = from; i < to; i++) {
      if (name.charAt(i - from) != text[i]) {
        return false;
      }
    }
    return true;
  }
}
