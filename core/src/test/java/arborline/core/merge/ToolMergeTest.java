package arborline.core.merge;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;

import arborline.core.quantity.Quantity;
import arborline.core.quantity.Unit;
import arborline.core.tool.Tool;
import arborline.core.tool.Value;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class ToolMergeTest {

  private static Tool tool(String name, String dc, String oal) {
    return Tool.of(
        "EM-1",
        name,
        "end-mill-flat",
        Map.of(
            "DC", new Value.Measure(Quantity.of(dc, Unit.MILLIMETRE), false),
            "OAL", new Value.Measure(Quantity.of(oal, Unit.MILLIMETRE), false)));
  }

  private static final Tool BASE = tool("Mill", "10", "72");

  @Test
  void changesOfDifferentFieldsAreJoined() {
    ToolMerge.Merged merged =
        ToolMerge.merge(BASE, tool("Mill", "12", "72"), tool("Mill", "10", "83"));
    assertEquals(List.of(), merged.conflicts());
    assertEquals(tool("Mill", "12", "83").values(), merged.tool().values());
  }

  @Test
  void theSameChangeTwiceIsOneChange() {
    ToolMerge.Merged merged =
        ToolMerge.merge(BASE, tool("Mill", "12", "72"), tool("Mill", "12", "72"));
    assertEquals(List.of(), merged.conflicts());
    assertEquals("12 mm", merged.tool().values().get("DC").toString());
  }

  @Test
  void differentChangesOfOneFieldAreShownSideBySide() {
    ToolMerge.Merged merged =
        ToolMerge.merge(BASE, tool("Mill", "12", "72"), tool("Mill", "11", "72"));
    assertEquals(
        List.of(new FieldMerge.Conflict("DC", "10 mm", "12 mm", "11 mm")), merged.conflicts());
  }

  @Test
  void whoeverIsChosenStandsWhereBothChangedAField() {
    Tool theirs = tool("Rougher", "12", "72");
    Tool mine = tool("Mill", "11", "83");
    Tool keptMine = ToolMerge.settled(BASE, theirs, mine, FieldMerge.Keep.MINE);
    Tool keptTheirs = ToolMerge.settled(BASE, theirs, mine, FieldMerge.Keep.THEIRS);
    assertEquals(tool("Rougher", "11", "83"), keptMine);
    assertEquals(tool("Rougher", "12", "83"), keptTheirs);
  }

  @Test
  void aNameIsAFieldToo() {
    ToolMerge.Merged merged =
        ToolMerge.merge(BASE, tool("Rougher", "10", "72"), tool("Finisher", "10", "72"));
    assertEquals("NAME", merged.conflicts().getFirst().symbol());
  }

  @Test
  void writtenOtherwiseIsAChange() {
    ToolMerge.Merged merged = ToolMerge.merge(BASE, BASE, tool("Mill", "10.0", "72"));
    assertFalse(merged.tool().values().equals(BASE.values()));
  }

  @Test
  void changesAreSaidInWords() {
    assertEquals(
        List.of("name 'Mill' to 'Rougher'", "DC 10 mm to 12 mm"),
        ToolDifference.of(BASE, tool("Rougher", "12", "72")));
    assertEquals(List.of(), ToolDifference.of(BASE, BASE));
  }
}
