package arborline.core.tool.kind;

import static org.junit.jupiter.api.Assertions.assertEquals;

import org.junit.jupiter.api.Test;

class GroovingInsertTest {

  private static final Trial SOUND = Trial.of("CLASS=insert-grooving CW=3 RE=0.2 L=20");

  @Test
  void needsWhatMakesIt() {
    SOUND.needs("CW", "RE");
  }

  @Test
  void itsEdgeIsAsWideAsTheGroove() {
    assertEquals(9, SOUND.cuttingArea(), 1e-9);
    assertEquals(4, SOUND.with("CW=2").cuttingArea(), 1e-9);
  }

  @Test
  void itsCornersLieWithinTheGroove() {
    SOUND.refuses("RE=1.6", "corner-beyond-groove", "1.6 mm");
    SOUND.allows("RE=1.4");
  }
}
