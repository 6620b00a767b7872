package arborline.core.tool.kind;

import static org.junit.jupiter.api.Assertions.assertEquals;

import org.junit.jupiter.api.Test;

class ExternalTurningToolTest {

  private static final Trial SOUND =
      Trial.of(
          "CLASS=turning-external KAPR=95 RE=0.8 H=25 B=25 WF=32 LF=150 HAND=R SC=C EPSR=80 IC=12.7");

  @Test
  void needsWhatMakesIt() {
    SOUND.needs("KAPR", "RE", "H", "B", "WF", "LF", "HAND");
  }

  @Test
  void carriesItsInsertInTrueShape() {
    assertEquals(12.7 * 12.7 / Math.sin(Math.toRadians(80)), SOUND.cuttingArea(), 1e-3);
  }

  @Test
  void edgeAndCornerLeaveAnEndClearance() {
    SOUND.refuses("KAPR=100", "trailing-edge", "100 deg");
    SOUND.allows("KAPR=99");
  }

  @Test
  void aDesignationContradictedIsNamed() {
    SOUND.refuses("MIID=DNMG_150408", "insert-contradicts", "DNMG 150408");
  }
}
