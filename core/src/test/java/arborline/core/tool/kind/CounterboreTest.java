package arborline.core.tool.kind;

import static org.junit.jupiter.api.Assertions.assertEquals;

import org.junit.jupiter.api.Test;

class CounterboreTest {

  private static final Trial SOUND =
      Trial.of("CLASS=counterbore DC=15 DN=9 LN=9 APMX=15 DMM=12 OAL=95 NOF=3");

  @Test
  void needsWhatMakesIt() {
    SOUND.needs("DC", "DN", "APMX", "DMM", "OAL", "NOF");
  }

  @Test
  void isGuidedByAPilotInFrontOfItsEdges() {
    assertEquals(9, SOUND.wide(0), 1e-3);
    assertEquals(15, SOUND.wide(12), 1e-3);
    assertEquals(12, SOUND.wide(60), 1e-3);
  }

  @Test
  void thePilotIsThinnerThanTheSeat() {
    SOUND.refuses("DN=15", "neck-not-smaller", "15 mm");
  }
}
