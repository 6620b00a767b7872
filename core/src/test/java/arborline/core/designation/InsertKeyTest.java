package arborline.core.designation;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotEquals;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class InsertKeyTest {

  @ParameterizedTest
  @ValueSource(strings = {"CNMG 120408", "cnmg 12 04 08", "CNMG120408-PM 4325", "CNMG 432"})
  void oneInsertHasOneKeyHoweverItIsWritten(String designation) {
    assertEquals("CNMG120408", InsertKey.of(designation));
  }

  @Test
  void otherInsertsHaveOtherKeys() {
    assertNotEquals(InsertKey.of("CNMG 120408"), InsertKey.of("CNMG 120404"));
    assertNotEquals(InsertKey.of("CCMT 09T308-R"), InsertKey.of("CCMT 09T308R"));
  }

  @Test
  void whatNobodyCanReadIsComparedAsItIsWritten() {
    assertEquals("OWN7", InsertKey.of("own 7-b"));
    assertEquals(40, InsertKey.of("X".repeat(99)).length());
  }
}
