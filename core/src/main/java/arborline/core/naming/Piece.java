package arborline.core.naming;

import arborline.core.quantity.Unit;
import java.util.List;

/** One piece of a naming pattern. */
sealed interface Piece {

  /** Stands in every name as it is. */
  record Literal(String text) implements Piece {}

  /**
   * The value of a property.
   *
   * @param symbol its symbol, or one of the words of {@link FieldText}
   * @param unit in which a length is written
   * @param before least digits before the point, filled with zeros; of a word, its most letters
   * @param after exact digits after the point; negative for as many as the value has
   */
  record Field(String symbol, Unit unit, int before, int after) implements Piece {}

  /**
   * A running number that makes codes differ.
   *
   * @param digits least digits, filled with zeros
   */
  record Running(int digits) implements Piece {}

  /** Stands only where every property in it has a value. */
  record Group(List<Piece> pieces) implements Piece {}
}
