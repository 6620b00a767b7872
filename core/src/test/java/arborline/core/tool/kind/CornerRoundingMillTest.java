package arborline.core.tool.kind;

import static org.junit.jupiter.api.Assertions.assertEquals;

import org.junit.jupiter.api.Test;

class CornerRoundingMillTest {

  private static final Trial SOUND =
      Trial.of("CLASS=corner-rounding-mill PRFRAD=3 DCN=6 DCX=12 DMM=12 OAL=70 NOF=4");

  @Test
  void needsWhatMakesIt() {
    SOUND.needs("PRFRAD", "DCN", "DCX", "DMM", "OAL", "NOF");
  }

  @Test
  void isHollowFromTheSmallDiameterOutwards() {
    assertEquals(6, SOUND.wide(0), 1e-3);
    assertEquals(12, SOUND.wide(3), 1e-3);
  }

  @Test
  void theRadiusFitsBetweenTheDiameters() {
    SOUND.refuses("DCX=11.9", "rounding-beyond-diameter", "11.9 mm");
    SOUND.allows("DCX=12.5");
  }
}
