package arborline.core.machine;

import static org.junit.jupiter.api.Assertions.assertEquals;

import arborline.core.finding.Finding;
import arborline.core.finding.Severity;
import arborline.core.quantity.Quantity;
import arborline.core.quantity.Unit;
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

  static final Machine HERON = TestMachines.heron(40);

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
                new BigDecimal(moment),
                "")));
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
  void twoWideToolsMayShareAnEmptyPocketBetweenThem() {
    assertEquals(List.of(), check("5", wide("150"), Map.of("7", wide("150"))));
  }

  @Test
  void allToolsTogetherWeighNoMoreThanTheChainCarries() {
    Map<String, Loaded> others = new HashMap<>();
    for (int place = 10; place < 25; place++) {
      others.put(Integer.toString(place), held("100", "40", "7.5", "1"));
    }
    assertEquals(
        List.of("mass-sum-beyond-limit"), holds("5", held("100", "40", "7.6", "1"), others));
    assertEquals(List.of(), holds("5", held("100", "40", "7.5", "1"), rest(others)));
  }

  private static Map<String, Loaded> rest(Map<String, Loaded> others) {
    Map<String, Loaded> rest = new HashMap<>(others);
    rest.remove("10");
    return rest;
  }

  private static Loaded on(String connection) {
    return new Loaded(
        wide("10"),
        Optional.of(
            new Assembly(
                new BigDecimal("100"),
                new BigDecimal("50"),
                BigDecimal.ONE,
                BigDecimal.ONE,
                connection)));
  }

  @Test
  void aHolderOfAnotherSeatIsRefusedWithBothNames() {
    assertEquals(List.of(), holds("5", on("ST-JD-40:m"), Map.of()));
    Finding refused = Fit.check(HERON, "5", on("HT-A-63:m"), Map.of()).getFirst();
    assertEquals("seat-differs", refused.code());
    assertEquals(
        "its holder (HSK-A63) does not go into pocket 5, which takes BT40, coolant through: %s"
            .formatted(refused.message().split(": ", 2)[1]),
        refused.message());
  }

  private static List<Finding> turret(Loaded tool, Map<String, Loaded> others) {
    return Fit.check(TestMachines.cormorant(), "2", tool, others);
  }

  @Test
  void aTurretRefusesWhatWouldSwingTooFar() {
    assertEquals(
        "it reaches 341.321 mm from the axis of the turret, which swings 340 mm",
        turret(held("120", "60", "1", "1"), Map.of()).getFirst().message());
    assertEquals(List.of(), turret(held("115", "60", "1", "1"), Map.of()));
  }

  private static Loaded of(String toolClass) {
    return new Loaded(Tool.of("T", "T", toolClass, Map.of()), Optional.empty());
  }

  private static List<String> why(Machine machine, String place, String toolClass) {
    return Fit.check(machine, place, of(toolClass), Map.of()).stream()
        .filter(finding -> finding.code().equals("place-unsuited"))
        .map(Finding::message)
        .toList();
  }

  @Test
  void aToolHasToBeTurnedOrHeldStillAsItCuts() {
    Machine lathe = TestMachines.cormorant();
    assertEquals(
        List.of("a turning tool needs work that turns; M1 Heron turns none"),
        why(HERON, "5", "turning-external"));
    assertEquals(
        List.of("an insert goes into a tool, not into a machine"), why(lathe, "5", "insert"));
    assertEquals(
        List.of("a flat end mill has to turn; station 3 of L1 Cormorant drives nothing"),
        why(lathe, "3", "end-mill-flat"));
    assertEquals(List.of(), why(lathe, "2", "end-mill-flat"));
    assertEquals(List.of(), why(lathe, "3", "turning-external"));
    assertEquals(List.of(), why(lathe, "3", "drill-twist"), "on the centre line it stands still");
    assertEquals(List.of(), why(HERON, "5", "drill-twist"));
  }

  @Test
  void fixedAggregatesTakeWhatBoresAndSaws() {
    assertEquals(List.of(), why(TestMachines.pelican(), "21", "drill-panel"));
    assertEquals(List.of(), why(TestMachines.pelican(), "22", "saw-blade"));
    assertEquals(
        List.of("a fixed aggregate takes drills, saw blades and aggregates"),
        why(TestMachines.pelican(), "21", "router-up-cut"));
  }

  @Test
  void unequalHalvesOfATurretAreAskedAbout() {
    Map<String, Loaded> others =
        Map.of("4", held("100", "50", "2.1", "1"), "5", held("100", "50", "1", "1"));
    Finding asked = turret(held("100", "50", "1", "1"), others).getFirst();
    assertEquals(Severity.QUERY, asked.severity());
    assertEquals(
        "one half of the turret is 4.1 kg heavier than the other; 4 kg are allowed",
        asked.message());
    Map<String, Loaded> balanced = new HashMap<>(others);
    balanced.put("9", held("100", "50", "1", "1"));
    assertEquals(List.of(), turret(held("100", "50", "1", "1"), balanced));
  }

  @Test
  void aStationThatIsNotThereIsNamedWithThoseThatAre() {
    assertEquals(
        "L1 Cormorant has no station '13'; it has 1 to 12",
        Fit.check(TestMachines.cormorant(), "13", wideHeld(), Map.of()).getFirst().message());
  }

  private static Loaded wideHeld() {
    return held("100", "50", "1", "1");
  }
}
