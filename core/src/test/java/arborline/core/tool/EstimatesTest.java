package arborline.core.tool;

import static org.junit.jupiter.api.Assertions.assertEquals;

import arborline.core.finding.Finding;
import arborline.core.finding.Repair;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** What is offered where a value is missing. */
class EstimatesTest {

  private static final String DRILL = "CLASS=drill-twist DC=10 OAL=89 NOF=2 ";

  private static Optional<Map<String, String>> offered(String symbol, String tool) {
    return RuleBook.judge(Sample.tool(tool)).stream()
        .filter(finding -> finding.code().equals("missing." + symbol))
        .findFirst()
        .flatMap(Finding::repair)
        .map(Repair::changes);
  }

  @Test
  void whatIsUsualInTheTradeIsOffered() {
    assertEquals(Optional.of(Map.of("SIG", "118")), offered("SIG", DRILL));
  }

  @Test
  void aShankIsAsThickAsTheTool() {
    assertEquals(Optional.of(Map.of("DMM", "10 mm")), offered("DMM", DRILL));
  }

  /** 5 mm / tan 59 deg = 3.0043 mm, and 5 mm / tan 70 deg = 1.8199 mm, rounded up. */
  @Test
  void flutesReachPastTheUsableLengthByThePoint() {
    assertEquals(Optional.of(Map.of("LCF", "33.005 mm")), offered("LCF", DRILL + "LU=30 SIG=118"));
    assertEquals(Optional.of(Map.of("LCF", "31.820 mm")), offered("LCF", DRILL + "LU=30 SIG=140"));
    assertEquals(Optional.of(Map.of("LCF", "32.5 mm")), offered("LCF", DRILL + "LU=30 PL=2.5"));
  }

  @Test
  void nothingIsOfferedWhereNothingIsKnown() {
    assertEquals(Optional.empty(), offered("LCF", DRILL));
    assertEquals(Optional.empty(), offered("DMM", "CLASS=drill-twist OAL=89 NOF=2"));
  }
}
