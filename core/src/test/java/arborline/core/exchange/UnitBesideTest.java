package arborline.core.exchange;

import static org.junit.jupiter.api.Assertions.assertEquals;

import arborline.core.property.Dictionary;
import arborline.core.quantity.Unit;
import java.util.List;
import java.util.Optional;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;

class UnitBesideTest {

  private static RawItem item(Object... symbolsAndUnits) {
    TreeMap<String, Cell> cells = new TreeMap<>();
    for (int i = 0; i < symbolsAndUnits.length; i += 2) {
      cells.put((String) symbolsAndUnits[i], Cell.of("1", (Unit) symbolsAndUnits[i + 1]));
    }
    return new RawItem(1, cells, List.of());
  }

  private static Optional<Unit> of(String symbol, RawItem item) {
    return item.unitBeside(Dictionary.standard().get(symbol));
  }

  @Test
  void aLengthThatIsAddedIsInTheUnitOfTheLengthsBesideIt() {
    RawItem inches = item("DC", Unit.INCH, "OAL", Unit.INCH, "SIG", Unit.DEGREE);
    assertEquals(Optional.of(Unit.INCH), of("APMX", inches));
    assertEquals(Optional.of(Unit.DEGREE), of("PSIR", inches));
    assertEquals(Optional.empty(), of("WT", inches));
    assertEquals(Optional.empty(), of("NOF", inches));
  }

  @Test
  void whereTheLengthsDifferNothingIsGuessed() {
    assertEquals(Optional.empty(), of("APMX", item("DC", Unit.INCH, "OAL", Unit.MILLIMETRE)));
  }

  @Test
  void itsOwnUnitIsThatOfTheValueItReplaces() {
    RawItem mixed = item("APMX", Unit.INCH, "OAL", Unit.MILLIMETRE);
    assertEquals(Optional.of(Unit.INCH), of("APMX", mixed));
  }

  @Test
  void whatStandsThereWithoutAUnitIsReplacedAsItWasRead() {
    TreeMap<String, Cell> cells = new TreeMap<>(item("DC", Unit.INCH, "OAL", Unit.INCH).cells());
    cells.put("APMX", Cell.of("19"));
    assertEquals(Optional.empty(), of("APMX", new RawItem(1, cells, List.of())));
  }
}
