package arborline.core.tool.kind;

import static org.junit.jupiter.api.Assertions.assertEquals;

import org.junit.jupiter.api.Test;

class FlatEndMillTest {

  private static final Trial SOUND =
      Trial.of("CLASS=end-mill-flat DC=10 APMX=22 LU=30 LCF=30 DMM=12 OAL=83 NOF=4");

  @Test
  void needsWhatMakesIt() {
    SOUND.needs("DC", "APMX", "DMM", "OAL", "NOF");
  }

  @Test
  void isAsWideAsItsEdgesUpToTheShank() {
    assertEquals(10, SOUND.wide(0), 1e-3);
    assertEquals(10, SOUND.wide(22), 1e-3);
    assertEquals(12, SOUND.wide(50), 1e-3);
  }

  @Test
  void aRoundedCornerMakesItAnotherClass() {
    SOUND.refuses("RE=0.5", "corner-not-sharp", "RE is 0.5 mm");
    SOUND.allows("RE=0");
  }

  @Test
  void cutsNoDeeperThanFlutesAndReachAllow() {
    SOUND.refuses("LCF=21.9", "depth-beyond-flutes", "22 mm");
    SOUND.allows("LCF=22");
    SOUND.refuses("LU=21.9", "depth-beyond-usable", "21.9 mm");
    SOUND.allows("LU=22");
  }

  @Test
  void mustBeHeldSomewhere() {
    SOUND.refuses("LU=83 LCF=", "usable-beyond-tool", "83 mm");
  }

  @Test
  void hasNoMoreEffectiveEdgesThanFlutes() {
    SOUND.refuses("ZEFP=5", "edges-beyond-flutes", "5");
    SOUND.allows("ZEFP=2");
  }
}
