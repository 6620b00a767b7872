package arborline.core.table;

import static org.junit.jupiter.api.Assertions.assertEquals;

import arborline.core.table.NumberRange.NumberedPlace;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

class NumberRangeTest {

  private static NumberedPlace tool(int place, int number) {
    return new NumberedPlace(
        Integer.toString(place), place, number, Optional.empty(), Optional.empty());
  }

  private static String text(List<NumberRange> ranges) {
    return String.join(
        ", ",
        ranges.stream()
            .map(range ->
                "%d-%d in %s-%s"
                    .formatted(
                        range.first().number(),
                        range.last().number(),
                        range.first().place(),
                        range.last().place()))
            .toList());
  }

  /** Tools 6 to 10 stand in 52 to 56, and what was there in 6 to 10. */
  @Test
  void rangesThatWereExchangedAreReadBothWays() {
    List<NumberedPlace> tools =
        Stream.concat(
                IntStream.range(0, 5).mapToObj(step -> tool(52 + step, 6 + step)),
                IntStream.range(0, 5).mapToObj(step -> tool(6 + step, 52 + step)))
            .toList();
    assertEquals("6-10 in 52-56, 52-56 in 6-10", text(NumberRange.byNumber(tools)));
    assertEquals("52-56 in 6-10, 6-10 in 52-56", text(NumberRange.byPlace(tools)));
    assertEquals(5, NumberRange.byNumber(tools).getFirst().size());
  }

  @Test
  void aPlaceLeftOutAndANumberLeftOutEndARange() {
    assertEquals(
        "1-2 in 1-2, 3-3 in 4-4, 5-5 in 5-5",
        text(NumberRange.byNumber(List.of(tool(1, 1), tool(2, 2), tool(4, 3), tool(5, 5)))));
  }

  /** Numbers of the library run on, and those in programs begin anew. */
  @Test
  void numbersInProgramsAreMappedToo() {
    List<NumberRange> ranges =
        NumberRange.byNumber(
            List.of(
                new NumberedPlace("1", 0, 601, Optional.empty(), Optional.of(1)),
                new NumberedPlace("2", 1, 602, Optional.empty(), Optional.of(2)),
                new NumberedPlace("3", 2, 603, Optional.empty(), Optional.of(1))));
    assertEquals("601-602 in 1-2, 603-603 in 3-3", text(ranges));
  }

  /** Sister tools have one number, and stand in many places. */
  @Test
  void toolsOfOneNumberAreRangesOfTheirOwn() {
    assertEquals(
        "7-7 in 1-1, 7-7 in 2-2", text(NumberRange.byNumber(List.of(tool(2, 7), tool(1, 7)))));
  }
}
