package arborline.core.tool.kind;

import static org.junit.jupiter.api.Assertions.assertEquals;

import org.junit.jupiter.api.Test;

class BallEndMillTest {

  private static final Trial SOUND =
      Trial.of("CLASS=end-mill-ball DC=8 RE=4 APMX=12 DMM=8 OAL=70 NOF=2");

  @Test
  void needsWhatMakesIt() {
    SOUND.needs("DC", "RE", "APMX", "DMM", "OAL", "NOF");
  }

  @Test
  void endsInHalfABall() {
    assertEquals(0, SOUND.wide(0), 1e-3);
    assertEquals(8, SOUND.wide(4), 1e-3);
    assertEquals(2 * Math.sqrt(16 - 4), SOUND.wide(2), 0.1);
  }

  @Test
  void theBallIsHalfTheDiameterWithinAMicrometre() {
    SOUND.allows("RE=4.001");
    SOUND.refuses("RE=4.002", "ball-radius", "half of DC is 4 mm");
    SOUND.refuses("RE=0.157in", "ball-radius", "half of DC");
  }
}
