package arborline.core.tool.kind;

import org.junit.jupiter.api.Test;

class InternalTurningToolTest {

  private static final Trial SOUND =
      Trial.of("CLASS=turning-internal KAPR=95 RE=0.4 DMM=20 WF=13 DMIN=25 LF=180 HAND=R");

  @Test
  void needsWhatMakesIt() {
    SOUND.needs("KAPR", "RE", "DMM", "WF", "DMIN", "LF", "HAND");
  }

  @Test
  void theBarEntersTheBore() {
    SOUND.refuses("DMIN=20 WF=9", "bore-too-narrow", "20 mm");
  }

  @Test
  void barAndNoseFitIntoTheSmallestBore() {
    SOUND.refuses("DMIN=22.9", "bar-rubs", "22.9 mm");
    SOUND.allows("DMIN=23");
  }
}
