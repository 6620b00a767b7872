package arborline.core.tool.kind;

import static org.junit.jupiter.api.Assertions.assertEquals;

import arborline.core.tool.outline.Mark;
import java.util.List;
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

  @Test
  void isMeasuredByTheLengthThatItsClassNeeds() {
    assertEquals(List.of("LF"), lengths(SOUND));
    assertEquals(List.of("LF"), lengths(SOUND.with("LF=")));
    Trial mill = Trial.of("CLASS=end-mill-flat DC=10 APMX=22 DMM=10 OAL=72 NOF=4");
    assertEquals(List.of("OAL"), lengths(mill));
    assertEquals(List.of("OAL"), lengths(mill.with("OAL=")));
  }

  private static List<String> lengths(Trial trial) {
    return trial.outline().marks().stream()
        .map(Mark::symbol)
        .filter(List.of("OAL", "LF")::contains)
        .toList();
  }

  @Test
  void reachesNoFurtherThanItIsLong() {
    SOUND.refuses("OAL=40", "usable-beyond-tool", "40 mm");
  }
}
