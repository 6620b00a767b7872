package arborline.core.tool;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.finding.Finding;
import arborline.core.finding.Severity;
import java.math.BigDecimal;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What follows from the values of a tool, and where it comes from. */
class CompletedTest {

  @ParameterizedTest(name = "{1} of {0}")
  @CsvSource({
    "CLASS=end-mill-flat DC=10 LCF=22, APMX, 22, follows from LCF",
    "CLASS=end-mill-flat DC=10 DN=9 LU=40, LN, 40, follows from LU",
    "CLASS=slot-mill-t DC=21 LU=30, LN, 30, follows from LU",
    "CLASS=end-mill-ball DC=10, RE, 5, follows from DC",
    "CLASS=end-mill-ball RE=3, DC, 6, follows from RE",
    "CLASS=end-mill-flat DC=10 DCONMS=12 CCMS=CY-A-12:m, DMM, 12, follows from DCONMS and CCMS",
    "CLASS=chamfer-mill DCX=12 DCN=2 SIG=90, APMX, 5, follows from DCX and DCN and SIG",
    "CLASS=chamfer-mill DCX=12 APMX=5 SIG=90, DCN, 2, follows from DCX and APMX and SIG",
    "CLASS=chamfer-mill DCX=12 DCN=2 APMX=5, SIG, 90, follows from DCX and DCN and APMX",
    "CLASS=chamfer-mill DCX=12 DCN=2 KAPR=60, SIG, 60, follows from KAPR",
    "CLASS=face-mill DC=50 APMX=6 KAPR=45, DCX, 62, follows from DC and APMX and KAPR",
    "CLASS=face-mill DC=50 DCX=62 KAPR=45, APMX, 6, follows from DC and DCX and KAPR",
    "CLASS=face-mill DC=50 ZEFP=5, CICT, 5, follows from ZEFP",
    "CLASS=tap-cutting TDZ=M8, TD, 8, follows from TDZ",
    "CLASS=tap-cutting TDZ=M8, TP, 1.25, follows from TDZ",
    "CLASS=tap-cutting TDZ=M8, DC, 8, follows from TD",
    "CLASS=thread-mill DC=6 TPI=20, TP, 1.27, follows from TPI",
    "CLASS=turning-threading TP=1.5, TPN, 1.5, follows from TP",
    "CLASS=turning-neutral EPSR=55, KAPR, 62.5, follows from EPSR",
    "CLASS=turning-external SHANK=PCLNR2525M12, KAPR, 95, is read from the designation SHANK",
    "CLASS=turning-external MIID=CNMG120408, RE, 0.8, is read from the designation MIID",
    "CLASS=turning-external SHANK=PCBNR2525M12 MIID=CNMG120408, EPSR, 80, is read from the designation MIID",
    "CLASS=insert MIID=CNMG120408, IC, 12.7, is read from the designation MIID",
    "CLASS=drill-twist DC=10, NOF, 2, is the trade default",
    "CLASS=drill-twist DC=10 SUBSTRATE=HSS, SIG, 118, is the trade default",
    "CLASS=drill-twist DC=10 SUBSTRATE=HC, SIG, 140, is the trade default",
    "CLASS=probe-touch DC=6, RPMX, 0, is the trade default"
  })
  void aValueFollowsAndSaysFromWhat(String text, String symbol, BigDecimal size, String origin) {
    Completed completed = Completed.of(Sample.tool(text));
    assertEquals(0, size.compareTo(completed.tool().size(symbol)));
    assertEquals(origin, completed.origins().get(symbol).text());
  }

  @ParameterizedTest(name = "{1} is not confirmed, {0} says {2}")
  @CsvSource({
    "CLASS=turning-external MIID=DNMG150612, RE=0.8, 1.2",
    "CLASS=chamfer-mill DCX=12 KAPR=60, SIG=90, 60",
    "CLASS=end-mill-flat DC=10, NOF=4, 4",
    "CLASS=chamfer-mill DCN=2 APMX=4 SIG=90, DCX=12, 12"
  })
  void aTradeDefaultGivesWayToWhatTheOtherValuesSay(
      String text, String usual, BigDecimal expected) {
    String symbol = usual.split("=")[0];
    Tool tool =
        Completed.withoutOutdoneDefaults(
            Sample.tool(text).with(symbol, unconfirmed(Sample.tool(usual).values().get(symbol))));
    assertEquals(0, expected.compareTo(Completed.of(tool).tool().size(symbol)));
  }

