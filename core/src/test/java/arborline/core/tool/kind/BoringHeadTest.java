package arborline.core.tool.kind;

import org.junit.jupiter.api.Test;

class BoringHeadTest {

  private static final Trial SOUND =
      Trial.of("CLASS=boring-head DCN=20 DCX=30 KAPR=92 RE=0.4 DMM=25 LF=110");

  @Test
  void needsWhatMakesIt() {
    SOUND.needs("DCN", "DCX", "KAPR", "RE", "DMM", "LF");
  }

  @Test
  void isAdjustedUpwards() {
    SOUND.refuses("DCN=30", "tip-not-smaller", "30 mm");
    SOUND.allows("DCN=29.9");
  }
}
