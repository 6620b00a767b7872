package arborline.core.inspect.check;

import static org.junit.jupiter.api.Assertions.assertEquals;

import arborline.core.exchange.RawItem;
import arborline.core.finding.Finding;
import arborline.core.inspect.Inspector;
import arborline.core.tool.Sample;
import arborline.core.tool.Tool;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What happens to sizes on their way is found by what stands beside them. */
class InspectionChecksTest {

  private static final Set<String> CHECKED =
      Set.of(
          "decimal-point",
          "inch-for-mm",
          "mm-for-inch",
          "radius-for-diameter",
          "teeth-crowded",
          "unit-mix-up");

  private static List<Finding> found(String text) {
    Tool tool = Sample.tool("CODE=C-1 " + text);
    return Inspector.inspect(RawItem.of(tool)).findings().stream()
        .filter(finding -> CHECKED.contains(finding.code()))
        .toList();
  }

  @ParameterizedTest
  @CsvSource({
    "CLASS=end-mill-flat DC=100 APMX=22 OAL=72 DMM=10 NOF=4, decimal-point, DC, 10 mm",
    "CLASS=end-mill-flat DC=10 APMX=22 OAL=720 DMM=10 NOF=4, decimal-point, OAL, 72 mm",
    "CLASS=end-mill-flat DC=10 APMX=2.2 OAL=72 DMM=10 NOF=4, decimal-point, APMX, 22 mm",
    "CLASS=end-mill-flat DC=10 APMX=22 OAL=72 DMM=100 NOF=4, decimal-point, DMM, 10 mm",
    "CLASS=drill-twist DC=68 LCF=69 OAL=109 DMM=6.8 NOF=2, decimal-point, DC, 6.8 mm",
    "CLASS=drill-twist DC=10.2 LCF=71 OAL=4.646 DMM=12 SIG=140, inch-for-mm, OAL, 118.0084 mm",
    "CLASS=end-mill-flat DC=0.3937 APMX=22 OAL=72 DMM=10 NOF=4, inch-for-mm, DC, 9.99998 mm",
    "CLASS=end-mill-flat DC=6 APMX=26 OAL=83 DMM=12 NOF=4, radius-for-diameter, DC, 12 mm",
    "CLASS=end-mill-flat DC=20 APMX=38 OAL=104 DMM=20 NOF=40, teeth-crowded, NOF, 4",
    "CLASS=drill-twist DC=10 LCF=61 OAL=118 DMM=10 NOF=20, teeth-crowded, NOF, 2"
  })
  void isFoundAndWhatIsMeantIsOffered(String tool, String code, String symbol, String meant) {
    List<Finding> found = found(tool);
    assertEquals(List.of(code), found.stream().map(Finding::code).toList());
    assertEquals(symbol, found.getFirst().properties().getFirst());
    assertEquals(meant, found.getFirst().repair().orElseThrow().changes().get(symbol));
  }

  @ParameterizedTest
  @CsvSource({
    "CLASS=end-mill-flat DC=0.5 APMX=1.5 OAL=50 DMM=4 NOF=2",
    "CLASS=end-mill-ball DC=0.4 APMX=0.8 OAL=45 DMM=4 NOF=2",
    "CLASS=end-mill-flat DC=3 APMX=8 OAL=57 DMM=6 NOF=4",
    "CLASS=end-mill-flat DC=4 APMX=20 OAL=100 DMM=6 NOF=4",
    "CLASS=end-mill-flat DC=32 APMX=80 OAL=180 DMM=32 NOF=8",
    "CLASS=end-mill-flat DC=16 APMX=35 OAL=92 DMM=16 NOF=10",
    "CLASS=end-mill-ball DC=12 APMX=12 OAL=160 DMM=12 NOF=2",
    "CLASS=drill-twist DC=1 LCF=12 OAL=34 DMM=1 NOF=2",
    "CLASS=drill-twist DC=0.5 LCF=6 OAL=38 DMM=3 NOF=2",
    "CLASS=drill-twist DC=8.5 LCF=260 OAL=320 DMM=10 NOF=2",
    "CLASS=drill-twist DC=30 LCF=175 OAL=296 DMM=30 NOF=2",
    "CLASS=reamer DC=8 APMX=33 OAL=117 DMM=8 NOF=6",
    "CLASS=slot-mill-disc DC=100 CW=3 CDX=28 DCONMS=27 NOF=64"
  })
  void ordinaryToolsAreNotAskedAbout(String tool) {
    assertEquals(List.of(), found(tool));
  }

  @Test
  void saysTheNumbersThatSpeakAgainstIt() {
    assertEquals(
        "DC 6 mm is half of the shank of 12 mm, and the other sizes are those of a tool of 12 mm:"
            + " is it the radius?",
        found("CLASS=end-mill-flat DC=6 APMX=26 OAL=83 DMM=12 NOF=4").getFirst().message());
  }
}
