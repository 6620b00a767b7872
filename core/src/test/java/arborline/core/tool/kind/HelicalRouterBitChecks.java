package arborline.core.tool.kind;

import static org.junit.jupiter.api.Assertions.assertEquals;

import org.junit.jupiter.api.Test;

/** What holds for a helical router bit whichever way it sends its chips. */
abstract class HelicalRouterBitChecks {

  private final Trial sound;

  HelicalRouterBitChecks(String toolClass, String direction) {
    sound =
        Trial.of(
            "CLASS=%s DC=10 APMX=32 LU=36 LCF=36 DMM=10 OAL=80 NOF=2 RPMX=24000 DIRECTION=%s"
                .formatted(toolClass, direction));
  }

  @Test
  void needsWhatMakesIt() {
    sound.needs("DC", "APMX", "DMM", "OAL", "NOF", "RPMX", "DIRECTION");
  }

  @Test
  void cutsNoDeeperThanItsFlutes() {
    sound.refuses("LCF=30 LU=", "depth-beyond-flutes", "30 mm");
    sound.refuses("LU=31 LCF=", "depth-beyond-usable", "31 mm");
  }

  @Test
  void isAStraightCylinder() {
    assertEquals(10, sound.wide(0), 1e-3);
    assertEquals(10, sound.wide(32), 1e-3);
  }
}
