package arborline.core.table;

import static arborline.core.table.Tables.entry;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotEquals;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class TableEntryTest {

  @Test
  void entriesOfTheSameTextsAreEqual() {
    assertEquals(entry("TOOL=A LENGTH=120"), entry("LENGTH=120 TOOL=A"));
    assertEquals(entry("TOOL=A").hashCode(), entry("TOOL=A").hashCode());
  }

  @ParameterizedTest
  @CsvSource({
    "TOOL=A, TOOL=B",
    "TOOL=A, TOOL=A LENGTH=120",
    "LENGTH=120, DIAMETER=120",
    "LENGTH=12 DIAMETER=3, LENGTH=1 DIAMETER=23",
    "NUMBER=5 OFFSET=6, NUMBER=6 OFFSET=5",
    "TOOL=A SISTER=1, TOOL=A PHYSICAL=1",
    "LENGTH=120, LENGTH=120.0"
  })
  void theSameTextInAnotherFieldIsAnotherEntry(String one, String other) {
    assertNotEquals(entry(one), entry(other));
  }
}
