package arborline.core.tool.kind;

import static org.junit.jupiter.api.Assertions.assertEquals;

import org.junit.jupiter.api.Test;

class TwistDrillTest {

  private static final Trial SOUND =
      Trial.of("CLASS=drill-twist DC=10 SIG=118 LU=50 LCF=60 DMM=10 OAL=100 NOF=2");

  @Test
  void needsWhatMakesIt() {
    SOUND.needs("DC", "SIG", "LCF", "DMM", "OAL", "NOF");
  }

  @Test
  void thePointIsAConeOfItsAngle() {
    assertEquals(0, SOUND.wide(0), 1e-3);
    assertEquals(10, SOUND.wide(5 / Math.tan(Math.toRadians(59))), 1e-3);
    assertEquals(5, SOUND.wide(2.5 / Math.tan(Math.toRadians(59))), 1e-3);
  }

  @Test
  void theStatedPointLengthAgreesWithItsAngle() {
    SOUND.allows("PL=3");
    SOUND.refuses("PL=3.1", "point-length", "3.004 mm");
  }

  @Test
  void theFlutesCoverReachAndPoint() {
    SOUND.refuses("LCF=52", "flutes-short", "52 mm");
    SOUND.allows("LCF=53");
  }

  @Test
  void theAngleLiesBetweenZeroAndFlat() {
    SOUND.refuses("SIG=180.1 LU=", "point-angle-range", "180.1 deg");
    SOUND.allows("SIG=180");
  }
}
