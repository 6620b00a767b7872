package arborline.core.vendor;

import static org.junit.jupiter.api.Assertions.assertEquals;

import arborline.core.exchange.Cell;
import arborline.core.exchange.ItemKind;
import arborline.core.exchange.PartReading;
import arborline.core.exchange.RawItem;
import arborline.core.finding.Finding;
import arborline.core.part21.VendorProperties;
import arborline.core.quantity.Unit;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;

class ItemChangeTest {

  private static final Map<String, Cell> DRILL =
      Map.of(
          RawItem.CODE,
          Cell.of("MC-6120-1000"),
          RawItem.NAME,
          Cell.of("Drill 10"),
          RawItem.CLASS,
          Cell.of("drill"),
          "DC",
          Cell.of("10", Unit.MILLIMETRE),
          "LU",
          Cell.of("49", Unit.MILLIMETRE),
          "RPMX",
          Cell.of("24000", Unit.REVOLUTION_PER_MINUTE));

  private static RawItem raw(Map<String, Cell> changes) {
    return new RawItem(1, new TreeMap<>(DRILL), List.of()).with(changes);
  }

  private static ItemSaid tool(Map<String, Cell> changes) {
    return ItemSaid.of(raw(changes));
  }

  private static Cell mm(String text) {
    return Cell.of(text, Unit.MILLIMETRE);
  }

  @Test
  void whatTheShopNeverTouchedFollowsTheVendor() {
    ItemChange change =
        ItemChange.of(tool(Map.of()), tool(Map.of("LU", mm("47"))), tool(Map.of("DC", mm("9.98"))));
    assertEquals(
        List.of(new ItemChange.Field("LU", "49 mm", "47 mm", "49 mm", ItemChange.Outcome.FOLLOWS)),
        change.fields());
    assertEquals(Set.of("LU"), change.proposed());
    assertEquals(Set.of(), change.asked());
  }

  @Test
  void whatBothChangedIsAsked() {
    ItemChange change =
        ItemChange.of(tool(Map.of()), tool(Map.of("LU", mm("47"))), tool(Map.of("LU", mm("45"))));
    assertEquals(Set.of(), change.proposed());
    assertEquals(Set.of("LU"), change.asked());
  }

  @Test
  void whatTheVendorNoLongerSaysIsNotTakenAwaySilently() {
    ItemChange change =
        ItemChange.of(tool(Map.of()), tool(Map.of("RPMX", Cell.of(""))), tool(Map.of()));
    assertEquals(ItemChange.Outcome.WITHDRAWN, change.fields().getFirst().outcome());
    assertEquals(Set.of("RPMX"), change.asked());
  }

  @Test
  void whatTheShopHasAlreadyIsNoQuestion() {
    ItemChange change =
        ItemChange.of(tool(Map.of()), tool(Map.of("LU", mm("47"))), tool(Map.of("LU", mm("47.0"))));
    assertEquals(ItemChange.Outcome.AGREES, change.fields().getFirst().outcome());
    assertEquals(Set.of(), change.asked());
  }

  @Test
  void theSameSizeInInchIsNoChange() {
    ItemSaid inch = tool(Map.of("DC", Cell.of("0.3937", Unit.INCH)));
    assertEquals(List.of(), ItemChange.of(tool(Map.of()), inch, tool(Map.of())).fields());
  }

  @Test
  void aTenthOfAMillimetreIsAChangeInInchToo() {
    ItemSaid inch = tool(Map.of("DC", Cell.of("0.3898", Unit.INCH)));
    assertEquals(Set.of("DC"), ItemChange.of(tool(Map.of()), inch, tool(Map.of())).proposed());
  }

  private static final Cell WIDE = Cell.of("wide");

  @Test
  void whatCannotBeReadIsAskedAndNeverTakenForNothing() {
    ItemChange change =
        ItemChange.of(tool(Map.of()), tool(Map.of("LU", WIDE, "OAL", WIDE)), tool(Map.of()));
    assertEquals(
        List.of(
            new ItemChange.Field("LU", "49 mm", "wide", "49 mm", ItemChange.Outcome.UNREAD),
            new ItemChange.Field("OAL", "", "wide", "", ItemChange.Outcome.UNREAD)),
        change.fields());
    assertEquals(Set.of("LU", "OAL"), change.asked());
    assertEquals(Set.of(), change.proposed());
  }

  @Test
  void aSizeThatCannotBeToldAnyMoreIsNoSizeThatIsGone() {
    RawItem doubtful =
        raw(Map.of("LU", Cell.of("")))
            .withFindings(
                List.of(
                    Finding.query(VendorProperties.DOUBTFUL, "LU: 47 and 49", "LU"),
                    Finding.query(VendorProperties.DOUBTFUL, "OAL: 89 without a unit", "OAL")));
    assertEquals(
        List.of(
            new ItemChange.Field("LU", "49 mm", "47 and 49", "49 mm", ItemChange.Outcome.UNREAD)),
        ItemChange.of(tool(Map.of()), ItemSaid.of(doubtful), tool(Map.of())).fields());
  }

  @Test
  void whatCouldNotBeReadBeforeEitherIsNotAskedAgain() {
    ItemSaid wide = tool(Map.of("LU", WIDE));
    assertEquals(List.of(), ItemChange.of(wide, wide, tool(Map.of())).fields());
  }

  @Test
  void whatCanBeReadAtLastFollowsOnlyWhereTheShopHasNothing() {
    ItemSaid wide = tool(Map.of("OAL", WIDE));
    ItemSaid said = tool(Map.of("OAL", mm("89")));
    assertEquals(
        List.of(new ItemChange.Field("OAL", "wide", "89 mm", "", ItemChange.Outcome.FOLLOWS)),
        ItemChange.of(wide, said, tool(Map.of())).fields());
    assertEquals(Set.of("OAL"), ItemChange.of(wide, said, tool(Map.of("OAL", mm("90")))).asked());
  }

  @Test
  void theBodyOfAHolderThatCannotBeReadIsAsked() {
    ItemChange change =
        ItemChange.of(
            holder("26x63; 60x28", "Shrink holder"),
            holder("26 by 63", "Shrink holder"),
            holder("26x63; 60x28", "Shrink holder"));
    assertEquals(Set.of(PartReading.BODIES), change.asked());
    assertEquals("26 by 63", change.fields().getFirst().now());
  }

  private static ItemSaid holder(String bodies, String name) {
    TreeMap<String, Cell> cells = new TreeMap<>();
    cells.put(RawItem.CODE, Cell.of("BRK-1"));
    cells.put(RawItem.NAME, Cell.of(name));
    cells.put(PartReading.MACHINE_SIDE, Cell.of("HT-A-63:m"));
    cells.put(PartReading.WORK_SIDE, Cell.of("CY-HY-12:f"));
    cells.put(PartReading.BODIES, Cell.of(bodies));
    return ItemSaid.of(new RawItem(1, ItemKind.HOLDER, cells, List.of()));
  }

  @Test
  void theBodyOfAHolderIsOneField() {
    ItemChange change =
        ItemChange.of(
            holder("26x63; 60x28", "Shrink holder"),
            holder("26x63; 62x28", "Shrink holder"),
            holder("26x63; 60x28", "Shrink holder of the crib"));
    assertEquals(Set.of(PartReading.BODIES), change.proposed());
  }
}
