package arborline.core.table;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Tools whose numbers, places, offset numbers and numbers in programs run alongside each other,
 * each by one step from tool to tool.
 *
 * @param first the first tool of the range
 * @param last the last one; the first where it is one tool
 */
public record NumberRange(NumberedPlace first, NumberedPlace last) {

  /**
   * One tool.
   *
   * @param order of its place among the places of the machine
   * @param offset its offset number, where the control shows one
   * @param inPrograms its number in programs, where it has another one there
   */
  public record NumberedPlace(
      String place, int order, int number, Optional<Integer> offset, Optional<Integer> inPrograms) {

    private boolean before(NumberedPlace next) {
      return order + 1 == next.order
          && number + 1 == next.number
          && offset.map(one -> one + 1).equals(next.offset)
          && inPrograms.map(one -> one + 1).equals(next.inPrograms);
    }
  }

  /** How many tools it has. */
  public int size() {
    return last.number - first.number + 1;
  }

  /** The ranges of tools by their numbers, the lowest first. */
  public static List<NumberRange> byNumber(List<NumberedPlace> tools) {
    return ranges(
        tools.stream()
            .sorted(
                Comparator.comparingInt(NumberedPlace::number)
                    .thenComparingInt(NumberedPlace::order)));
  }

  /** The ranges of tools by their places, the first place first. */
  public static List<NumberRange> byPlace(List<NumberedPlace> tools) {
    return ranges(tools.stream().sorted(Comparator.comparingInt(NumberedPlace::order)));
  }

  private static List<NumberRange> ranges(Stream<NumberedPlace> sorted) {
    List<NumberRange> ranges = new ArrayList<>();
    sorted.forEach(tool -> {
      NumberRange open = ranges.isEmpty() ? null : ranges.getLast();
      if (open != null && open.last.before(tool)) {
        ranges.set(ranges.size() - 1, new NumberRange(open.first, tool));
      } else {
        ranges.add(new NumberRange(tool, tool));
      }
    });
    return ranges;
  }
}
