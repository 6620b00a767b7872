package arborline.core.table;

import static arborline.core.table.Tables.entry;
import static arborline.core.table.Tables.rows;
import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class ControlTableTest {

  private static ControlTable table(String rows, String spindle) {
    return new ControlTable(
        rows(rows), spindle.isEmpty() ? Optional.empty() : Optional.of(entry(spindle)));
  }

  @Test
  void whatChangedBetweenTwoReadingsIsSaidInTheOrderOfPlaces() {
    ControlTable before = table("10:TOOL=A LENGTH=120;2:TOOL=B;7:TOOL=C", "");
    ControlTable now = table("10:TOOL=A LENGTH=121;2:TOOL=B;11:TOOL=D", "TOOL=B");
    assertEquals(
        List.of(
            "pocket 7: tool was C, now not set",
            "pocket 10: length was 120, now 121",
            "pocket 11: tool was not set, now D",
            "the spindle held nothing, now B"),
        now.changesSince(before, "pocket"));
  }

  @Test
  void nothingChangedIsNothingSaid() {
    ControlTable table = table("2:TOOL=B LENGTH=90", "TOOL=B");
    assertEquals(List.of(), table.changesSince(table, "pocket"));
    assertEquals(TableEntry.EMPTY, table.at("3"));
  }

  @Test
  void whatTheControlCountsAndHowItWritesNumbersIsNoChange() {
    ControlTable before = table("2:TOOL=B LENGTH=90 LIFE_USED=12 PARTS_USED=4", "");
    ControlTable now =
        table("2:TOOL=B LENGTH=90.000 LIFE_USED=13 PARTS_USED=5 DIAMETER_WEAR=0.000", "");
    assertEquals(List.of(), now.changesSince(before, "pocket"));
    assertEquals(
        List.of(new TableChange("2", TableField.LENGTH_WEAR, null, "0.01")),
        table("2:TOOL=B LENGTH=90 LENGTH_WEAR=0.01", "").changesFrom(before));
  }
}
