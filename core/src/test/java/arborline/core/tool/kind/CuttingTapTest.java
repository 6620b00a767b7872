package arborline.core.tool.kind;

import org.junit.jupiter.api.Test;

class CuttingTapTest {

  private static final Trial SOUND =
      Trial.of("CLASS=tap-cutting DC=8 TD=8 TP=1.25 TDZ=M8 THCHT=C PHD=6.75 DMM=8 OAL=90");

  @Test
  void theLeadIsOneOfTheFormsOrAWordOfTheTrade() {
    SOUND.allows("THCHT=A");
    SOUND.allows("THCHT=e");
    SOUND.allows("THCHT=C2-3");
    SOUND.allows("THCHT=plug");
    SOUND.refuses("THCHT=Q", "tap-lead-unknown", "lead Q is none of the forms");
    SOUND.refuses("THCHT=Cup", "tap-lead-unknown", "lead Cup");
  }

  @Test
  void needsWhatMakesIt() {
    SOUND.needs("DC", "TD", "TP", "TDZ", "THCHT", "DMM", "OAL");
  }

  @Test
  void diameterAndPitchAreThoseOfTheSize() {
    SOUND.refuses("TP=1 PHD=", "thread-size", "TP 1.25 mm");
    SOUND.refuses("TD=10 PHD=", "thread-size", "TD 8 mm");
    SOUND.allows("TDZ=M8x1 TP=1 PHD=7");
  }

  @Test
  void theHoleIsTheDiameterLessThePitch() {
    SOUND.allows("PHD=6.8");
    SOUND.refuses("PHD=7.4", "tap-drill", "6.75 mm");
  }

  @Test
  void pitchAndThreadsPerInchAreTheSame() {
    SOUND.refuses("TPI=24", "pitch-contradicts", "24");
    SOUND.allows("TPI=20.32");
  }

  @Test
  void theTapIsLongerThanItsUse() {
    SOUND.refuses("LU=95", "usable-beyond-tool", "90 mm");
    SOUND.allows("LU=60");
  }
}
