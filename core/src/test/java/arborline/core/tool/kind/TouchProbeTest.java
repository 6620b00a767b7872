package arborline.core.tool.kind;

import static org.junit.jupiter.api.Assertions.assertEquals;

import org.junit.jupiter.api.Test;

class TouchProbeTest {

  private static final Trial SOUND =
      Trial.of("CLASS=probe-touch DC=6 DN=4 LU=50 LF=140 BD=50 RPMX=0");

  @Test
  void needsWhatMakesIt() {
    SOUND.needs("DC", "LU", "LF", "RPMX");
  }

  @Test
  void endsInABallOnAThinStem() {
    assertEquals(6, SOUND.wide(3), 1e-3);
    assertEquals(4, SOUND.wide(30), 1e-3);
    assertEquals(50, SOUND.wide(100), 1e-3);
  }

  @Test
  void isNeverSpun() {
    SOUND.refuses("RPMX=1", "probe-spins", "1");
  }

  @Test
  void theStemIsThinnerThanTheBall() {
    SOUND.refuses("DN=6", "neck-not-smaller", "6 mm");
  }
}
