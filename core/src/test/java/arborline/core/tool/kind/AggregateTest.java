package arborline.core.tool.kind;

import org.junit.jupiter.api.Test;

class AggregateTest {

  private static final Trial SOUND =
      Trial.of("CLASS=aggregate AXISANGLE=90 LF=160 DMM=63 BD=90 RPMX=12000");

  @Test
  void needsWhatMakesIt() {
    SOUND.needs("AXISANGLE", "LF", "DMM", "RPMX");
  }

  @Test
  void turnsTheAxisByAtMostAHundredAndTwenty() {
    SOUND.allows("AXISANGLE=120");
    SOUND.refuses("AXISANGLE=121", "axis-angle-range", "121 deg");
  }
}
