package arborline.core.tool.kind;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import org.junit.jupiter.api.Test;

class BarrelMillTest {

  private static final Trial SOUND =
      Trial.of("CLASS=end-mill-barrel DC=12 PRFRAD=100 RE=1 APMX=20 DMM=12 OAL=90 NOF=4");

  @Test
  void needsWhatMakesIt() {
    SOUND.needs("DC", "PRFRAD", "APMX", "DMM", "OAL", "NOF");
  }

  @Test
  void isWidestInTheMiddleOfItsFlank() {
    assertEquals(12, SOUND.wide(10), 0.01);
    assertTrue(SOUND.wide(1.5) < 12);
    assertTrue(SOUND.wide(19.5) < 12);
  }

  @Test
  void aSmallRadiusIsABall() {
    SOUND.refuses("PRFRAD=6", "profile-radius-small", "that is a ball");
    SOUND.allows("PRFRAD=6.001");
  }
}
