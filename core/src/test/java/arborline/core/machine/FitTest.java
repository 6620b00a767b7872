package arborline.core.machine;

import static org.junit.jupiter.api.Assertions.assertEquals;

import arborline.core.finding.Finding;
import arborline.core.finding.Severity;
import arborline.core.quantity.Quantity;
import arborline.core.quantity.Unit;
import arborline.core.stack.StackShape;
import arborline.core.tool.Tool;
import arborline.core.tool.Value;
import java.math.BigDecimal;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class FitTest {

  static final Machine HERON =
      new Machine(
          "M1",
          "M1 Heron",
          "vertical mill",
          "ST-JD-40:f",
          new Magazine("chain", 40, true, true),
          new Limits(
              new BigDecimal("12000"),
              new BigDecimal("15"),
              new BigDecimal("95"),
              new BigDecimal("80"),
              new BigDecimal("150"),
              new BigDecimal("300"),
              new BigDecimal("8"),
              Optional.of(new BigDecimal("12"))),
          new ControlHabits("assets-g10", true, true, true, true, 3, 24, "A-Z0-9 .+/-"));

  private static Tool tool(String symbol, String size, Unit unit) {
    return Tool.of(
        "T", "T", "face-mill", Map.of(symbol, new Value.Measure(Quantity.of(size, unit), false)));
  }

  private static Tool wide(String diameter) {
    return tool("DCX", diameter, Unit.MILLIMETRE);
  }

  /** What keeps a bare cutter out. */
  private static List<String> check(String place, Tool tool, Map<String, Tool> occupied) {
    Map<String, Loaded> others = new HashMap<>();
    occupied.forEach((at, other) -> others.put(at, new Loaded(other, Optional.empty())));
    return holds(place, new Loaded(tool, Optional.empty()), others);
  }

  private static List<String> holds(String place, Loaded tool, Map<String, Loaded> others) {
    return Fit.check(HERON, place, tool, others).stream()
        .filter(finding -> finding.severity() == Severity.HOLD)
        .map(Finding::code)
        .toList();
  }

  private static Loaded held(String length, String diameter, String mass, String moment) {
    return new Loaded(
        wide("10"),
        Optional.of(
            new Assembly(
                new BigDecimal(length),
                new BigDecimal(diameter),
                new BigDecimal(mass),
                new BigDecimal(moment))));
  }

  @Test
  void theMachineMeetsTheAssemblyNotTheBareCutter() {
    assertEquals(List.of(), holds("5", held("200", "63", "3.2", "4"), Map.of()));
    assertEquals(
        List.of("length-beyond-limit"), holds("5", held("300.1", "63", "3.2", "4"), Map.of()));
    assertEquals(
        List.of("neighbour-occupied"),
        holds("5", held("200", "81", "3.2", "4"), Map.of("6", held("100", "40", "1", "1"))));
    assertEquals(
        List.of("mass-beyond-limit"), holds("5", held("200", "63", "8.01", "4"), Map.of()));
    assertEquals(
        List.of("moment-beyond-limit"), holds("5", held("200", "63", "3.2", "12.1"), Map.of()));
  }

  @Test
  void thatOnlyTheBareCutterCouldBeJudgedIsSaid() {
    Loaded bare = new Loaded(wide("10"), Optional.empty());
    assertEquals(
        List.of("bare-cutter"),
        Fit.check(HERON, "5", bare, Map.of()).stream().map(Finding::code).toList());
  }

  @Test
  void aWideToolNeedsEmptyNeighbours() {
    assertEquals(List.of(), check("5", wide("100"), Map.of("7", wide("10"))));
    assertEquals(List.of("neighbour-occupied"), check("5", wide("100"), Map.of("6", wide("10"))));
    assertEquals(List.of("neighbour-wide"), check("5", wide("10"), Map.of("4", wide("100"))));
  }

  @Test
  void theChainIsClosed() {
    assertEquals(List.of("neighbour-wide"), check("40", wide("10"), Map.of("1", wide("100"))));
  }

  @Test
  void limitsAreReasons() {
    assertEquals(List.of("diameter-beyond-limit"), check("5", wide("151"), Map.of()));
    assertEquals(
        List.of("mass-beyond-limit"), check("5", tool("WT", "8.1", Unit.KILOGRAM), Map.of()));
    assertEquals(
        List.of("length-beyond-limit"), check("5", tool("OAL", "301", Unit.MILLIMETRE), Map.of()));
    assertEquals(List.of("place-unknown"), check("41", wide("10"), Map.of()));
    assertEquals(List.of("place-unknown"), check("x", wide("10"), Map.of()));
  }

  @Test
  void aNameIsFittedToWhatTheControlKeeps() {
    assertEquals("FRAESER 12", HERON.habits().fit("Fräser 12"));
    assertEquals("A NAME THAT IS FAR", HERON.habits().fit("a name that is far longer than that"));
  }

  private static Machine of(boolean closed) {
    return new Machine(
        "M9",
        "M9",
        "vertical mill",
        "ST-JD-40:f",
        new Magazine("rack", 4, closed, false),
        HERON.limits(),
        HERON.habits());
  }

  @Test
  void aRackHasEndsAndAChainHasNone() {
    assertEquals(List.of("1", "2", "3", "4"), of(false).places());
    assertEquals(List.of("2"), of(false).neighbours("1"));
    assertEquals(List.of("1", "3"), of(false).neighbours("2"));
    assertEquals(List.of("3"), of(false).neighbours("4"));
    assertEquals(List.of("4", "2"), of(true).neighbours("1"));
    assertEquals(List.of("3", "1"), of(true).neighbours("4"));
  }

  @ParameterizedTest(name = "{0} is a place: {1}")
  @CsvSource({
    "1, true",
    "40, true",
    "41, false",
    "0, false",
    "01, false",
    "4 , true",
    "99999, false"
  })
  void placesAreNumbered(String place, boolean there) {
    assertEquals(there, HERON.hasPlace(place));
  }

  /** What is just as large as a limit fits. */
  @Test
  void whatReachesALimitFits() {
    Loaded neighbour = held("100", "40", "1", "1");
    assertEquals(List.of(), holds("5", held("300", "80", "8", "12"), Map.of("6", neighbour)));
    assertEquals(List.of(), holds("5", held("200", "150", "3", "4"), Map.of()));
    assertEquals(List.of(), holds("5", neighbour, Map.of("6", held("200", "80", "3", "4"))));
  }

  @Test
  void aToolSlowerThanTheSpindleIsNoted() {
    Unit turns = Unit.REVOLUTION_PER_MINUTE;
    assertEquals(
        List.of("speed-below-machine", "bare-cutter"), notes(tool("RPMX", "11999", turns)));
    assertEquals(List.of("bare-cutter"), notes(tool("RPMX", "12000", turns)));
  }

  private static List<String> notes(Tool tool) {
    return Fit.check(HERON, "5", new Loaded(tool, Optional.empty()), Map.of()).stream()
        .map(Finding::code)
        .toList();
  }

  @Test
  void aMachineWithoutATiltingMomentAsksForNone() {
    Limits limits = HERON.limits();
    Limits silent =
        new Limits(
            limits.rpm(),
            limits.power(),
            limits.torque(),
            limits.diameter(),
            limits.diameterAlone(),
            limits.length(),
            limits.mass(),
            null);
    assertEquals(Optional.empty(), silent.moment());
    assertEquals(Optional.of(new BigDecimal("12")), limits.moment());
  }

  @Test
  void anAssemblyIsRoundedToTheMicrometre() {
    StackShape shape =
        new StackShape(
            List.of(),
            100,
            90,
            40,
            30,
            63.00049,
            50,
            List.of(),
            2.0006,
            0.5,
            0.02,
            40,
            4.25,
            0.001,
            Optional.empty());
    Assembly assembly = Assembly.of(shape);
    assertEquals("100", assembly.length().toPlainString());
    assertEquals("63", assembly.diameter().toPlainString());
    assertEquals("2.001", assembly.mass().toPlainString());
    assertEquals("4.25", assembly.moment().toPlainString());
  }
}
