package arborline.core.tool.kind;

import static org.junit.jupiter.api.Assertions.assertEquals;

import org.junit.jupiter.api.Test;

class CornerRadiusEndMillTest {

  private static final Trial SOUND =
      Trial.of("CLASS=end-mill-corner-radius DC=12 RE=2 APMX=26 DMM=12 OAL=83 NOF=4");

  @Test
  void needsWhatMakesIt() {
    SOUND.needs("DC", "RE", "APMX", "DMM", "OAL", "NOF");
  }

  @Test
  void isFlatInTheMiddleOfItsEnd() {
    assertEquals(8, SOUND.wide(0), 1e-3);
    assertEquals(12, SOUND.wide(2), 1e-3);
  }

  @Test
  void theCornerIsAtMostHalfTheDiameter() {
    SOUND.allows("RE=6");
    SOUND.refuses("RE=6.001", "corner-beyond-diameter", "6.001 mm");
  }

  @Test
  void aSharpCornerMakesItAFlatEndMill() {
    SOUND.refuses("RE=0", "corner-not-rounded", "RE is 0");
  }
}
