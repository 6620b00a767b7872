package arborline.core.tool.kind;

import static org.junit.jupiter.api.Assertions.assertEquals;

import org.junit.jupiter.api.Test;

class PlasmaTorchTest {

  private static final Trial SOUND =
      Trial.of("CLASS=jet-plasma KERF=1.8 NOZZLE=1.2 STANDOFF=1.5 LEADIN=5");

  @Test
  void needsWhatMakesIt() {
    SOUND.needs("KERF", "NOZZLE", "STANDOFF");
  }

  @Test
  void theArcIsAsWideAsItsKerf() {
    assertEquals(1.8, SOUND.wide(0.5), 1e-3);
  }

  @Test
  void theLeadInIsLongerThanTheKerf() {
    SOUND.refuses("LEADIN=1.7", "lead-in-short", "1.7 mm");
    SOUND.allows("LEADIN=1.8");
  }

  @Test
  void standsOffTheWork() {
    SOUND.refuses("STANDOFF=0", "size-not-positive", "STANDOFF");
  }
}
