package arborline.core.tool.kind;

import static org.junit.jupiter.api.Assertions.assertEquals;

import org.junit.jupiter.api.Test;

class VRouterBitTest {

  private static final Trial SOUND =
      Trial.of("CLASS=router-v DCX=16 DCN=0 SIG=90 DMM=8 OAL=60 NOF=2 RPMX=24000 APMX=8");

  @Test
  void needsWhatMakesIt() {
    SOUND.needs("DCX", "DCN", "SIG", "DMM", "OAL", "NOF", "RPMX");
  }

  @Test
  void cutsNoDeeperThanItsCone() {
    SOUND.refuses("APMX=8.1", "cone-depth", "8.1 mm");
    SOUND.allows("APMX=7.9");
  }

  @Test
  void opensWithItsAngle() {
    assertEquals(10, SOUND.wide(5), 1e-3);
    assertEquals(16, SOUND.wide(8), 1e-3);
  }
}
