package arborline.core.post;

/**
 * Numbers from one to another, both included.
 *
 * @param from 0 or more
 */
public record PostNumbers(int from, int to) {

  boolean has(int number) {
    return number >= from && number <= to;
  }

  String words() {
    return "%d to %d".formatted(from, to);
  }
}
