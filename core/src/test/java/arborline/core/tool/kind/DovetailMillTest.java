package arborline.core.tool.kind;

import static org.junit.jupiter.api.Assertions.assertEquals;

import org.junit.jupiter.api.Test;

class DovetailMillTest {

  private static final Trial SOUND =
      Trial.of("CLASS=dovetail-mill DC=20 KAPR=60 APMX=5 DN=12 LN=20 DMM=12 OAL=80 NOF=6");

  @Test
  void needsWhatMakesIt() {
    SOUND.needs("DC", "KAPR", "APMX", "DN", "DMM", "OAL", "NOF");
  }

  @Test
  void isWidestAtTheTip() {
    assertEquals(20, SOUND.wide(0), 1e-3);
    assertEquals(20 - 10 / Math.tan(Math.toRadians(60)), SOUND.wide(5), 1e-3);
  }

  @Test
  void theNeckStaysInsideTheFlanks() {
    SOUND.refuses("DN=14.3", "dovetail-neck", "14.226 mm");
    SOUND.allows("DN=14.2");
  }

  @Test
  void theFlanksLeanBack() {
    SOUND.refuses("KAPR=95", "flanks-not-undercut", "95 deg");
    SOUND.allows("KAPR=70");
  }
}
