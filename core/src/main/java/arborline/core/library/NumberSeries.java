package arborline.core.library;

import arborline.core.tool.Process;
import java.util.BitSet;
import java.util.OptionalInt;
import java.util.stream.IntStream;

/** Gives out tool numbers of one library, none of them twice. */
public final class NumberSeries {

  private final Numbering numbering;
  private final BitSet used = new BitSet();

  /**
   * Starts a series.
   *
   * @param taken numbers that the library uses already
   */
  public NumberSeries(Numbering numbering, IntStream taken) {
    this.numbering = numbering;
    taken.filter(number -> number >= 0).forEach(used::set);
    used.set(0);
  }

  /**
   * The number for the next tool.
   *
   * @param wanted the number it came with
   * @param process decides the range
   * @param position of the tool in the delivery, from 1
   */
  public int next(OptionalInt wanted, Process process, int position) {
    int number =
        switch (numbering) {
          case KEEP ->
              wanted.isPresent() && !used.get(wanted.getAsInt()) ? wanted.getAsInt() : free(1);
          case NEXT -> free(1);
          case RANGE -> free(rangeStart(process));
          case POSITION -> used.get(position) ? free(position) : position;
        };
    used.set(number);
    return number;
  }

  private int free(int from) {
    return used.nextClearBit(from);
  }

  /** Where the numbers of a process begin: milling 1, hole making 1001, threading 2001. */
  public static int rangeStart(Process process) {
    return 1 + 1000 * process.ordinal();
  }
}
