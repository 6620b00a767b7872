package arborline.core.part21;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import arborline.core.exchange.Cell;
import arborline.core.exchange.ItemKind;
import arborline.core.exchange.RawItem;
import arborline.core.quantity.Unit;
import java.util.List;
import org.junit.jupiter.api.Test;

class ListedItemsTest {

  @Test
  void anItemOfAListIsWhatItsFileWillSay() {
    RawItem drill =
        ListedItems.item(
            "MC-7040-085",
            "step drill",
            "Step drill 8.5 / 11",
            List.of(
                new ListedItems.Listed("DC1", "8.5", "mm"),
                new ListedItems.Listed("DC2", "0.433", "in"),
                new ListedItems.Listed("RPMX", "8000", "1/min"),
                new ListedItems.Listed("NOF", "2", "1"),
                new ListedItems.Listed("HAND", "R", ""),
                new ListedItems.Listed("CHIP BREAKER", "K4", ""),
                new ListedItems.Listed("CCMS", "CY-A-12:m", "")));
    assertEquals("drill-step", drill.text(RawItem.CLASS));
    assertEquals(Cell.of("8.5", Unit.MILLIMETRE), drill.cells().get("DC"));
    assertEquals(Cell.of("0.433", Unit.INCH), drill.cells().get("DC1"));
    assertEquals("2", drill.text("NOF"));
    assertEquals("R", drill.text("HAND"));
    assertEquals("K4", drill.text(RawItem.note("CHIP BREAKER")));
    assertEquals("CY-A-12:m", drill.text("CCMS"));
  }

  @Test
  void aHolderIsNoTool() {
    RawItem holder = ListedItems.item("B-1", "shrink fit holder", "Holder", List.of());
    assertEquals(ItemKind.HOLDER, holder.kind());
    assertTrue(!holder.cells().containsKey(RawItem.CLASS));
  }
}
