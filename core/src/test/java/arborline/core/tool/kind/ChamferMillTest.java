package arborline.core.tool.kind;

import static org.junit.jupiter.api.Assertions.assertEquals;

import org.junit.jupiter.api.Test;

class ChamferMillTest {

  private static final Trial SOUND =
      Trial.of("CLASS=chamfer-mill DCX=12 DCN=2 SIG=90 APMX=5 DMM=12 OAL=70 NOF=4");

  @Test
  void needsWhatMakesIt() {
    SOUND.needs("DCX", "DCN", "SIG", "DMM", "OAL", "NOF");
  }

  @Test
  void isAConeOfItsAngle() {
    assertEquals(2, SOUND.wide(0), 1e-3);
    assertEquals(7, SOUND.wide(2.5), 1e-3);
    assertEquals(12, SOUND.wide(5), 1e-3);
  }

  @Test
  void cutsNoDeeperThanTheConeIsLong() {
    SOUND.allows("APMX=5.05");
    SOUND.refuses("APMX=5.06", "cone-depth", "5.000 mm");
    SOUND.refuses("SIG=120", "cone-depth", "2.887 mm");
  }

  @Test
  void theTipIsSmallerThanTheBody() {
    SOUND.refuses("DCN=12 APMX=", "tip-not-smaller", "DCN");
  }
}
