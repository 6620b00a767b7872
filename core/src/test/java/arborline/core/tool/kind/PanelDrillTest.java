package arborline.core.tool.kind;

import static org.junit.jupiter.api.Assertions.assertEquals;

import org.junit.jupiter.api.Test;

class PanelDrillTest {

  private static final Trial SOUND =
      Trial.of("CLASS=drill-panel DC=8 LU=35 DMM=10 OAL=70 RPMX=12000 SIG=150 NOF=2");

  @Test
  void needsWhatMakesIt() {
    SOUND.needs("DC", "LU", "DMM", "OAL", "RPMX");
  }

  @Test
  void drillsNoDeeperThanItIsLong() {
    SOUND.refuses("LU=71", "usable-beyond-tool", "71 mm");
  }

  @Test
  void hasAShankOfItsOwn() {
    assertEquals(8, SOUND.wide(20), 1e-3);
    assertEquals(10, SOUND.wide(69), 1e-3);
  }
}
