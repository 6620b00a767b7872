package arborline.core.tool.kind;

import static org.junit.jupiter.api.Assertions.assertEquals;

import org.junit.jupiter.api.Test;

class FaceMillTest {

  private static final Trial SOUND =
      Trial.of("CLASS=face-mill DC=63 DCX=75 KAPR=45 APMX=6 DCONMS=22 CICT=5 LF=45");

  @Test
  void needsWhatMakesIt() {
    SOUND.needs("DC", "DCX", "KAPR", "APMX", "DCONMS", "CICT", "LF");
  }

  @Test
  void leansByItsEdgeAngle() {
    assertEquals(63, SOUND.wide(0), 1e-3);
    assertEquals(69, SOUND.wide(3), 1e-3);
    assertEquals(75, SOUND.wide(6), 1e-3);
  }

  @Test
  void hangsOnAnArborNoWiderThanItself() {
    SOUND.refuses("DCONMS=70", "bore-too-large", "63 mm");
    SOUND.allows("DCONMS=27");
  }

  @Test
  void diametersDepthAndAngleAgree() {
    SOUND.refuses("DCX=80", "face-mill-diameters", "75.00 mm");
    SOUND.allows("DCX=76");
  }

  @Test
  void theEffectiveEdgesAreNoMoreThanTheFlutes() {
    SOUND.refuses("NOF=5 ZEFP=6", "edges-beyond-flutes", "6");
    SOUND.allows("NOF=5 ZEFP=5");
  }
}
