package arborline.core.tool.kind;

import static org.junit.jupiter.api.Assertions.assertEquals;

import org.junit.jupiter.api.Test;

class CoreDrillTest {

  private static final Trial SOUND =
      Trial.of("CLASS=core-drill DC=20 SIG=120 PHD=16 LCF=100 DMM=20 OAL=180 NOF=3");

  @Test
  void needsWhatMakesIt() {
    SOUND.needs("DC", "SIG", "PHD", "LCF", "DMM", "OAL");
  }

  @Test
  void openingOutNeedsAHoleThatIsSmaller() {
    SOUND.refuses("PHD=20", "pilot-not-smaller", "20 mm");
    SOUND.allows("PHD=19.9");
  }

  @Test
  void theFlutesLieWithinTheTool() {
    SOUND.refuses("LCF=181", "flutes-beyond-tool", "181 mm");
  }

  @Test
  void endsInItsPointAngle() {
    assertEquals(20, SOUND.wide(20), 1e-3);
    assertEquals(2 * 2 * Math.tan(Math.toRadians(60)), SOUND.wide(2), 1e-3);
  }
}
