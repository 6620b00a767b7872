package arborline.core.tool.kind;

import static org.junit.jupiter.api.Assertions.assertEquals;

import org.junit.jupiter.api.Test;

class FormMillTest {

  private static final Trial SOUND =
      Trial.of("CLASS=form-mill DCX=24 DMM=16 OAL=80 NOF=2 PROFILE=0_0;_12_0;_12_6;_8_14");

  @Test
  void needsWhatMakesIt() {
    SOUND.needs("DCX", "DMM", "OAL", "NOF", "PROFILE");
  }

  @Test
  void followsItsProfile() {
    assertEquals(24, SOUND.wide(0), 1e-3);
    assertEquals(24, SOUND.wide(6), 1e-3);
    assertEquals(20, SOUND.wide(10), 1e-3);
    assertEquals(16, SOUND.wide(14), 1e-3);
  }

  @Test
  void theProfileStartsOnTheAxisAndDoesNotCrossItself() {
    SOUND.refuses("PROFILE=3_0;_12_6", "profile", "axis");
    SOUND.refuses("PROFILE=0_0;_-2_4", "profile", "PROFILE");
    SOUND.refuses("PROFILE=0_0;_10_0;_10_10;_4_10;_12_5", "profile", "PROFILE");
  }
}
