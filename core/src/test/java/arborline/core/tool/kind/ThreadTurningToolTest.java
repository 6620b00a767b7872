package arborline.core.tool.kind;

import org.junit.jupiter.api.Test;

class ThreadTurningToolTest {

  private static final Trial SOUND =
      Trial.of("CLASS=turning-threading TPN=0.5 TPX=1.5 THFT=60 HAND=R H=25 B=25 LF=150");

  @Test
  void needsWhatMakesIt() {
    SOUND.needs("TPN", "TPX", "THFT", "HAND", "H", "B", "LF");
  }

  @Test
  void thePitchesRise() {
    SOUND.refuses("TPN=2", "pitches-fall", "2 mm");
  }
}