  @Test
  void theHandIsThatOfTheHolderUntilSomebodyConfirmsAnother() {
    Tool holder = Sample.tool("CLASS=turning-external SHANK=PDJNL2525M15");
    Tool usual = holder.with("HAND", new Value.Word("R", true));
    Tool confirmed = holder.with("HAND", new Value.Word("R", false));
    assertEquals("L", hand(Completed.withoutOutdoneDefaults(usual)));
    assertEquals("R", hand(Completed.withoutOutdoneDefaults(confirmed)));
  }

  private static String hand(Tool tool) {
    return Completed.of(tool).tool().word("HAND").orElseThrow();
  }

  private static Value unconfirmed(Value value) {
    return new Value.Measure(((Value.Measure) value).quantity(), true);
  }

  @ParameterizedTest(name = "no {1} of {0}")
  @CsvSource({
    "CLASS=end-mill-flat DC=10 APMX=22, DMM",
    "CLASS=chamfer-mill DCX=40 DCONMS=16, DMM",
    "CLASS=slot-mill-disc DC=80 DCONMS=22, DMM",
    "CLASS=drill-twist DC=10, SIG",
    "CLASS=end-mill-flat DC=10 LU=40, LN",
    "CLASS=end-mill-corner-radius DC=10, RE",
    "CLASS=face-mill DC=50 DCX=50 KAPR=90, APMX",
    "CLASS=end-mill-flat DC=10 LCF=0, APMX"
  })
  void whatNobodyCanKnowDoesNotFollow(String text, String symbol) {
    assertFalse(Completed.of(Sample.tool(text)).tool().has(symbol));
  }

  @Test
  void whatIsWrittenWins() {
    Completed completed = Completed.of(Sample.tool("CLASS=end-mill-flat DC=10 LCF=22 APMX=18"));
    assertEquals("18", completed.tool().values().get("APMX").text());
    assertFalse(completed.origins().containsKey("APMX"));
  }

  @Test
  void anInchStaysAnInch() {
    Tool mill = Sample.tool("CLASS=end-mill-flat DC=1/2_in LCF=1_1/4_in");
    assertEquals("1 1/4 in", Completed.of(mill).tool().values().get("APMX").toString());
  }

  @Test
  void aToolThatLacksOnlyWhatFollowsPassesWithANote() {
    List<Finding> findings =
        RuleBook.judge(Sample.tool("CLASS=end-mill-flat DC=10 LCF=22 DMM=10 OAL=72 NOF=4"));
    assertEquals(List.of("implied.APMX"), findings.stream().map(Finding::code).toList());
    assertEquals(Severity.NOTE, findings.getFirst().severity());
    assertTrue(findings.getFirst().message().contains("APMX 22 mm follows from LCF"));
    assertEquals("22 mm", findings.getFirst().repair().orElseThrow().changes().get("APMX"));
  }

  @Test
  void anImpliedValueHidesNoFault() {
    assertTrue(
        Sample.findings("CLASS=end-mill-ball DC=8 RE=8 APMX=12 DMM=8 OAL=63 NOF=2")
            .contains("ball-radius"));
    assertTrue(
        Sample.findings("CLASS=end-mill-flat DC=10 LCF=80 DMM=10 OAL=72 NOF=4")
            .contains("flutes-beyond-tool"));
  }

  /** A holder of which only the designation is written is drawn by what that says. */
  @Test
  void aToolIsDrawnByWhatFollows() {
    assertEquals(
        150,
        Silhouettes.of(Sample.tool("CLASS=turning-external SHANK=PCLNR2525M12"))
            .orElseThrow()
            .length(),
        1e-9);
    assertTrue(Silhouettes.of(Sample.tool("CLASS=turning-external HAND=R")).isEmpty());
  }
}
