package arborline.core.tool.kind;

import static org.junit.jupiter.api.Assertions.assertTrue;

import org.junit.jupiter.api.Test;

class KnurlingToolTest {

  private static final Trial SOUND =
      Trial.of("CLASS=knurling-tool TP=1 PATTERN=straight H=20 B=20 LF=125");

  @Test
  void needsWhatMakesIt() {
    SOUND.needs("TP", "PATTERN", "H", "B", "LF");
  }

  @Test
  void aPitchIsMoreThanNothing() {
    SOUND.refuses("TP=0", "size-not-positive", "TP");
  }

  @Test
  void hasAnEdgeInFrontOfItsShank() {
    assertTrue(SOUND.cuttingArea() > 0);
  }
}
