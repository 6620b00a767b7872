package arborline.core.tool.kind;

import org.junit.jupiter.api.Test;

class FaceGroovingToolTest {

  private static final Trial SOUND =
      Trial.of(
          "CLASS=turning-face-grooving CW=3 CDX=12 DAXN=30 DAXX=40 RE=0.2 H=25 B=25 LF=150 HAND=R");

  @Test
  void needsWhatMakesIt() {
    SOUND.needs("CW", "CDX", "DAXN", "DAXX", "RE", "H", "B", "LF", "HAND");
  }

  @Test
  void worksBetweenTwoDiameters() {
    SOUND.refuses("DAXX=30", "face-groove-diameters", "30 mm");
    SOUND.allows("DAXX=30.1");
  }

  @Test
  void noGrooveIsAsDeepAsTheHolderIsLong() {
    SOUND.refuses("CDX=150", "groove-beyond-holder", "150 mm");
  }
}
