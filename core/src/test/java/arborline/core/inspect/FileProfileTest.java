package arborline.core.inspect;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.finding.Finding;
import arborline.core.tool.Sample;
import arborline.core.tool.Tool;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class FileProfileTest {

  private static Tool mill(String code, String sizes) {
    return Sample.tool("CLASS=end-mill-flat CODE=%s %s".formatted(code, sizes));
  }

  private static FileProfile profile(int count) {
    List<Tool> tools = new ArrayList<>();
    for (int i = 0; i < count; i++) {
      tools.add(mill("M-" + i, "DC=10 APMX=22 OAL=%d DMM=10".formatted(60 + i * 3)));
    }
    return FileProfile.of(tools);
  }

  @Test
  void aToolInInchesAmongMillimetresIsAskedAboutWithAllItsLengths() {
    Finding finding =
        profile(12).odd(mill("M-X", "DC=0.5 APMX=1.25 OAL=3 DMM=0.5 NOF=4")).orElseThrow();
    assertEquals("unit-of-line", finding.code());
    assertTrue(finding.message().contains("M-X is 3 mm long"), finding.message());
    assertEquals(
        "{APMX=1.25 in, DC=0.5 in, DMM=0.5 in, OAL=3 in}",
        finding.repair().orElseThrow().changes().toString());
  }

  @Test
  void shortAndLongToolsOfTheSameUnitAreLikeTheOthers() {
    assertTrue(profile(12).odd(mill("M-S", "DC=1 APMX=3 OAL=38 DMM=3")).isEmpty());
    assertTrue(profile(12).odd(mill("M-L", "DC=20 APMX=150 OAL=250 DMM=20")).isEmpty());
    assertTrue(profile(12).odd(mill("M-T", "DC=0.5 APMX=1 OAL=1 DMM=0.5")).isEmpty());
  }

  @Test
  void aFewToolsSayNothingOfAFile() {
    assertTrue(profile(5).odd(mill("M-X", "DC=0.5 APMX=1.25 OAL=3 DMM=0.5")).isEmpty());
  }
}
