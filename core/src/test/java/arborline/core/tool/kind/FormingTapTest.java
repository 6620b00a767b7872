package arborline.core.tool.kind;

import org.junit.jupiter.api.Test;

class FormingTapTest {

  private static final Trial SOUND =
      Trial.of("CLASS=tap-forming DC=8 TD=8 TP=1.25 TDZ=M8 PHD=7.375 DMM=8 OAL=90");

  @Test
  void needsWhatMakesIt() {
    SOUND.needs("DC", "TD", "TP", "TDZ", "DMM", "OAL");
  }

  @Test
  void theHoleIsWiderThanForACuttingTap() {
    SOUND.allows("PHD=7.4");
    SOUND.refuses("PHD=6.75", "tap-drill", "7.375 mm");
  }

  @Test
  void theTapIsLongerThanItsUse() {
    SOUND.refuses("LU=95", "usable-beyond-tool", "90 mm");
  }
}
