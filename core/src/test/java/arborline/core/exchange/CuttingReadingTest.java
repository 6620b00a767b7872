package arborline.core.exchange;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.cutting.CuttingEntry;
import arborline.core.cutting.CuttingField;
import arborline.core.cutting.CuttingOrigin;
import arborline.core.finding.Finding;
import arborline.core.finding.Severity;
import arborline.core.quantity.Unit;
import arborline.core.tool.Sample;
import arborline.core.tool.Tool;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Speeds and feeds out of cells: stated, in other units, following from others, or refused. */
class CuttingReadingTest {

  private static final Tool MILL =
      Sample.tool("CODE=EM-10 CLASS=end-mill-flat DC=10 APMX=22 DMM=10 OAL=72 NOF=4");
  private static final Tool DRILL =
      Sample.tool("CODE=DR-8 CLASS=drill-twist DC=8 LU=40 LCF=47 DMM=8 OAL=90 SIG=118 NOF=2");
  private static final Tool TAP =
      Sample.tool("CODE=TA-8 CLASS=tap-cutting TDZ=M8 TP=1.25 DMM=8 OAL=90 LU=20 NOF=3");

  private static CuttingReading.Interpreted read(Tool tool, String cells) {
    TreeMap<String, Cell> line = new TreeMap<>();
    for (String pair : cells.split("\\s+")) {
      String[] parts = pair.split("=", 2);
      line.put(parts[0], Cell.of(parts[1].replace('_', ' ')));
    }
    return CuttingReading.interpret(RawItem.cutting(7, tool.code(), line), tool);
  }

  private static CuttingEntry entry(Tool tool, String cells) {
    CuttingReading.Interpreted read = read(tool, cells);
    return read.entry().orElseThrow(() -> new AssertionError(read.findings().toString()));
  }

  private static Finding finding(CuttingReading.Interpreted read) {
    assertEquals(1, read.findings().size(), read.findings().toString());
    return read.findings().getFirst();
  }

  private static void equal(String wanted, BigDecimal number) {
    assertEquals(0, new BigDecimal(wanted).compareTo(number), number.toPlainString());
  }

  @Test
  void whatIsStatedIsTaken() {
    CuttingEntry entry =
        entry(
            MILL,
            "MATERIAL=p-alloy-annealed PURPOSE=rough VC=150 FEED=0.06 AP=10 AE=2.5 COOLANT=mist"
                + " ORIGIN=proven BY=ines AT=2026-05-02T08:00:00Z MACHINE=M1 BEFOREVC=120"
                + " BEFOREFEED=0.05");
    assertEquals("p-alloy-annealed", entry.material());
    assertEquals("", entry.grade());
    equal("150", entry.speed());
    equal("0.06", entry.feed());
    equal("10", entry.depth());
    equal("2.5", entry.width());
    assertEquals(CuttingOrigin.PROVEN, entry.origin());
    assertEquals(Optional.of(Instant.parse("2026-05-02T08:00:00Z")), entry.at());
    equal("120", entry.beforeSpeed().orElseThrow());
    equal("0.05", entry.beforeFeed().orElseThrow());
  }

  /** vc = pi D n / 1000; fz = vf / (n z). */
  @ParameterizedTest
  @CsvSource({
    "N=4775 FZ=0.05,             150.011, 0.05",
    "N=4775 FN=0.2,              150.011, 0.05",
    "N=4775 VF=955,              150.011, 0.05",
    "VC=150 FN=0.24,             150,     0.06",
    "VC=150 VF=955,              150,     0.05",
    "VC=150 N=1 FZ=0.05,         150,     0.05",
    "VC=150 FEED=0.07 FZ=0.05,   150,     0.07",
    "VC=500_ft/min FEED=.002_in, 152.4,   0.0508",
    "VC=150 VF=40_in/min,        150,     0.0532",
    "VC=150 FEED=0.24_mm/rev,    150,     0.06",
    "VC=150 FEED=0.008_in/rev,   150,     0.0508",
    "VC=150 FN=0.24_mm/rev,      150,     0.06"
  })
  void speedAndFeedOfAMillFollowFromWhatIsStated(String cells, String speed, String feed) {
    CuttingEntry entry = entry(MILL, cells.strip());
    assertEquals(new BigDecimal(speed).doubleValue(), entry.speed().doubleValue(), 0.0006);
    assertEquals(new BigDecimal(feed).doubleValue(), entry.feed().doubleValue(), 0.00001);
  }

