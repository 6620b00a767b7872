package arborline.core.tool.kind;

import static org.junit.jupiter.api.Assertions.assertEquals;

import org.junit.jupiter.api.Test;

class UpCutRouterBitTest {

  private static final Trial SOUND =
      Trial.of(
          "CLASS=router-up-cut DC=10 APMX=32 LU=36 LCF=36 DMM=10 OAL=80 NOF=2 RPMX=24000 DIRECTION=up");

  @Test
  void needsWhatMakesIt() {
    SOUND.needs("DC", "APMX", "DMM", "OAL", "NOF", "RPMX", "DIRECTION");
  }

  @Test
  void cutsNoDeeperThanItsFlutes() {
    SOUND.refuses("LCF=30 LU=", "depth-beyond-flutes", "30 mm");
    SOUND.refuses("LU=31 LCF=", "depth-beyond-usable", "31 mm");
  }

  @Test
  void isAStraightCylinder() {
    assertEquals(10, SOUND.wide(0), 1e-3);
    assertEquals(10, SOUND.wide(32), 1e-3);
  }
}
