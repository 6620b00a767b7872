package arborline.core.tool.kind;

import static org.junit.jupiter.api.Assertions.assertEquals;

import org.junit.jupiter.api.Test;

class CentreDrillTest {

  private static final Trial SOUND =
      Trial.of("CLASS=drill-centre DC=2.5 DMM=6.3 SIG=118 STA=60 OAL=45");

  @Test
  void needsWhatMakesIt() {
    SOUND.needs("DC", "DMM", "SIG", "STA", "OAL");
  }

  @Test
  void hasAPilotAndAConeOfSixtyDegrees() {
    assertEquals(0, SOUND.wide(0), 1e-3);
    assertEquals(2.5, SOUND.wide(2), 1e-3);
    assertEquals(6.3, SOUND.wide(30), 1e-3);
  }

  @Test
  void thePilotIsThinnerThanTheShank() {
    SOUND.refuses("DC=6.3", "pilot-not-thinner", "6.3 mm");
  }
}
