package arborline.core.tool.kind;

import org.junit.jupiter.api.Test;

class NeutralTurningToolTest {

  private static final Trial SOUND =
      Trial.of("CLASS=turning-neutral KAPR=72.5 EPSR=35 RE=0.4 H=20 B=20 LF=125");

  @Test
  void needsWhatMakesIt() {
    SOUND.needs("KAPR", "EPSR", "RE", "H", "B", "LF");
  }

  @Test
  void pointsStraightAhead() {
    SOUND.refuses("KAPR=70", "neutral-not-symmetric", "70 deg");
  }
}
