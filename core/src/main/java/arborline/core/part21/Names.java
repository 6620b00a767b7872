package arborline.core.part21;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/** Names of entities, numbered from 0 in the order in which they are met. */
final class Names {

  private static final int SLOTS = 1024;
  private static final int LONGEST = 64;
  private static final byte[] NONE = {};

  private final List<String> names = new ArrayList<>();
  private final Map<String, Integer> numbers = new HashMap<>();

  /** As they are written, each in the first slot that was free for it, with their numbers. */
  private final byte[][] signs = new byte[SLOTS][];

  private final int[] met = new int[SLOTS];
  private int taken;

  Names() {
    Arrays.fill(signs, NONE);
  }

  /** The number of the name that stands at a place of a text, whatever its letters. */
  int at(byte[] text, int from, int to) {
    int slot = slot(text, from, to);
    while (signs[slot] != NONE) {
      byte[] known = signs[slot];
      if (Arrays.equals(known, 0, known.length, text, from, to)) {
        return met[slot];
      }
      slot = slot + 1 & SLOTS - 1;
    }
    return add(text, from, to, slot);
  }

  /** Takes in one that is met for the first time, or again while no slot was left for it. */
  private int add(byte[] text, int from, int to, int slot) {
    String name =
        new String(text, from, to - from, StandardCharsets.UTF_8).toUpperCase(Locale.ROOT);
    int number = numbers.computeIfAbsent(name, this::add);
    if (to - from <= LONGEST && taken < SLOTS / 2) {
      signs[slot] = Arrays.copyOfRange(text, from, to);
      met[slot] = number;
      taken++;
    }
    return number;
  }

  private int add(String name) {
    names.add(name);
    return names.size() - 1;
  }

  /** The name that has a number, in capitals. */
  String name(int number) {
    return names.get(number);
  }

  /** The number of a name; -1 for one that was not met. */
  int number(String name) {
    return numbers.getOrDefault(name, -1);
  }

  /** All that were met. */
  List<String> all() {
    return List.copyOf(names);
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
