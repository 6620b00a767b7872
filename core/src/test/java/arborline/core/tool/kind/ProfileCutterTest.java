package arborline.core.tool.kind;

import static org.junit.jupiter.api.Assertions.assertEquals;

import org.junit.jupiter.api.Test;

class ProfileCutterTest {

  private static final Trial SOUND =
      Trial.of(
          "CLASS=router-profile DCX=40 PROFILE=0_0;_0_20;_10_20;_20_12 DMM=12 OAL=70 NOF=2 RPMX=18000");

  @Test
  void needsWhatMakesIt() {
    SOUND.needs("DCX", "PROFILE", "DMM", "OAL", "NOF", "RPMX");
  }

  @Test
  void theProfileBeginsOnTheAxisAndStaysOnItsSide() {
    SOUND.refuses("PROFILE=0_1;_0_20", "profile", "start on the axis");
    SOUND.refuses("PROFILE=0_0;_5_-1", "profile", "crosses the axis");
    SOUND.refuses("PROFILE=0_0;_0_20;_10_20_R4", "profile", "radius too small");
  }

  @Test
  void isAsWideAsItsProfile() {
    assertEquals(40, SOUND.wide(5), 1e-3);
    assertEquals(32, SOUND.wide(15), 1e-3);
  }
}
