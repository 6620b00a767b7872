package arborline.core.tool.kind;

import org.junit.jupiter.api.Test;

class ReamerTest {

  private static final Trial SOUND =
      Trial.of("CLASS=reamer DC=8 TCHA=H7 APMX=30 LU=60 PHD=7.8 DMM=8 OAL=120 NOF=6");

  @Test
  void needsWhatMakesIt() {
    SOUND.needs("DC", "TCHA", "APMX", "PHD", "DMM", "OAL", "NOF");
  }

  @Test
  void takesATenthToFourTenths() {
    SOUND.allows("PHD=7.9");
    SOUND.allows("PHD=7.6");
    SOUND.refuses("PHD=7.95", "reaming-allowance", "0.05 mm");
    SOUND.refuses("PHD=7.5", "reaming-allowance", "0.5 mm");
  }

  @Test
  void theHoleIsSmallerThanTheReamer() {
    SOUND.refuses("PHD=8", "pilot-not-smaller", "8 mm");
  }
}
