package arborline.core.inspect;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.exchange.Cell;
import arborline.core.exchange.Interpreter;
import arborline.core.exchange.RawItem;
import arborline.core.finding.Finding;
import arborline.core.finding.Severity;
import arborline.core.tool.Sample;
import arborline.core.tool.Tool;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;

class LikenessTest {

  private static final Tool MILL =
      Sample.tool("CLASS=end-mill-flat CODE=A DC=10 APMX=22 LU=24 OAL=72 DMM=10 NOF=4");

  private static Tool mill(String values) {
    return Sample.tool("CLASS=end-mill-flat CODE=B " + values);
  }

  @Test
  void toolsThatSayTheSameAreWhollyAlike() {
    Likeness same = Likeness.of(MILL, mill("DC=10.00 APMX=22 LU=24 OAL=72 DMM=10 NOF=4"));
    assertEquals(100, same.percent());
    assertEquals(List.of(), same.differences());
  }

  @Test
  void whatDiffersIsNamedWithBothValues() {
    Likeness other = Likeness.of(MILL, mill("DC=10 APMX=22 LU=24 OAL=80 DMM=10 NOF=4"));
    assertTrue(other.percent() > Likeness.LIKELY && other.percent() < 100, "" + other.percent());
    assertEquals(List.of(new Likeness.Difference("OAL", "72 mm", "80 mm")), other.differences());
  }

  @Test
  void betweenTwoVersionsTheSmallestDifferenceCounts() {
    Tool longer = mill("DC=10.0 APMX=22.001 LU=24 OAL=72 DMM=10 NOF=4");
    assertEquals(
        List.of(new Likeness.Difference("APMX", "22 mm", "22.001 mm")),
        Likeness.differences(MILL, longer));
  }

  @Test
  void anotherClassIsNoDuplicate() {
    assertEquals(0, Likeness.of(MILL, Sample.tool("CLASS=drill-twist CODE=C DC=10")).percent());
  }

  @Test
  void someFieldsComeFromTheLineAndTheOthersStay() {
    Tool arriving = mill("DC=10 APMX=25 LU=27 OAL=80 DMM=10 NOF=5");
    Settled merge = new Settled(Settled.Answer.MERGE, new TreeSet<>(List.of("OAL", "NOF")));
    Tool merged = merge.of(arriving, MILL);
    assertEquals("A", merged.code());
    assertEquals("80", merged.values().get("OAL").text());
    assertEquals("5", merged.values().get("NOF").text());
    assertEquals("22", merged.values().get("APMX").text());
    assertEquals(MILL, new Settled(Settled.Answer.KEEP, new TreeSet<>()).of(arriving, MILL));
    Tool replaced = new Settled(Settled.Answer.REPLACE, new TreeSet<>()).of(arriving, MILL);
    assertEquals(arriving.values(), replaced.values());
    assertEquals("A", replaced.code());
  }

  @Test
  void aReasonOutweighsDoubtsButNotWhatIsMissing() {
    Finding doubt = Finding.hold("plausible-size", "OAL 700 mm is long", "OAL");
    Finding missing = Finding.hold("missing.DC", "no diameter", "DC");
    assertTrue(Allowance.possible(doubt));
    assertFalse(Allowance.possible(missing));
    List<Finding> after = Allowance.of(List.of(doubt, missing), "special boring bar");
    assertEquals(Severity.NOTE, after.getFirst().severity());
    assertTrue(after.getFirst().message().endsWith("allowed: special boring bar"));
    assertEquals(Severity.HOLD, after.getLast().severity());
  }

  @Test
  void aFormulaFollowsTheValuesThatWereMergedIntoItsTool() {
    Tool present =
        Interpreter.interpret(
                RawItem.of(MILL)
                    .with(
                        Map.of(
                            "LU", new Cell("", Optional.empty(), false, Optional.of("APMX + 2")))))
            .tool();
    assertEquals("24", present.values().get("LU").text());
    Settled merge = new Settled(Settled.Answer.MERGE, new TreeSet<>(List.of("APMX")));
    Tool merged = merge.of(mill("DC=10 APMX=30 OAL=80 DMM=10 NOF=4"), present);
    assertEquals("32", merged.values().get("LU").text());
  }
}
