package arborline.core.tool.kind;

import org.junit.jupiter.api.Test;

class BackBoringBarTest {

  private static final Trial SOUND =
      Trial.of("CLASS=back-boring-bar DCX=30 DN=20 OFFSET=5.5 DMM=25 LF=140");

  @Test
  void needsWhatMakesIt() {
    SOUND.needs("DCX", "DN", "OFFSET", "DMM", "LF");
  }

  @Test
  void mustPassThroughTheHoleItBores() {
    SOUND.refuses("DN=30", "neck-not-smaller", "30 mm");
    SOUND.allows("DN=29");
  }
}
