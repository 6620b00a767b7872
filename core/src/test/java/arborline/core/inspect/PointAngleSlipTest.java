package arborline.core.inspect;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.exchange.RawItem;
import arborline.core.finding.Finding;
import arborline.core.tool.Sample;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class PointAngleSlipTest {

  private static List<Finding> found(String tool) {
    return Inspector.inspect(RawItem.of(Sample.tool(tool))).findings().stream()
        .filter(finding -> finding.code().equals("point-angle-slip"))
        .toList();
  }

  @Test
  void aDrillWithFourteenDegreesHasAHundredAndForty() {
    List<Finding> found = found("CLASS=drill-twist CODE=D DC=8 LCF=50 OAL=90 DMM=8 SIG=14 NOF=2");
    assertEquals(1, found.size());
    assertEquals(Map.of("SIG", "140"), found.getFirst().repair().orElseThrow().changes());
  }

  @Test
  void usualPointsAndOtherToolsAreNotAskedAbout() {
    assertTrue(found("CLASS=drill-twist CODE=D DC=8 LCF=50 OAL=90 DMM=8 SIG=118 NOF=2").isEmpty());
    assertTrue(found("CLASS=end-mill-flat CODE=M DC=8 OAL=90 DMM=8 NOF=2").isEmpty());
  }
}
