package arborline.core.tool.kind;

import static org.junit.jupiter.api.Assertions.assertEquals;

import org.junit.jupiter.api.Test;

class GroovingToolTest {

  private static final Trial SOUND =
      Trial.of("CLASS=turning-grooving CW=3 CDX=15 RE=0.2 H=25 B=25 LF=150 HAND=R");

  @Test
  void needsWhatMakesIt() {
    SOUND.needs("CW", "CDX", "RE", "H", "B", "LF", "HAND");
  }

  @Test
  void theBladeIsAsWideAsItsGroove() {
    assertEquals(3 * 6, SOUND.cuttingArea(), 1e-3);
  }

  @Test
  void theCornerFitsTheGroove() {
    SOUND.refuses("RE=1.6", "corner-beyond-groove", "1.6 mm");
    SOUND.allows("RE=1.5");
  }

  @Test
  void noGrooveIsAsDeepAsTheHolderIsLong() {
    SOUND.refuses("CDX=200", "groove-beyond-holder", "150 mm");
  }
}
