package arborline.core.tool.kind;

import static org.junit.jupiter.api.Assertions.assertEquals;

import org.junit.jupiter.api.Test;

class IndexableDrillTest {

  private static final Trial SOUND =
      Trial.of("CLASS=drill-indexable DC=25 DCX=26 SIG=180 LU=75 CICT=2 DMM=32 OAL=150");

  @Test
  void needsWhatMakesIt() {
    SOUND.needs("DC", "SIG", "LU", "CICT", "DMM", "OAL");
  }

  @Test
  void drillsNoDeeperThanTheToolIsLong() {
    SOUND.refuses("LU=151", "usable-beyond-tool", "151 mm");
  }

  @Test
  void theAdjustedDiameterIsNotSmaller() {
    SOUND.refuses("DCX=24", "diameter-beyond-largest", "25 mm");
    SOUND.allows("DCX=25");
  }

  @Test
  void isFlatInFront() {
    assertEquals(25, SOUND.wide(0.01), 1e-3);
  }
}
