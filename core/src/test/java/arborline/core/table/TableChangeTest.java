package arborline.core.table;

import static org.junit.jupiter.api.Assertions.assertEquals;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class TableChangeTest {

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "LENGTH | 120.5 | LENGTH=120.500 | true",
        "LENGTH | 120.5 | LENGTH=120.501 | false",
        "LENGTH | 120.5 | DIAMETER=10 | false",
        "LENGTH | | DIAMETER=10 | true",
        "LENGTH | | LENGTH=120 | false",
        "LENGTH | 0 | DIAMETER=10 | false",
        "LENGTH_WEAR | | LENGTH_WEAR=0.000 | true",
        "LENGTH_WEAR | 0 | LENGTH=120 | true",
        "LENGTH_WEAR | 0.01 | LENGTH=120 | false",
        "NAME | END-MILL | NAME=End-mill | true",
        "NAME | DRILL | NAME=End-mill | false",
      })
  void itIsKnownWhetherAPlaceBecameWhatWasSent(
      TableField field, String became, String target, boolean sent) {
    assertEquals(sent, new TableChange("5", field, "1", became).became(Tables.entry(target)));
  }

  @Test
  void aChangeIsSaidInWords() {
    assertEquals(
        "length was not set, now 120.5",
        new TableChange("5", TableField.LENGTH, null, "120.5").words());
  }
}
