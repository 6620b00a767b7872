package arborline.core.exchange;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNull;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;

class SortedCellsTest {

  private static final SortedCells CELLS =
      new SortedCells(
          new String[] {"CODE", "DC", "OAL"},
          new Cell[] {Cell.of("A"), Cell.of("8"), Cell.of("72")});

  @Test
  void itIsTheMapThatItsCellsMake() {
    TreeMap<String, Cell> same = new TreeMap<>(CELLS);
    assertEquals(same, CELLS);
    assertEquals(same.hashCode(), CELLS.hashCode());
    assertEquals(List.of("CODE", "DC", "OAL"), List.copyOf(CELLS.keySet()));
    assertEquals("CODE", CELLS.firstKey());
    assertEquals("OAL", CELLS.lastKey());
    assertEquals(same.subMap("D", "O"), CELLS.subMap("D", "O"));
    assertEquals(same.headMap("D"), CELLS.headMap("D"));
    assertEquals(same.tailMap("D"), CELLS.tailMap("D"));
  }

  @Test
  void cellsAreFoundByTheirSymbol() {
    assertEquals(Cell.of("8"), CELLS.get("DC"));
    assertTrue(CELLS.containsKey("OAL"));
    assertNull(CELLS.get("LU"));
  }

  @Test
  void itCannotBeChanged() {
    assertThrows(UnsupportedOperationException.class, () -> CELLS.put("LU", Cell.of("1")));
    assertThrows(UnsupportedOperationException.class, () -> CELLS.remove("DC"));
  }
}
