package arborline.core.naming;

import java.util.BitSet;
import java.util.List;

/**
 * Matches a text against fixed pieces and running numbers, in time that grows with the length of
 * the text times the number of pieces: however many numbers a pattern has, no text makes it slow.
 */
final class LinearMatch {

  private static final int MOST_DIGITS = 9;

  private LinearMatch() {}

  /** A piece that a text must have next. */
  sealed interface Step {

    /** Just this text. */
    record Fixed(String text) implements Step {}

    /** So many digits at least, nine at most. */
    record Digits(int least) implements Step {}
  }

  /** True where the whole text is made of the steps in their order. */
  static boolean matches(List<Step> steps, String text) {
    BitSet reached = new BitSet(text.length() + 1);
    reached.set(0);
    for (Step step : steps) {
      BitSet next = new BitSet(text.length() + 1);
      for (int at = reached.nextSetBit(0); at >= 0; at = reached.nextSetBit(at + 1)) {
        switch (step) {
          case Step.Fixed fixed -> {
            if (text.startsWith(fixed.text(), at)) {
              next.set(at + fixed.text().length());
            }
          }
          case Step.Digits digits -> digits(digits.least(), text, at, next);
        }
      }
      reached = next;
    }
    return reached.get(text.length());
  }

  private static void digits(int least, String text, int from, BitSet next) {
    for (int at = from; at < text.length() && at - from < MOST_DIGITS; at++) {
      char sign = text.charAt(at);
      if (sign < '0' || sign > '9') {
        return;
      }
      if (at + 1 - from >= least) {
        next.set(at + 1);
      }
    }
  }
}
