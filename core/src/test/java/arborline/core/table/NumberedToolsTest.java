package arborline.core.table;

import static arborline.core.table.Tables.entry;
import static arborline.core.table.Tables.rows;
import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class NumberedToolsTest {

  private static String meant(String plan, String agreed, String number) {
    Optional<Map<String, TableEntry>> before =
        agreed.isEmpty() ? Optional.empty() : Optional.of(rows(agreed));
    ControlTable control =
        new ControlTable(Map.of("1", entry("NUMBER=" + number)), Optional.empty());
    return new NumberedTools(rows(plan), before).named(control).at("1").get(TableField.TOOL);
  }

  @Test
  void aNumberMeansTheToolThatWasAgreedUnderItBeforeOneThatIsOnlyPlanned() {
    assertEquals("A", meant("1:TOOL=A NUMBER=601", "", "601"));
    assertEquals("A", meant("2:TOOL=B NUMBER=601", "1:TOOL=A NUMBER=601", "601"));
  }

  @Test
  void aNumberThatNobodyKnowsIsAToolThatNobodyKnows() {
    assertEquals("number 633", meant("1:TOOL=A NUMBER=601", "", "633"));
  }

  @Test
  void aToolThatIsNamedStaysWhatItIs() {
    ControlTable control =
        new ControlTable(Map.of("1", entry("TOOL=C NUMBER=601")), Optional.empty());
    assertEquals(
        control, new NumberedTools(rows("1:TOOL=A NUMBER=601"), Optional.empty()).named(control));
  }
}
