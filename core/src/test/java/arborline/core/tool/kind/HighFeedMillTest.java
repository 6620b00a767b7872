package arborline.core.tool.kind;

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
}
