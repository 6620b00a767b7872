package arborline.core.tool.kind;

import static org.junit.jupiter.api.Assertions.assertEquals;

import org.junit.jupiter.api.Test;

class TSlotMillTest {

  private static final Trial SOUND =
      Trial.of("CLASS=slot-mill-t DC=21 CW=9 DN=10 LN=20 LU=20 DMM=12 OAL=80 NOF=6");

  @Test
  void needsWhatMakesIt() {
    SOUND.needs("DC", "CW", "DN", "LN", "DMM", "OAL", "NOF");
  }

  @Test
  void isADiscOnANeck() {
    assertEquals(21, SOUND.wide(0), 1e-3);
    assertEquals(21, SOUND.wide(9), 1e-3);
    assertEquals(10, SOUND.wide(15), 1e-3);
    assertEquals(12, SOUND.wide(60), 1e-3);
  }

  @Test
  void theFootReachesBelowTheNeck() {
    SOUND.refuses("LU=9", "slot-beyond-reach", "9 mm");
    SOUND.allows("LU=9.1");
  }

  @Test
  void theNeckIsThinnerThanTheFoot() {
    SOUND.refuses("DN=21", "neck-not-smaller", "21 mm");
  }
}
