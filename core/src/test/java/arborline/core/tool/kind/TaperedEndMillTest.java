package arborline.core.tool.kind;

import static org.junit.jupiter.api.Assertions.assertEquals;

import org.junit.jupiter.api.Test;

class TaperedEndMillTest {

  private static final Trial SOUND =
      Trial.of("CLASS=end-mill-tapered DC=8.193 DCN=4 BHTA=3 APMX=40 DMM=10 OAL=90 NOF=4");

  @Test
  void needsWhatMakesIt() {
    SOUND.needs("DC", "DCN", "BHTA", "APMX", "DMM", "OAL", "NOF");
  }

  @Test
  void widensFromTipToCutDepth() {
    assertEquals(4, SOUND.wide(0), 1e-3);
    assertEquals(6.096, SOUND.wide(20), 1e-3);
    assertEquals(8.088, SOUND.wide(39), 1e-3);
  }

  @Test
  void angleAndDiametersAgree() {
    SOUND.refuses("DC=9", "taper-diameter", "8.193");
    SOUND.allows("DC=8.2");
  }

  @Test
  void theTipIsSmallerThanTheEnd() {
    SOUND.needs("BHTA");
  }
}
