package arborline.core.tool;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.exchange.Cell;
import arborline.core.exchange.Interpreter;
import arborline.core.exchange.RawTool;
import arborline.core.finding.Finding;
import arborline.core.finding.Severity;
import java.util.List;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class RuleBookTest {

  private static final String FLAT = "CLASS=end-mill-flat DC=10 APMX=22 DMM=10 OAL=72 NOF=4 ";
  private static final String DRILL = "CLASS=drill-twist DC=10 SIG=140 LCF=50 DMM=10 OAL=89 NOF=2 ";

  static Tool tool(String text) {
    TreeMap<String, Cell> cells = new TreeMap<>();
    for (String pair : text.strip().split("\\s+")) {
      String[] parts = pair.split("=");
      cells.put(parts[0], Cell.of(parts[1]));
    }
    return Interpreter.interpret(new RawTool(1, cells, List.of())).tool();
  }

  @Test
  void aSoundToolHasNoFindings() {
    assertEquals(List.of(), RuleBook.judge(tool(FLAT + "LU=30 LCF=30")));
  }

  @ParameterizedTest(name = "{1}: {0}")
  @CsvSource({
    "CLASS=end-mill-flat DC=10 APMX=22 DMM=10 OAL=72 NOF=4 LU=18, depth-beyond-usable, HOLD",
    "CLASS=end-mill-flat DC=10 APMX=22 DMM=10 OAL=72 NOF=4 LCF=20, depth-beyond-flutes, HOLD",
    "CLASS=end-mill-flat DC=10 APMX=22 DMM=10 OAL=72 NOF=4 LCF=80, flutes-beyond-tool, HOLD",
    "CLASS=end-mill-flat DC=10 APMX=22 DMM=10 OAL=72 NOF=4 LF=80, reach-beyond-tool, HOLD",
    "CLASS=end-mill-flat DC=10 APMX=22 DMM=10 OAL=72 NOF=4 LU=72, usable-beyond-tool, HOLD",
    "CLASS=end-mill-flat DC=10 APMX=22 DMM=10 OAL=72 NOF=4 DN=10, neck-not-clear, QUERY",
    "CLASS=end-mill-flat DC=10 APMX=22 DMM=10 OAL=72 NOF=4 RE=0.5, corner-not-sharp, HOLD",
    "CLASS=end-mill-flat DC=-1 APMX=22 DMM=10 OAL=72 NOF=4, size-not-positive, HOLD",
    "CLASS=end-mill-flat DC=10 APMX=22 DMM=10 OAL=1000000000 NOF=4, size-absurd, HOLD",
    "CLASS=end-mill-flat DC=10 APMX=22 DMM=10 OAL=72 NOF=2.5, count-not-whole, HOLD",
    "CLASS=end-mill-flat DC=0.5 APMX=12 DMM=12.7 OAL=83 NOF=4, unit-mix-up, QUERY",
    "CLASS=end-mill-ball DC=10 RE=4 APMX=22 DMM=10 OAL=72 NOF=2, ball-radius, HOLD",
    "CLASS=end-mill-corner-radius DC=6 RE=4 APMX=9 DMM=6 OAL=72 NOF=2, corner-beyond-diameter, HOLD",
    "CLASS=drill-twist DC=10 SIG=200 LCF=50 DMM=10 OAL=89 NOF=2, point-angle-range, HOLD",
    "CLASS=drill-twist DC=10 SIG=140 LCF=50 DMM=10 OAL=89 NOF=2 PL=4, point-length, QUERY",
    "CLASS=drill-twist DC=10 SIG=140 LCF=50 DMM=10 OAL=89 NOF=2 LU=50, flutes-short, QUERY",
    "CLASS=chamfer-mill DCX=10 DCN=10 SIG=90 DMM=10 OAL=72 NOF=4, tip-not-smaller, HOLD",
    "CLASS=chamfer-mill DCX=10 DCN=0 SIG=90 DMM=10 OAL=72 NOF=4 APMX=6, cone-depth, HOLD",
    "CLASS=face-mill DC=63 DCX=50 KAPR=90 APMX=6 DCONMS=22 CICT=5 LF=40, diameter-beyond-largest, HOLD",
    "CLASS=face-mill DC=50 DCX=80 KAPR=45 APMX=6 DCONMS=22 CICT=5 LF=40, face-mill-diameters, QUERY",
    "CLASS=slot-mill-disc DC=21 CW=3 CDX=8 DMM=12 OAL=80 NOF=6 DN=9, disc-depth, HOLD",
    "CLASS=reamer DC=8 TCHA=H7 APMX=33 PHD=8 DMM=8 OAL=117 NOF=6, pilot-not-smaller, HOLD",
    "CLASS=reamer DC=8 TCHA=H7 APMX=33 PHD=7 DMM=8 OAL=117 NOF=6, reaming-allowance, QUERY",
    "CLASS=tap-cutting DC=8 TD=8 TP=1.5 TDZ=M8 THCHT=C DMM=8 OAL=90, thread-size, HOLD",
    "CLASS=tap-cutting DC=8 TD=8 TP=1.25 TDZ=M8 THCHT=C DMM=8 OAL=90 PHD=7.4, tap-drill, QUERY",
    "CLASS=thread-mill DC=6 TP=2 APMX=1 DMM=6 OAL=60 NOF=4, pitch-beyond-depth, HOLD",
    "CLASS=thread-mill DC=6 TP=1 APMX=10 DMM=6 OAL=60 NOF=4 TDN=6, cutter-beyond-thread, HOLD",
    "CLASS=something-else DC=6, class.unknown, HOLD"
  })
  void saysWhatCannotOrShouldNotBe(String text, String code, Severity severity) {
    List<Finding> findings = RuleBook.judge(tool(text));
    assertEquals(List.of(code), findings.stream().map(Finding::code).toList());
    assertEquals(severity, findings.getFirst().severity());
  }

  @Test
  void missingFluteLengthOffersUsableLengthPlusPoint() {
    Finding finding =
        RuleBook.judge(tool("CLASS=drill-twist DC=10 SIG=140 LU=40 PL=1.8 DMM=10 OAL=89 NOF=2"))
            .getFirst();
    assertEquals("missing.LCF", finding.code());
    assertEquals("41.8 mm", finding.repair().orElseThrow().changes().get("LCF"));
  }

  @Test
  void messageCarriesTheActualNumbers() {
    Finding finding = RuleBook.judge(tool(FLAT + "LU=18")).getFirst();
    assertTrue(finding.message().contains("22 mm") && finding.message().contains("18 mm"));
    assertEquals("18 mm", finding.repair().orElseThrow().changes().get("APMX"));
  }

  @Test
  void pointLengthFollowsFromDiameterAndAngle() {
    Finding finding = RuleBook.judge(tool(DRILL + "PL=4")).getFirst();
    assertEquals("1.820 mm", finding.repair().orElseThrow().changes().get("PL"));
  }

  @Test
  void inchLookalikeIsOfferedToBeReadAsInches() {
    Finding finding =
        RuleBook.judge(tool("CLASS=end-mill-flat DC=0.5 APMX=12 DMM=12.7 OAL=83 NOF=4")).getFirst();
    assertEquals("0.5 in", finding.repair().orElseThrow().changes().get("DC"));
  }
}
