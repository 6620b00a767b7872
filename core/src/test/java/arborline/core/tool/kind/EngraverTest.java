package arborline.core.tool.kind;

import static org.junit.jupiter.api.Assertions.assertEquals;

import org.junit.jupiter.api.Test;

class EngraverTest {

  private static final Trial SOUND = Trial.of("CLASS=engraver DCN=0.2 SIG=30 DMM=4 OAL=45");

  @Test
  void needsWhatMakesIt() {
    SOUND.needs("DCN", "SIG", "DMM", "OAL");
  }

  @Test
  void isPointedByItsAngle() {
    assertEquals(0.2, SOUND.wide(0), 1e-3);
    assertEquals(0.2 + 2 * 5 * Math.tan(Math.toRadians(15)), SOUND.wide(5), 1e-3);
  }

  @Test
  void theTipIsSmallerThanTheCutter() {
    SOUND.refuses("DC=0.2", "tip-not-smaller", "0.2 mm");
  }
}
