package arborline.core.part21;

import java.util.Arrays;
import java.util.List;
import java.util.function.LongPredicate;

/** References to instances that had not been read when they were met. */
final class ForwardReferences {

  private static final int FIRST_SIZE = 1024;

  private final InstanceTable known;
  private long[] numbers = new long[FIRST_SIZE];
  private int[] places = new int[FIRST_SIZE];
  private int size;

  ForwardReferences(InstanceTable known) {
    this.known = known;
  }

  /** Takes in those of a statement. */
  void add(Statement statement, int place) {
    for (Entity entity : statement.entities()) {
      add(entity.arguments(), place);
    }
  }

  private void add(List<Argument> arguments, int place) {
    for (int i = 0; i < arguments.size(); i++) {
      switch (arguments.get(i)) {
        case Argument.Reference reference -> add(reference.id(), place);
        case Argument.Several several -> add(several.of(), place);
        case Argument.Typed typed -> add(typed.entity().arguments(), place);
        default -> {}
      }
    }
  }

  /** Takes in one of the instance at a place. */
  void add(long number, int place) {
    if (known.place(number) >= 0) {
      return;
    }
    if (size == numbers.length) {
      numbers = Arrays.copyOf(numbers, 2 * size);
      places = Arrays.copyOf(places, 2 * size);
    }
    numbers[size] = number;
    places[size++] = place;
  }

  /** A reference that leads nowhere, of the instance at a place. */
  interface Dangling {
    void at(int place, long number);
  }

  /** Names the first of each instance whose number is not known by now, nor elsewhere. */
  void dangling(LongPredicate elsewhere, Dangling found) {
    int last = -1;
    for (int i = 0; i < size; i++) {
      if (places[i] != last && known.place(numbers[i]) < 0 && !elsewhere.test(numbers[i])) {
        last = places[i];
        found.at(last, numbers[i]);
      }
    }
  }
}
