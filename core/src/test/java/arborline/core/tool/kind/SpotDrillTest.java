package arborline.core.tool.kind;

import static org.junit.jupiter.api.Assertions.assertEquals;

import org.junit.jupiter.api.Test;

class SpotDrillTest {

  private static final Trial SOUND =
      Trial.of("CLASS=drill-spot DC=10 SIG=90 APMX=5 DMM=10 OAL=70 NOF=2");

  @Test
  void needsWhatMakesIt() {
    SOUND.needs("DC", "SIG", "DMM", "OAL", "NOF");
  }

  @Test
  void isAConeUpToItsDiameter() {
    assertEquals(0, SOUND.wide(0), 1e-3);
    assertEquals(5, SOUND.wide(2.5), 1e-3);
    assertEquals(10, SOUND.wide(5), 1e-3);
  }

  @Test
  void cutsNoDeeperThanItsCone() {
    SOUND.allows("APMX=5.05");
    SOUND.refuses("APMX=5.1", "cone-depth", "5.000 mm");
  }
}
