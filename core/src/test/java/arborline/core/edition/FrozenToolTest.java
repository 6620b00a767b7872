package arborline.core.edition;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.exchange.Bundle;
import arborline.core.exchange.Cell;
import arborline.core.exchange.RawItem;
import arborline.core.merge.MergeTool;
import arborline.core.quantity.Quantity;
import arborline.core.quantity.Unit;
import arborline.core.tool.Tool;
import arborline.core.tool.Value;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;

class FrozenToolTest {

  private static Tool mill(String diameter, Unit unit) {
    return Tool.of(
            "EM-10",
            "Mill 10",
            "end-mill-flat",
            Map.of("DC", new Value.Measure(Quantity.of(diameter, unit), false)))
        .noted(new TreeMap<>(Map.of("", "sharp")));
  }

  private static FrozenTool frozen(Tool tool) {
    return FrozenTool.of(new Bundle(tool, OptionalInt.of(7)));
  }

  private static RawItem line(String purpose, String speed) {
    return RawItem.cutting(
        0,
        "EM-10",
        new TreeMap<>(
            Map.of(
                "MATERIAL", Cell.of("CuSn12"),
                "PURPOSE", Cell.of(purpose),
                "ORIGIN", Cell.of("proven"),
                "VC", Cell.of(speed, Unit.METRE_PER_MINUTE))));
  }

  @Test
  void isTheSameWhateverItsNumberAndComesBackFromItsText() {
    Tool mill = mill("10.0", Unit.MILLIMETRE);
    FrozenTool seven = frozen(mill);
    FrozenTool eight = FrozenTool.of(new Bundle(mill, OptionalInt.of(8)));
    assertEquals(seven.text(), eight.text());
    FrozenTool read = FrozenTool.read(seven.text());
    assertEquals(seven.text(), read.text());
    assertEquals("EM-10", read.code());
    assertNotEquals(seven.text(), frozen(mill("10", Unit.MILLIMETRE)).text());
  }

  @Test
  void aCountIsTheSameWhetherItsUnitIsWrittenOrNot() {
    FrozenTool counted =
        frozen(
            Tool.of(
                "EM-10",
                "Mill 10",
                "end-mill-flat",
                Map.of("NOF", new Value.Measure(Quantity.of("4", Unit.ONE), false))));
    FrozenTool read = FrozenTool.read(counted.text());
    assertEquals(
        List.of(), FieldChange.between(ToolFields.of(counted, 7, ""), ToolFields.of(read, 7, "")));
  }

  @Test
  void keepsCuttingDataAndStacks() {
    FrozenTool whole =
        new FrozenTool(
            frozen(mill("10", Unit.MILLIMETRE)).tool(),
            List.of(line("rough", "180"), line("rough", "200")),
            List.of());
    FrozenTool read = FrozenTool.read(whole.text());
    assertEquals(whole.cutting().getFirst().cells(), read.cutting().getFirst().cells());
    MergeTool fields = ToolFields.of(read, 7, "Everyday");
    assertTrue(fields.fields().containsKey("cutting.CuSn12/rough"));
    assertTrue(fields.fields().containsKey("cutting.CuSn12/rough #2"));
  }

  @Test
  void isComparedFieldByFieldAndAChangeOfWritingIsSaid() {
    MergeTool before = ToolFields.of(frozen(mill("12.7", Unit.MILLIMETRE)), 7, "");
    MergeTool after = ToolFields.of(frozen(mill("0.5", Unit.INCH)), 8, "Everyday");
    assertEquals(
        List.of(
            new FieldChange("number", Optional.of("7"), Optional.of("8"), false),
            new FieldChange("section", Optional.empty(), Optional.of("Everyday"), false),
            new FieldChange("values.DC", Optional.of("12.7 mm"), Optional.of("0.5 in"), true)),
        FieldChange.between(before, after));
    assertEquals(List.of(), FieldChange.between(before, before));
  }

  @Test
  void aProvenLineOutweighsACalculatedOne() {
    ItemField proven = new ItemField(line("rough", "180"));
    ItemField calculated =
        new ItemField(line("rough", "200").with(Map.of("ORIGIN", Cell.of("calculated"))));
    assertTrue(proven.outweighs(calculated));
    assertTrue(!calculated.outweighs(proven));
    assertTrue(proven.sameSize(new ItemField(line("rough", "180.0"))));
  }
}
