package arborline.core.tool.kind;

import static org.junit.jupiter.api.Assertions.assertTrue;

import org.junit.jupiter.api.Test;

class SolidTurningToolTest {

  private static final Trial SOUND =
      Trial.of("CLASS=turning-solid KAPR=95 RE=0.2 LF=80 HAND=R H=12 B=12 WF=16");

  @Test
  void needsWhatMakesIt() {
    SOUND.needs("KAPR", "RE", "LF", "HAND");
  }

  @Test
  void theEdgeAngleIsBelowAHundredAndEighty() {
    SOUND.refuses("KAPR=181", "edge-angle-range", "181");
    SOUND.allows("KAPR=45");
  }

  @Test
  void hasAnEdgeInFrontOfItsShank() {
    assertTrue(SOUND.cuttingArea() > 0);
  }
}
