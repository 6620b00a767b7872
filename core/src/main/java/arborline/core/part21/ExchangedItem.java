package arborline.core.part21;

import arborline.core.exchange.ItemKind;
import arborline.core.quantity.Quantity;
import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import java.util.SortedMap;

/**
 * An item of a property file.
 *
 * @param line on which it begins
 * @param id by which it is known
 * @param kind what it is; a stack for an assembly
 * @param classId our tool class; empty where the file names none
 * @param names by language, the empty one where none is said; English or the first is its name
 * @param values by symbol, in the unit of the symbol
 * @param authored the same in the units in which they are written
 * @param texts by symbol
 * @param ranges by symbol: least and greatest where the symbol has no name for these
 * @param machineSide connection code; empty where none is written
 * @param workSide connection code; empty where none is written
 * @param parts in the order of the file
 * @param models names of files
 * @param kept properties that are none of ours, by what the file calls them, as they are written
 * @param doubtful symbols whose value must be asked, with the reason
 */
public record ExchangedItem(
    long line,
    String id,
    ItemKind kind,
    Optional<String> classId,
    String name,
    SortedMap<String, String> names,
    SortedMap<String, BigDecimal> values,
    SortedMap<String, Quantity> authored,
    SortedMap<String, String> texts,
    SortedMap<String, List<BigDecimal>> ranges,
    String machineSide,
    String workSide,
    List<Part> parts,
    List<String> models,
    SortedMap<String, String> kept,
    SortedMap<String, String> doubtful) {

  /**
   * A part of an assembly.
   *
   * @param position from the origin of the assembly along its axis, mm; empty where no place is
   *     written
   */
  public record Part(String id, Optional<BigDecimal> position) {}

  /** The class as vendors call it in general; empty where none is named. */
  public Optional<String> classRow() {
    return classId.flatMap(ItemKinds::row);
  }
}
