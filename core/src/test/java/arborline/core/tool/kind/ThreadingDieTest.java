package arborline.core.tool.kind;

import org.junit.jupiter.api.Test;

class ThreadingDieTest {

  private static final Trial SOUND = Trial.of("CLASS=die TD=8 TP=1.25 TDZ=M8 DC=25 THUB=9");

  @Test
  void needsWhatMakesIt() {
    SOUND.needs("TD", "TP", "TDZ", "DC", "THUB");
  }

  @Test
  void cutsTheThreadItIsNamedAfter() {
    SOUND.refuses("TDZ=M10", "thread-size", "M10");
  }
}
