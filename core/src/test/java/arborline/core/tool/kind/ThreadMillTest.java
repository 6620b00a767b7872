package arborline.core.tool.kind;

import org.junit.jupiter.api.Test;

class ThreadMillTest {

  private static final Trial SOUND =
      Trial.of("CLASS=thread-mill DC=8 TP=1.5 APMX=18 LU=24 DMM=8 OAL=70 NOF=4 TDN=10");

  @Test
  void needsWhatMakesIt() {
    SOUND.needs("DC", "TP", "APMX", "DMM", "OAL", "NOF");
  }

  @Test
  void entersTheThreadItMills() {
    SOUND.refuses("TDN=9.5", "cutter-beyond-thread", "7.876 mm");
    SOUND.allows("TDN=9.7");
  }

  @Test
  void itsPitchIsThatOfTheThread() {
    SOUND.refuses("TDZ=M12x1", "thread-size", "TP 1 mm");
    SOUND.refuses("TDZ=Q12", "thread-unknown", "Q12");
    SOUND.allows("TDZ=M10");
    SOUND.allows("TDZ=M16x1.5");
  }

  @Test
  void theEdgesHoldAtLeastOnePitch() {
    SOUND.refuses("APMX=1", "pitch-beyond-depth", "1 mm");
    SOUND.allows("APMX=1.5");
  }
}
