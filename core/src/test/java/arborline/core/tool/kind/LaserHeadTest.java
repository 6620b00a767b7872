package arborline.core.tool.kind;

import static org.junit.jupiter.api.Assertions.assertEquals;

import org.junit.jupiter.api.Test;

class LaserHeadTest {

  private static final Trial SOUND =
      Trial.of("CLASS=jet-laser KERF=0.2 NOZZLE=1.5 STANDOFF=1 LEADIN=2");

  @Test
  void needsWhatMakesIt() {
    SOUND.needs("KERF", "NOZZLE", "STANDOFF");
  }

  @Test
  void theBeamIsAsWideAsItsKerf() {
    assertEquals(0.2, SOUND.wide(0), 1e-3);
    assertEquals(0.2, SOUND.wide(0.5), 1e-3);
  }

  @Test
  void theLeadInIsLongerThanTheKerf() {
    SOUND.refuses("LEADIN=0.1", "lead-in-short", "0.1 mm");
  }
}
