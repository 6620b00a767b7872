package arborline.core.tool.kind;

import static org.junit.jupiter.api.Assertions.assertEquals;

import org.junit.jupiter.api.Test;

class ShoulderMillTest {

  private static final Trial SOUND =
      Trial.of("CLASS=shoulder-mill DC=50 APMX=14 KAPR=90 RE=0.8 DCONMS=22 CICT=5 LF=45");

  @Test
  void needsWhatMakesIt() {
    SOUND.needs("DC", "APMX", "DCONMS", "CICT", "LF");
  }

  @Test
  void isStraightAtItsEdges() {
    assertEquals(50, SOUND.wide(0), 1e-3);
    assertEquals(50, SOUND.wide(14), 1e-3);
  }

  @Test
  void cutsNoDeeperThanItReaches() {
    SOUND.refuses("LU=13", "depth-beyond-usable", "13 mm");
    SOUND.allows("LU=14");
  }
}
