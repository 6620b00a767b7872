package arborline.core.inspect;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotEquals;

import arborline.core.finding.Finding;
import arborline.core.finding.Severity;
import arborline.core.tool.Sample;
import arborline.core.tool.Tool;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class ClashesTest {

  private static final Tool MILL = Sample.tool("CODE=A1 NAME=Mill CLASS=end-mill-flat DC=10 NOF=4");

  private static void assertHeldWithTheNextCode(Finding finding) {
    assertEquals(Severity.HOLD, finding.severity());
    assertEquals(List.of("CODE"), finding.properties());
    assertEquals(Map.of("CODE", "A1-2"), finding.repair().orElseThrow().changes());
  }

  @Test
  void aCodeThatStoodOnAnEarlierLineIsHeld() {
    Finding finding = Clashes.insideDelivery("A1", "line 4 of drills.csv", "A1-2");
    assertEquals("code A1 stands on line 4 of drills.csv already", finding.message());
    assertHeldWithTheNextCode(finding);
  }

  @Test
  void aCodeThatIsReservedIsHeldWithTheReason() {
    Finding finding = Clashes.held("code A1 is reserved by lead", "A1-2");
    assertEquals("code A1 is reserved by lead", finding.message());
    assertHeldWithTheNextCode(finding);
  }

  @Test
  void aToolThatIsHereAlreadyIsOnlyNoted() {
    Finding finding = Clashes.alreadyHere("A1");
    assertEquals(Severity.NOTE, finding.severity());
    assertEquals("the shop has tool A1 with the same values", finding.message());
  }

  @Test
  void theSameToolDiffersInNothing() {
    assertEquals(
        List.of(),
        Clashes.differences(
            MILL, Sample.tool("CODE=B7 NAME=Mill CLASS=end-mill-flat DC=10.0 NOF=4")));
  }

  @Test
  void everyDifferenceIsSaid() {
    Tool other = Sample.tool("CODE=A1 NAME=Other CLASS=end-mill-ball DC=10 APMX=20");
    assertEquals(
        List.of(
            "class end-mill-flat here, end-mill-ball in the shop",
            "name 'Mill' here, 'Other' in the shop",
            "APMX none here, 20 mm in the shop",
            "NOF 4 here, none in the shop"),
        Clashes.differences(MILL, other));
  }

  @Test
  void aFingerprintCountsEveryValueAndItsUnit() {
    String ten = "NAME=Mill CLASS=end-mill-flat DC=10_mm NOF=4";
    String hash = ContentHash.of(Sample.tool(ten));
    assertEquals(64, hash.length());
    assertEquals(hash, ContentHash.of(Sample.tool("CODE=B7 " + ten)));
    assertNotEquals(hash, ContentHash.of(Sample.tool(ten.replace("10_mm", "10_in"))));
    assertNotEquals(hash, ContentHash.of(Sample.tool(ten.replace("NOF=4", "NOF=3"))));
    assertNotEquals(hash, ContentHash.of(Sample.tool(ten.replace("NOF=4", "NOI=4"))));
  }
}