  /** A drill counts its feed per revolution: fn = fz z = vf / n. */
  @ParameterizedTest
  @CsvSource({
    "VC=80 FN=0.15,            80,     0.15",
    "VC=80 FZ=0.08,            80,     0.16",
    "N=3000 VF=450,            75.398, 0.15",
    "VC=80 FEED=0.006_in/rev,  80,     0.1524",
    "VC=80 FEED=0.15_mm/rev,   80,     0.15"
  })
  void feedOfADrillIsPerRevolution(String cells, String speed, String feed) {
    CuttingEntry entry = entry(DRILL, cells.strip());
    equal(speed, entry.speed());
    equal(feed, entry.feed());
  }

  @Test
  void aTapFeedsItsPitch() {
    equal("1.25", entry(TAP, "VC=12").feed());
    equal("1.2", entry(TAP, "VC=12 FN=1.2").feed());
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "VC=-5 FEED=0.05",
        "VC=0 FEED=0.05",
        "VC=100001 FEED=0.05",
        "VC=fast FEED=0.05",
        "VC=150 FEED=0.05_kg",
        "VC=150 FEED=0.05 AP=-1",
        "VC=150 FEED=0.05 BEFOREVC=0",
        "VC=1e99 FEED=0.05",
        "VC=150 FZ=0.05_mm/rev",
        "VC=150 FEED=0.05 AP=2_mm/rev",
        "VC=150 FEED=0.05_mm/min",
        "VC=150_1/min FEED=0.05"
      })
  void wrongNumbersHoldTheLineAndNameTheirField(String cells) {
    CuttingReading.Interpreted read = read(MILL, cells);
    assertTrue(read.entry().isEmpty());
    Finding wrong = finding(read);
    assertEquals(Severity.HOLD, wrong.severity());
    assertEquals("cutting-number", wrong.code());
    assertTrue(wrong.message().startsWith("cutting data of line 7: "), wrong.message());
  }

  /** What a column says of its unit counts as if it stood with the number. */
  @Test
  void aUnitOfAnotherKindIsNotPassedOver() {
    TreeMap<String, Cell> cells = new TreeMap<>();
    cells.put("VC", Cell.of("4775", Unit.REVOLUTION_PER_MINUTE));
    cells.put("FEED", Cell.of("0.24", Unit.MILLIMETRE_PER_REVOLUTION));
    RawItem line = RawItem.cutting(7, "EM-10", cells);
    Finding wrong = finding(CuttingReading.interpret(line, MILL));
    assertEquals(List.of("VC"), wrong.properties());
    assertTrue(wrong.message().endsWith("does not measure it"), wrong.message());

    cells.put("VC", Cell.of("150", Unit.METRE_PER_MINUTE));
    equal("0.06", CuttingReading.interpret(line, MILL).entry().orElseThrow().feed());
    Tool toothless = Sample.tool("CODE=X-2 CLASS=end-mill-flat DC=10");
    assertEquals(List.of("FEED"), finding(CuttingReading.interpret(line, toothless)).properties());
  }

  @Test
  void depthAndWidthMayBeNothing() {
    CuttingEntry entry = entry(MILL, "VC=150 FEED=0.05 AP=0 AE=0");
    equal("0", entry.depth());
    equal("0", entry.width());
  }

  @ParameterizedTest
  @CsvSource({
    "FEED=0.05, no speed",
    "VC=150,    no feed",
    "N=4000,    no feed",
    "VC=150 AP=2, no feed"
  })
  void aLineWithoutSpeedOrFeedIsAskedAbout(String cells, String lacking) {
    CuttingReading.Interpreted read = read(MILL, cells);
    assertTrue(read.entry().isEmpty());
    Finding asked = finding(read);
    assertEquals(Severity.QUERY, asked.severity());
    assertTrue(asked.message().contains(lacking), asked.message());
  }

  @Test
  void withoutADiameterRotationSaysNoSpeed() {
    Tool bare = Sample.tool("CODE=X-1 CLASS=end-mill-flat NOF=4");
    assertTrue(read(bare, "N=4775 FZ=0.05").entry().isEmpty());
    Tool toothless = Sample.tool("CODE=X-2 CLASS=end-mill-flat DC=10");
    assertTrue(read(toothless, "VC=150 VF=955").entry().isEmpty());
  }

  @Test
  void aGradeKeepsItsNameBesideItsMaterial() {
    CuttingEntry entry = entry(MILL, "MATERIAL=16MnCr5 VC=150 FEED=0.05");
    assertEquals("p-alloy-annealed", entry.material());
    assertEquals("16MnCr5", entry.grade());
    assertEquals("unobtainium", entry(MILL, "MATERIAL=unobtainium VC=150 FEED=0.05").material());
  }

  @Test
  void whatIsForAllMaterialsIsFixed() {
    assertEquals(CuttingOrigin.FIXED, entry(MILL, "VC=150 FEED=0.05").origin());
    assertEquals(CuttingOrigin.PROVEN, entry(MILL, "VC=150 FEED=0.05 ORIGIN=proven").origin());
    assertEquals(CuttingOrigin.CATALOGUE, entry(MILL, "MATERIAL=brass VC=150 FEED=0.05").origin());
  }

  @Test
  void whatIsNotUnderstoodBesideTheNumbersIsNotedAndTheLineTaken() {
    CuttingReading.Interpreted read =
        read(MILL, "VC=150 FEED=0.05 ORIGIN=hearsay AT=yesterday PURPOSE=" + "x".repeat(70));
    CuttingEntry entry = read.entry().orElseThrow();
    assertEquals(Optional.empty(), entry.at());
    assertEquals(60, entry.purpose().length());
    assertEquals(
        List.of("cutting-text", "cutting-origin", "cutting-time"),
        read.findings().stream().map(Finding::code).toList());
    assertTrue(read.findings().stream().allMatch(note -> note.severity() == Severity.NOTE));
  }

  private static SortedMap<String, Cell> formula(String symbol, String formula) {
    SortedMap<String, Cell> cells = new TreeMap<>();
    cells.put("VC", Cell.of("150"));
    cells.put("FEED", Cell.of("0.05"));
    cells.put(symbol, new Cell("", Optional.empty(), false, Optional.of(formula)));
    return cells;
  }

  @Test
  void aFormulaFollowsTheToolAndStays() {
    CuttingEntry entry =
        CuttingReading.interpret(RawItem.cutting(7, "EM-10", formula("AE", "DC / 4")), MILL)
            .entry()
            .orElseThrow();
    equal("2.5", entry.width());
    assertEquals("DC / 4", entry.formulas().get(CuttingField.AE).text());
    RawItem back = CuttingReading.of(entry, "EM-10");
    assertEquals(Optional.of("DC / 4"), back.cells().get("AE").formula());
  }

  @ParameterizedTest
  @ValueSource(strings = {"DC / ", "DC / 0", "NOTHING + 1", "0 - DC"})
  void aFormulaThatGivesNoDepthHoldsTheLine(String formula) {
    CuttingReading.Interpreted read =
        CuttingReading.interpret(RawItem.cutting(7, "EM-10", formula("AP", formula)), MILL);
    assertTrue(read.entry().isEmpty());
    assertEquals("cutting-number", finding(read).code());
  }

  @Test
  void whatIsWrittenComesBackTheSame() {
    CuttingEntry entry =
        entry(
            MILL,
            "MATERIAL=1.7131 PURPOSE=finish VC=152.4 FEED=0.0508 AP=1 COOLANT=flood ORIGIN=proven"
                + " BY=jon AT=2026-05-02T08:00:00Z MACHINE=M1 BEFOREVC=120 BEFOREFEED=0.05");
    RawItem written = CuttingReading.of(entry, "EM-10");
    assertEquals(Optional.of(Unit.METRE_PER_MINUTE), written.cells().get("VC").unit());
    CuttingReading.Interpreted back = CuttingReading.interpret(written, MILL);
    assertEquals(List.of(), back.findings());
    assertEquals(entry, back.entry().orElseThrow());
  }
}
