package arborline.core.tool.kind;

import static org.junit.jupiter.api.Assertions.assertEquals;

import org.junit.jupiter.api.Test;

class FormMillTest {

  private static final Trial SOUND =
      Trial.of("CLASS=form-mill DCX=24 DMM=16 OAL=80 NOF=2 PROFILE=0_0;_0_12;_6_12;_14_8");

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
    SOUND.refuses("PROFILE=0_3;_6_12", "profile", "axis");
    SOUND.refuses("PROFILE=0_0;_4_-2", "profile", "PROFILE");
    SOUND.refuses("PROFILE=0_0;_0_10;_10_10;_10_4;_5_12", "profile", "PROFILE");
  }
}
