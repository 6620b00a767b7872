package arborline.core.part21;

import java.util.Arrays;

/** Places of instances in a file, in rising order. */
final class Places {

  private int[] places = new int[8];
  private int size;

  void add(int place) {
    if (size == places.length) {
      places = Arrays.copyOf(places, 2 * size);
    }
    places[size++] = place;
  }

  int[] all() {
    return Arrays.copyOf(places, size);
  }
}
