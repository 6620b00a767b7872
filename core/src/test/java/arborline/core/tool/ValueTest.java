package arborline.core.tool;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import org.junit.jupiter.api.Test;

class ValueTest {

  private static final Tool TOOL = Sample.tool("CLASS=reamer HAND=R TCHA=H7 DC=12.7 OAL=1/2in");

  private static Value value(String symbol) {
    return TOOL.values().get(symbol);
  }

  @Test
  void wordsAreTheSameLetterByLetter() {
    assertTrue(value("HAND").sameAs(new Value.Word("R", true)));
    assertFalse(value("HAND").sameAs(new Value.Word("L", false)));
    assertFalse(value("HAND").sameAs(value("DC")));
    assertFalse(value("DC").sameAs(value("HAND")));
    assertEquals("H7", value("TCHA").toString());
  }

  @Test
  void sizesAreTheSameWhateverTheirUnit() {
    assertTrue(value("DC").sameAs(value("OAL")));
    assertEquals("12.7 mm", value("DC").toString());
  }
}
