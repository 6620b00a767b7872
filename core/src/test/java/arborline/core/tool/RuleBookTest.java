package arborline.core.tool;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.exchange.Cell;
import arborline.core.exchange.Interpreter;
import arborline.core.exchange.RawItem;
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
    return Interpreter.interpret(new RawItem(1, cells, List.of())).tool();
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
    "CLASS=end-mill-flat DC=10 APMX=22 DMM=10 OAL=100000000 NOF=4, size-absurd, HOLD",
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
    "CLASS=end-mill-tapered DC=8 DCN=4 BHTA=3 APMX=10 DMM=8 OAL=63 NOF=4, taper-diameter, QUERY",
    "CLASS=end-mill-tapered DC=5.048 DCN=4 BHTA=3 APMX=10 RE=2.5 DMM=8 OAL=63 NOF=4, corner-beyond-tip, HOLD",
    "CLASS=end-mill-undercut DC=6 DN=6 LN=20 DMM=6 OAL=60 NOF=4, neck-not-smaller, HOLD",
    "CLASS=end-mill-barrel DC=10 PRFRAD=5 APMX=8 DMM=10 OAL=72 NOF=4, profile-radius-small, QUERY",
    "CLASS=end-mill-high-feed DCX=16 KAPR=190 APMX=1 DMM=16 OAL=92 NOF=4, edge-angle-range, HOLD",
    "CLASS=engraver DC=3 DCN=3 SIG=30 DMM=6 OAL=50, tip-not-smaller, HOLD",
    "CLASS=corner-rounding-mill PRFRAD=3 DCN=6 DCX=10 DMM=10 OAL=70 NOF=4, rounding-beyond-diameter, HOLD",
    "CLASS=dovetail-mill DC=20 KAPR=60 DN=18 APMX=6 DMM=12 OAL=70 NOF=6, dovetail-neck, HOLD",
    "CLASS=slot-mill-t DC=21 CW=9 DN=10 LN=20 LU=8 DMM=12 OAL=80 NOF=6, slot-beyond-reach, HOLD",
    "CLASS=drill-deep-hole DC=8 LCF=200 PHD=7.9 DMM=16 OAL=280, pilot-too-narrow, HOLD",
    "CLASS=drill-centre DC=4 DMM=4 SIG=118 STA=60 OAL=50, pilot-not-thinner, HOLD",
    "CLASS=drill-step DC=9 SIG=118 DC1=8 SDL1=20 STA1=90 LCF=60 DMM=10 OAL=100 NOF=2, steps-fall, HOLD",
    "CLASS=counterbore DC=15 DN=15 APMX=10 DMM=12 OAL=90 NOF=3, neck-not-smaller, HOLD",
    "CLASS=core-drill DC=15 SIG=120 PHD=15 LCF=60 DMM=12 OAL=110, pilot-not-smaller, HOLD",
    "CLASS=boring-head DCN=30 DCX=30 KAPR=92 RE=0.4 DMM=25 LF=90, tip-not-smaller, HOLD",
    "CLASS=back-boring-bar DCX=30 DN=30 OFFSET=3 DMM=25 LF=120, neck-not-smaller, HOLD",
    "CLASS=tap-forming DC=8 TD=8 TP=1.25 TDZ=M8 DMM=8 OAL=90 PHD=6.8, tap-drill, QUERY",
    "CLASS=thread-mill DC=6 TP=1.27 TPI=24 APMX=10 DMM=6 OAL=60 NOF=4, pitch-contradicts, HOLD",
    "CLASS=turning-external KAPR=93 EPSR=90 RE=0.8 H=25 B=25 WF=32 LF=150 HAND=R, trailing-edge, HOLD",
    "CLASS=turning-internal KAPR=95 RE=0.4 DMM=25 WF=12 DMIN=25 LF=200 HAND=R, bore-too-narrow, HOLD",
    "CLASS=turning-internal KAPR=95 RE=0.4 DMM=25 WF=17 DMIN=28 LF=200 HAND=R, bar-rubs, QUERY",
    "CLASS=turning-neutral KAPR=60 EPSR=35 RE=0.4 H=20 B=20 LF=125, neutral-not-symmetric, QUERY",
    "CLASS=turning-grooving CW=3 CDX=20 RE=1.6 H=20 B=20 LF=125 HAND=R, corner-beyond-groove, HOLD",
    "CLASS=turning-face-grooving CW=3 CDX=10 DAXN=40 DAXX=30 RE=0.2 H=20 B=20 LF=125 HAND=R, face-groove-diameters, HOLD",
    "CLASS=turning-threading TPN=3 TPX=1 THFT=60 H=20 B=20 LF=125 HAND=R, pitches-fall, HOLD",
    "CLASS=router-v DCX=20 DCN=20 SIG=90 DMM=8 OAL=60 NOF=2 RPMX=24000, tip-not-smaller, HOLD",
    "CLASS=router-compression DC=12 APMX=30 LU=25 DMM=12 OAL=80 NOF=2 RPMX=24000 DIRECTION=compression, depth-beyond-usable, HOLD",
    "CLASS=router-up-cut DC=12 APMX=30 DMM=12 OAL=80 NOF=2 DIRECTION=up, missing.RPMX, QUERY",
    "CLASS=saw-blade DC=200 CW=2.2 WB=2.2 DCONMS=30 NOF=48 RPMX=9000, kerf-not-wider, HOLD",
    "CLASS=probe-touch DC=6 LU=50 LF=120 RPMX=100, probe-spins, HOLD",
    "CLASS=jet-laser KERF=0.2 NOZZLE=1.5 STANDOFF=1 LEADIN=0.1, lead-in-short, QUERY",
    "CLASS=jet-plasma KERF=0 NOZZLE=1.5 STANDOFF=1, size-not-positive, HOLD",
    "CLASS=aggregate AXISANGLE=150 LF=150 DMM=60 RPMX=6000, axis-angle-range, HOLD",
    "CLASS=end-mill-flat DC=10 APMX=80 DMM=10 OAL=72 NOF=4, depth-too-long, HOLD",
    "CLASS=end-mill-flat DC=10 APMX=22 DMM=10 OAL=72 NOF=4 CHW=5, chamfer-too-wide, HOLD",
    "CLASS=end-mill-flat DC=10 APMX=22 DMM=10 OAL=72 NOF=4 KAPR=45, edge-not-square, HOLD",
    "CLASS=end-mill-flat DC=10 APMX=22 DMM=10 OAL=72 NOF=4 HAND=Q, hand-unknown, HOLD",
    "CLASS=end-mill-flat DC=10 APMX=22 DMM=10 OAL=72 NOF=4 RMPX=95, ramp-too-steep, HOLD",
    "CLASS=end-mill-flat DC=10 APMX=22 DMM=10 OAL=72 NOF=4 LN=15, neck-too-short, QUERY",
    "CLASS=face-mill DC=63 DCX=75 KAPR=45 APMX=6 DCONMS=50 BD=48 CICT=5 LF=45, bore-too-large, HOLD",
    "CLASS=saw-blade DC=25 CW=2.2 WB=1.8 DCONMS=30 NOF=48 RPMX=9000, bore-too-large, HOLD",
    "CLASS=turning-grooving CW=3 CDX=10 RE=0.2 H=20 B=25 LF=125 HAND=R, shank-lies, HOLD",
    "CLASS=drill-twist DC=10 SIG=140 LCF=50 DMM=10 OAL=89 NOF=2 LF=95, reach-beyond-tool, HOLD",
    "CLASS=drill-step DC=8 SIG=118 DC1=12 SDL1=70 STA1=90 LCF=60 DMM=12 OAL=100 NOF=2, step-beyond-flutes, HOLD",
    "CLASS=tap-cutting DC=9 TD=8 TP=1.25 TDZ=M8 THCHT=C DMM=8 OAL=90, tap-diameter, HOLD",
    "CLASS=tap-cutting DC=20 TD=20 TP=3 TDZ=Rd20 THCHT=C DMM=16 OAL=140, thread-unknown, QUERY",
    "CLASS=thread-mill DC=7 TP=1.25 TDZ=M8 APMX=10 DMM=8 OAL=60 NOF=4, cutter-beyond-thread, HOLD",
    "CLASS=insert SC=C IC=12.7 S=4.76 EPSR=55, insert-geometry, HOLD",
    "CLASS=insert SC=C IC=12.7 S=4.76 L=16, insert-geometry, HOLD",
    "CLASS=insert SC=R IC=12 S=4.76 RE=8, insert-geometry, HOLD",
    "CLASS=insert SC=C IC=12.7 S=4.76 D1=13, insert-geometry, HOLD",
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

  private static Tool turning(String more) {
    return tool("CLASS=turning-external KAPR=95 RE=0.8 H=25 B=25 WF=32 LF=150 HAND=R " + more)
        .with("MIID", new Value.Word("CNMG 120408", false))
        .with("SHANK", new Value.Word("PCLNR 2525 M 12", false));
  }

  @Test
  void whatADesignationSaysAndTheSheetLacksFollows() {
    assertEquals(List.of(), RuleBook.judge(turning("")));
    Tool completed = Completed.of(turning("")).tool();
    assertEquals("12.7", completed.values().get("IC").text());
    assertEquals("80", completed.values().get("EPSR").text());
  }

  @ParameterizedTest
  @CsvSource({
    "KNUX 160405L, hand L instead of R",
    "CNMN 120408, 'clamping P needs a hole, type N has none'"
  })
  void whatTheSeatCannotHoldIsHeld(String insert, String why) {
    String holder = insert.startsWith("K") ? "CKJNR 2525 M 16" : "PCLNR 2525 M 12";
    Tool tool =
        tool("CLASS=turning-external RE=0.5 KAPR=93 H=25 B=25 WF=32 LF=150 HAND=R")
            .with("MIID", new Value.Word(insert, false))
            .with("SHANK", new Value.Word(holder, false));
    assertTrue(
        RuleBook.judge(tool).stream()
            .anyMatch(finding ->
                finding.code().equals("insert-seat") && finding.message().contains(why)));
  }

  @Test
  void contradictionsBetweenDesignationAndValuesAreHeld() {
    Finding insert = RuleBook.judge(turning("IC=9.525")).getFirst();
    assertEquals("insert-contradicts", insert.code());
    assertTrue(insert.message().contains("CNMG 120408 has IC 12.7, but 9.525"));
    assertTrue(
        RuleBook.judge(turning("").with("HAND", new Value.Word("L", false))).stream()
            .anyMatch(finding -> finding.code().equals("holder-contradicts")));
  }

  @Test
  void wrongDesignationsAreHeldWithTheirPosition() {
    Finding finding =
        RuleBook.judge(turning("").with("MIID", new Value.Word("CNMG 130408", false))).getFirst();
    assertEquals("insert-designation", finding.code());
    assertTrue(finding.message().contains("position 5"));
  }

  @ParameterizedTest
  @CsvSource({
    "0 0; 0 4; 2 6 R2; 10 6, ''",
    "0 1; 5 5, 'point 1: the profile must start on the axis'",
    "0 0; 5 -2, 'point 2: the profile crosses the axis'",
    "0 0; 0 4; 4, 'point 3: '",
    "0 0; 0 9 R2, 'point 2: radius too small'",
    "0 0; 10 10; 10 0; 0 10, 'the profile crosses itself'"
  })
  void freeProfilesAreChecked(String profile, String fault) {
    Tool cutter =
        tool("CLASS=form-mill DCX=12 DMM=12 OAL=80 NOF=2")
            .with("PROFILE", new Value.Word(profile, false));
    List<Finding> findings = RuleBook.judge(cutter);
    assertEquals(fault.isEmpty(), findings.isEmpty());
    if (!findings.isEmpty()) {
      assertTrue(findings.getFirst().message().contains(fault), findings.getFirst().message());
    }
  }

  @Test
  void everySizeThatCannotBeIsSaidAtOnce() {
    List<String> wrong =
        RuleBook.judge(tool("CLASS=end-mill-flat DC=0 APMX=22 DMM=10 OAL=-72 NOF=2.5")).stream()
            .filter(finding -> finding.severity() == Severity.HOLD)
            .map(finding -> finding.code() + " " + finding.properties().getFirst())
            .filter(text -> text.startsWith("size-") || text.startsWith("count-"))
            .toList();
    assertEquals(
        List.of("size-not-positive DC", "count-not-whole NOF", "size-not-positive OAL"), wrong);
  }

  @Test
  void aRuleThatFailsIsSaidOnTheToolAndHoldsNothingBack() {
    Finding finding =
        RuleBook.ask(
                tool -> {
                  throw new IllegalStateException("broken");
                },
                tool(FLAT))
            .getFirst();
    assertEquals("rule-failed", finding.code());
    assertEquals(Severity.QUERY, finding.severity());
  }

  @Test
  void rakesMayBeZeroOrNegativeAndGunDrillsLong() {
    assertEquals(List.of(), Sample.findings(FLAT + "FHA=-30 GAMF=0 GAMP=-5"));
  }
}
