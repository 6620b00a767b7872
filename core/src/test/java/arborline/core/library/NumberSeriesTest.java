package arborline.core.library;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.tool.Process;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class NumberSeriesTest {

  private static NumberSeries series(Numbering numbering, int... taken) {
    return series(numbering, NumberPlan.FREE, taken);
  }

  private static NumberSeries series(Numbering numbering, NumberPlan plan, int... taken) {
    NumberSeries series = new NumberSeries(numbering, plan);
    IntStream.of(taken).forEach(number -> series.taken(LibraryProcess.MILLING, number));
    return series;
  }

  private static int next(NumberSeries series, OptionalInt wanted, int position) {
    return series.next(wanted, "mill-flat", Process.MILLING, position).getAsInt();
  }

  @Test
  void keepKeepsAFreeNumberAndReplacesATakenOne() {
    NumberSeries series = series(Numbering.KEEP, 1, 2, 7);
    assertEquals(12, next(series, OptionalInt.of(12), 1));
    assertEquals(3, next(series, OptionalInt.of(7), 2));
    assertEquals(4, next(series, OptionalInt.empty(), 3));
    assertEquals(5, next(series, OptionalInt.of(Integer.MAX_VALUE), 4));
  }

  @Test
  void aNumberIsClaimedOnce() {
    NumberSeries series = series(Numbering.KEEP, 4);
    assertTrue(series.claim(7, Process.MILLING));
    assertFalse(series.claim(7, Process.HOLE_MAKING));
    assertTrue(series.claim(7, Process.TURNING));
    assertFalse(series.claim(4, Process.MILLING));
    assertFalse(series.claim(0, Process.MILLING));
    assertFalse(series.claim(-3, Process.MILLING));
  }

  @Test
  void nextFillsTheGapsFirst() {
    NumberSeries series = series(Numbering.NEXT, 1, 3);
    assertEquals(2, next(series, OptionalInt.of(90), 1));
    assertEquals(4, next(series, OptionalInt.of(90), 2));
  }

  @Test
  void rangeBeginsWithTheThousandOfTheProcess() {
    NumberSeries series = series(Numbering.RANGE, 1);
    assertEquals(2, next(series, OptionalInt.empty(), 1));
    assertEquals(
        1001, series.next(OptionalInt.empty(), "drill-twist", Process.HOLE_MAKING, 2).getAsInt());
  }

  @Test
  void positionIsTheLineUnlessThatNumberIsTaken() {
    NumberSeries series = series(Numbering.POSITION, 2);
    assertEquals(1, next(series, OptionalInt.of(50), 1));
    assertEquals(3, next(series, OptionalInt.of(50), 2));
  }

  @Test
  void aMillAndATurningToolMayShareANumberAndADrillCountsToTheMills() {
    NumberSeries series = series(Numbering.KEEP, 5);
    OptionalInt five = OptionalInt.of(5);
    assertEquals(five, series.next(five, "turning-external", Process.TURNING, 1));
    assertEquals(OptionalInt.of(1), series.next(five, "drill-twist", Process.HOLE_MAKING, 2));
  }

  @Test
  void inALibraryForTurningADrillStandsAmongTheTurningTools() {
    NumberPlan turning = new NumberPlan(LibraryProcesses.parse("turning"), List.of());
    NumberSeries series = new NumberSeries(Numbering.KEEP, turning);
    series.taken(LibraryProcess.TURNING, 5);
    assertEquals(
        OptionalInt.of(1), series.next(OptionalInt.of(5), "drill-twist", Process.HOLE_MAKING, 1));
  }

  @Test
  void theRangeOfAClassGoesBeforeThatOfItsProcessAndIsFullInTheEnd() {
    NumberPlan plan =
        new NumberPlan(
            LibraryProcesses.ANY,
            List.of(new NumberRange("milling", 100, 199), new NumberRange("mill-ball", 300, 301)));
    NumberSeries series = series(Numbering.NEXT, plan, 100, 300);
    assertEquals(101, next(series, OptionalInt.empty(), 1));
    OptionalInt none = OptionalInt.empty();
    assertEquals(OptionalInt.of(301), series.next(none, "mill-ball", Process.MILLING, 2));
    assertEquals(none, series.next(none, "mill-ball", Process.MILLING, 3));
    assertEquals(OptionalInt.of(1), series.next(none, "tap", Process.THREADING, 4));
  }

  @ParameterizedTest
  @EnumSource(Numbering.class)
  void noNumberIsGivenTwiceAndNoneIsZero(Numbering numbering) {
    Random random = new Random(20261123);
    Map<LibraryProcess, Set<Integer>> given = new EnumMap<>(LibraryProcess.class);
    given.put(LibraryProcess.MILLING, new HashSet<>(Set.of(3, 5, 1001)));
    NumberSeries series = series(numbering, 3, 5, 1001);
    for (int position = 1; position <= 500; position++) {
      OptionalInt wanted =
          random.nextBoolean() ? OptionalInt.of(random.nextInt(300)) : OptionalInt.empty();
      Process process = Process.values()[random.nextInt(Process.values().length)];
      int number = series.next(wanted, "", process, position).getAsInt();
      Set<Integer> before =
          given.computeIfAbsent(LibraryProcesses.ANY.numbersWith(process), one -> new HashSet<>());
      assertTrue(number > 0 && before.add(number), numbering + " gave " + number);
    }
  }

  @Test
  void namesAreReadInAnyCase() {
    assertEquals(Numbering.POSITION, Numbering.named("position").orElseThrow());
    assertTrue(Numbering.named("sideways").isEmpty());
  }
}
