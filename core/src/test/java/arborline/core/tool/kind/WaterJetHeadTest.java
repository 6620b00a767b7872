package arborline.core.tool.kind;

import static org.junit.jupiter.api.Assertions.assertEquals;

import org.junit.jupiter.api.Test;

class WaterJetHeadTest {

  private static final Trial SOUND =
      Trial.of("CLASS=jet-water KERF=1 NOZZLE=0.8 STANDOFF=2 LEADIN=3 CP=3800");

  @Test
  void needsWhatMakesIt() {
    SOUND.needs("KERF", "NOZZLE", "STANDOFF");
  }

  @Test
  void theJetIsAsWideAsItsKerf() {
    assertEquals(1, SOUND.wide(1), 1e-3);
  }

  @Test
  void theLeadInIsLongerThanTheKerf() {
    SOUND.refuses("LEADIN=0.9", "lead-in-short", "0.9 mm");
  }

  @Test
  void aKerfIsMoreThanNothing() {
    SOUND.refuses("KERF=-1", "size-not-positive", "KERF");
  }
}
