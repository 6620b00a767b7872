package arborline.core.tool.kind;

import static org.junit.jupiter.api.Assertions.assertEquals;

import org.junit.jupiter.api.Test;

class DiscMillTest {

  private static final Trial SOUND =
      Trial.of("CLASS=slot-mill-disc DC=63 CW=5 CDX=12 DN=31 LN=30 DMM=20 OAL=100 NOF=10");

  @Test
  void needsWhatMakesIt() {
    SOUND.needs("DC", "CW", "CDX", "DMM", "OAL", "NOF");
  }

  @Test
  void cutsAsWideAsItsDisc() {
    assertEquals(63, SOUND.wide(0), 1e-3);
    assertEquals(63, SOUND.wide(5), 1e-3);
    assertEquals(31, SOUND.wide(10), 1e-3);
  }

  @Test
  void cutsNoDeeperThanItStandsOut() {
    SOUND.allows("CDX=16");
    SOUND.refuses("CDX=16.1", "disc-depth", "16.000 mm");
  }
}
