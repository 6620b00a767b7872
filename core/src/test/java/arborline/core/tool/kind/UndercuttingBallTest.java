package arborline.core.tool.kind;

import static org.junit.jupiter.api.Assertions.assertEquals;

import org.junit.jupiter.api.Test;

class UndercuttingBallTest {

  private static final Trial SOUND =
      Trial.of("CLASS=end-mill-undercut DC=8 DN=5 LN=30 DMM=8 OAL=75 NOF=4");

  @Test
  void needsWhatMakesIt() {
    SOUND.needs("DC", "DN", "LN", "DMM", "OAL", "NOF");
  }

  @Test
  void cutsBehindItself() {
    assertEquals(0, SOUND.wide(0), 1e-3);
    assertEquals(8, SOUND.wide(4), 0.02);
    assertEquals(5, SOUND.wide(15), 1e-3);
    assertEquals(8, SOUND.wide(40), 1e-3);
  }

  @Test
  void theNeckIsThinnerThanTheBall() {
    SOUND.refuses("DN=8", "neck-not-smaller", "8 mm");
    SOUND.allows("DN=7.9");
  }
}
