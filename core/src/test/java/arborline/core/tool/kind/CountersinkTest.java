package arborline.core.tool.kind;

import static org.junit.jupiter.api.Assertions.assertEquals;

import org.junit.jupiter.api.Test;

class CountersinkTest {

  private static final Trial SOUND =
      Trial.of("CLASS=countersink DCN=2 DCX=16 SIG=90 DMM=8 OAL=60 NOF=3");

  @Test
  void needsWhatMakesIt() {
    SOUND.needs("DCN", "DCX", "SIG", "DMM", "OAL");
  }

  @Test
  void theTipIsSmallerThanTheBody() {
    SOUND.refuses("DCN=16", "tip-not-smaller", "16 mm");
  }

  @Test
  void thePointAngleIsBetweenNothingAndFlat() {
    SOUND.refuses("SIG=181", "point-angle-range", "181");
    SOUND.allows("SIG=82");
  }

  @Test
  void opensByTwiceTheDepthAtNinetyDegrees() {
    assertEquals(2 + 2 * 3, SOUND.wide(3), 1e-3);
    assertEquals(8, SOUND.wide(40), 1e-3);
  }
}
