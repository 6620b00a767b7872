package arborline.core.tool.kind;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import org.junit.jupiter.api.Test;

class SawBladeTest {

  private static final Trial SOUND =
      Trial.of("CLASS=saw-blade DC=160 CW=3.2 WB=2.2 DCONMS=30 NOF=32 RPMX=9000 LF=16");

  @Test
  void needsWhatMakesIt() {
    SOUND.needs("DC", "CW", "DCONMS", "NOF", "WB", "RPMX");
  }

  @Test
  void isAThinDisc() {
    assertEquals(160, SOUND.wide(0), 1e-3);
    assertEquals(160, SOUND.wide(3.2), 1e-3);
    assertTrue(SOUND.wide(10) < 80);
  }

  @Test
  void theKerfIsWiderThanTheBody() {
    SOUND.refuses("WB=3.2", "kerf-not-wider", "3.2 mm");
    SOUND.allows("WB=3.1");
  }
}
