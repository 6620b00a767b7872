package arborline.core.inspect;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.tool.Completed;
import arborline.core.tool.Sample;
import java.util.OptionalLong;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class DimensionKeyTest {

  private static final String MILL =
      "CLASS=end-mill-flat CODE=A DC=12.7 APMX=25.4 OAL=76.2 DMM=12.7 NOF=4 COATING=TIALN";

  private static OptionalLong key(String values) {
    return DimensionKey.of(Completed.of(Sample.tool(values)).tool());
  }

  @Test
  void codeNameAndUnitDoNotMatter() {
    assertTrue(key(MILL).isPresent());
    assertEquals(key(MILL), key(MILL.replace("CODE=A", "CODE=B")));
    assertEquals(key(MILL), key(MILL.replace("12.7", ".5_in").replace("TIALN", "tialn")));
  }

  @ParameterizedTest
  @ValueSource(strings = {"DC=12.71", "NOF=5", "COATING=TIN", "CLASS=end-mill-ball"})
  void everyValueMatters(String other) {
    String symbol = other.substring(0, other.indexOf('=') + 1);
    assertNotEquals(key(MILL), key(MILL.replaceFirst(symbol + "\\S+", other)));
  }

  @Test
  void whatSaysTooLittleIsLikeNothing() {
    assertEquals(OptionalLong.empty(), key("CLASS=probe CODE=A DC=6"));
    assertEquals(OptionalLong.empty(), key(MILL.replace("CLASS=end-mill-flat", "CLASS=")));
  }
}
