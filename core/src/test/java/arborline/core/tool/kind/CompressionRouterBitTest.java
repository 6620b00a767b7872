package arborline.core.tool.kind;

import org.junit.jupiter.api.Test;

class CompressionRouterBitTest {

  private static final Trial SOUND =
      Trial.of(
          "CLASS=router-compression DC=12 APMX=38 LU=42 LCF=42 DMM=12 OAL=90 NOF=2 RPMX=24000 DIRECTION=compression");

  @Test
  void needsWhatMakesIt() {
    SOUND.needs("DC", "APMX", "DMM", "OAL", "NOF", "RPMX", "DIRECTION");
  }

  @Test
  void neverTurnsWithoutALimit() {
    SOUND.needs("RPMX");
    SOUND.refuses("LU=37 LCF=", "depth-beyond-usable", "37 mm");
  }
}
