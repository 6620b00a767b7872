package arborline.core.tool.rule;

import static org.junit.jupiter.api.Assertions.assertEquals;

import arborline.core.finding.Finding;
import arborline.core.tool.Sample;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class ShankUprightTest {

  private static Optional<Finding> check(String sizes) {
    return new ShankUpright().check(Sample.tool("CLASS=turning-external " + sizes));
  }

  @ParameterizedTest
  @ValueSource(strings = {"H=25 B=25", "H=32 B=25", "H=25", "B=25", "H=1_in B=25.4"})
  void aShankIsAtLeastAsHighAsWide(String sizes) {
    assertEquals(Optional.empty(), check(sizes));
  }

  @Test
  void sizesThatWereSwappedCanBeSwappedBack() {
    Finding finding = check("H=20 B=25").orElseThrow();
    assertEquals("shank width B 25 mm is more than its height H 20 mm", finding.message());
    assertEquals(Map.of("H", "25 mm", "B", "20 mm"), finding.repair().orElseThrow().changes());
  }
}
