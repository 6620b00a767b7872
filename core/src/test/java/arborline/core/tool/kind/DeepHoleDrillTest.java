package arborline.core.tool.kind;

import org.junit.jupiter.api.Test;

class DeepHoleDrillTest {

  private static final Trial SOUND =
      Trial.of("CLASS=drill-deep-hole DC=8 PHD=8.01 LCF=250 SIG=120 DMM=16 OAL=330 NOF=1");

  @Test
  void needsWhatMakesIt() {
    SOUND.needs("DC", "LCF", "PHD", "DMM", "OAL");
  }

  @Test
  void thePilotHoleIsAtLeastAsWide() {
    SOUND.refuses("PHD=7.99", "pilot-too-narrow", "7.99 mm");
    SOUND.allows("PHD=8");
  }

  @Test
  void theFlutesEndInsideTheTool() {
    SOUND.refuses("LCF=331", "flutes-beyond-tool", "331 mm");
  }
}
