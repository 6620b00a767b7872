package arborline.core.part21;

import java.util.Arrays;

/** At which place the instance with a number stands; of several with one number the first. */
final class InstanceTable {

  private static final int FIRST_SIZE = 1024;

  /** Numbers below this have a cell each: files count their instances from 1. */
  private static final int MOST_CELLS = 4_000_000;

  /** One more than the place of each small number; 0 where there is none. */
  private int[] cells = new int[FIRST_SIZE];

  /** Larger numbers, above 0; 0 where a slot is free. */
  private long[] numbers = new long[FIRST_SIZE];

  private int[] places = new int[FIRST_SIZE];
  private int size;

  /** Takes a number in; the place of the one that is there already, or -1. */
  int add(long number, int place) {
    if (number < MOST_CELLS) {
      return addSmall((int) number, place);
    }
    if (2 * size >= numbers.length) {
      grow();
    }
    int slot = slot(number);
    if (numbers[slot] == number) {
      return places[slot];
    }
    numbers[slot] = number;
    places[slot] = place;
    size++;
    return -1;
  }

  private int addSmall(int number, int place) {
    if (number >= cells.length) {
      cells = Arrays.copyOf(cells, Math.max(number + 1, 2 * cells.length));
    }
    int before = cells[number] - 1;
    if (before < 0) {
      cells[number] = place + 1;
    }
    return before;
  }

  /** The place of a number; -1 where there is none. */
  int place(long number) {
    if (number < MOST_CELLS) {
      return number < cells.length ? cells[(int) number] - 1 : -1;
    }
    int slot = slot(number);
    return numbers[slot] == number ? places[slot] : -1;
  }

  private int slot(long number) {
    int mask = numbers.length - 1;
    int slot = (int) (number * 0x9E3779B97F4A7C15L >>> 32) & mask;
    while (numbers[slot] != 0 && numbers[slot] != number) {
      slot = slot + 1 & mask;
    }
    return slot;
  }

  private void grow() {
    long[] before = numbers;
    int[] placesBefore = places;
    numbers = new long[2 * before.length];
    places = new int[numbers.length];
    for (int i = 0; i < before.length; i++) {
      if (before[i] != 0) {
        int slot = slot(before[i]);
        numbers[slot] = before[i];
        places[slot] = placesBefore[i];
      }
    }
  }
}
