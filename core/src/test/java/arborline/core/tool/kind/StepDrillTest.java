package arborline.core.tool.kind;

import static org.junit.jupiter.api.Assertions.assertEquals;

import org.junit.jupiter.api.Test;

class StepDrillTest {

  private static final Trial SOUND =
      Trial.of("CLASS=drill-step DC=6.8 SIG=118 DC1=9 SDL1=20 STA1=90 LCF=45 DMM=10 OAL=95 NOF=2");

  @Test
  void needsWhatMakesIt() {
    SOUND.needs("DC", "SIG", "DC1", "SDL1", "STA1", "LCF", "DMM", "OAL", "NOF");
  }

  @Test
  void isAsWideAsItsStepBehindIt() {
    assertEquals(6.8, SOUND.wide(15), 1e-3);
    assertEquals(9, SOUND.wide(25), 1e-3);
    assertEquals(10, SOUND.wide(60), 1e-3);
  }

  @Test
  void everyStepIsWiderAndFurther() {
    SOUND.refuses("DC1=6.8", "steps-fall", "6.8 mm");
    SOUND.refuses("DC2=8 SDL2=30", "steps-fall", "DC2");
    SOUND.refuses("DC2=12 SDL2=20", "steps-fall", "SDL2");
  }
}
