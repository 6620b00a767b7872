package arborline.core.tool.kind;

import static org.junit.jupiter.api.Assertions.assertEquals;

import org.junit.jupiter.api.Test;

class HighFeedMillTest {

  private static final Trial SOUND =
      Trial.of("CLASS=end-mill-high-feed DC=8 DCX=16 KAPR=15 APMX=1 RE=1.5 DMM=16 OAL=100 NOF=3");

  @Test
  void needsWhatMakesIt() {
    SOUND.needs("DCX", "KAPR", "APMX", "DMM", "OAL", "NOF");
  }

  @Test
  void theInnerDiameterIsTheSmaller() {
    SOUND.refuses("DC=17", "diameter-beyond-largest", "DCX 16 mm");
    SOUND.allows("DC=16");
  }

  @Test
  void theEdgeAngleLiesBetweenZeroAndStraight() {
    SOUND.refuses("KAPR=181", "edge-angle-range", "181 deg");
    SOUND.allows("KAPR=180");
  }

  /** 4 mm of radius at 15 deg rise by 4 tan 15 = 1.072 mm. */
  @Test
  void risesFromTheTipToTheLargestDiameter() {
    assertEquals(8, SOUND.wide(0), 1e-6);
    assertEquals(12, SOUND.wide(0.536), 2e-3);
    assertEquals(16, SOUND.wide(1.073), 1e-3);
    assertEquals(16, SOUND.outline().diameter(), 1e-6);
  }

  /** Without a tip diameter 1 mm of depth at 15 deg leaves 16 - 2 / tan 15 = 8.536 mm. */
  @Test
  void theDepthTellsTheTipWhereNothingElseDoes() {
    assertEquals(8.536, SOUND.with("DC=").wide(0), 1e-3);
    assertEquals(16, SOUND.with("DC=16").wide(1), 1e-6);
  }
}
