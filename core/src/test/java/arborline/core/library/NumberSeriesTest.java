package arborline.core.library;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.tool.Process;
import java.util.HashSet;
import java.util.OptionalInt;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class NumberSeriesTest {

  private static NumberSeries series(Numbering numbering, int... taken) {
    return new NumberSeries(numbering, IntStream.of(taken));
  }

  @Test
  void keepKeepsAFreeNumberAndReplacesATakenOne() {
    NumberSeries series = series(Numbering.KEEP, 1, 2, 7);
    assertEquals(12, series.next(OptionalInt.of(12), Process.MILLING, 1));
    assertEquals(3, series.next(OptionalInt.of(7), Process.MILLING, 2));
    assertEquals(4, series.next(OptionalInt.empty(), Process.MILLING, 3));
  }

  @Test
  void nextFillsTheGapsFirst() {
    NumberSeries series = series(Numbering.NEXT, 1, 3);
    assertEquals(2, series.next(OptionalInt.of(90), Process.MILLING, 1));
    assertEquals(4, series.next(OptionalInt.of(90), Process.MILLING, 2));
  }

  @Test
  void rangeBeginsWithTheThousandOfTheProcess() {
    NumberSeries series = series(Numbering.RANGE, 1);
    assertEquals(2, series.next(OptionalInt.empty(), Process.MILLING, 1));
    assertEquals(
        NumberSeries.rangeStart(Process.HOLE_MAKING),
        series.next(OptionalInt.empty(), Process.HOLE_MAKING, 2));
    assertEquals(1001, NumberSeries.rangeStart(Process.HOLE_MAKING));
  }

  @Test
  void positionIsTheLineUnlessThatNumberIsTaken() {
    NumberSeries series = series(Numbering.POSITION, 2);
    assertEquals(1, series.next(OptionalInt.of(50), Process.MILLING, 1));
    assertEquals(3, series.next(OptionalInt.of(50), Process.MILLING, 2));
  }

  @ParameterizedTest
  @EnumSource(Numbering.class)
  void noNumberIsGivenTwiceAndNoneIsZero(Numbering numbering) {
    Random random = new Random(20261123);
    Set<Integer> given = new HashSet<>(Set.of(3, 5, 1001));
    NumberSeries series = series(numbering, 3, 5, 1001);
    for (int position = 1; position <= 500; position++) {
      OptionalInt wanted =
          random.nextBoolean() ? OptionalInt.of(random.nextInt(300)) : OptionalInt.empty();
      Process process = Process.values()[random.nextInt(Process.values().length)];
      int number = series.next(wanted, process, position);
      assertTrue(number > 0 && given.add(number), numbering + " gave " + number);
    }
  }

  @Test
  void namesAreReadInAnyCase() {
    assertEquals(Numbering.POSITION, Numbering.named("position").orElseThrow());
    assertTrue(Numbering.named("sideways").isEmpty());
  }
}
