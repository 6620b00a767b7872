package arborline.core.measure;

import arborline.core.quantity.Unit;
import java.util.List;

/**
 * A size that was entered for a tool.
 *
 * @param unit of the machine: of every number that names none
 * @param decimals that the machine shows
 * @param neighbours the rows beside it
 * @param before what was entered in the same sitting, in order
 * @param entered as it was typed or received
 */
public record Measurement(
    Unit unit,
    int decimals,
    MeasuredSize size,
    MeasuredRow row,
    List<MeasuredRow> neighbours,
    List<EnteredBefore> before,
    String entered) {

  public Measurement {
    neighbours = List.copyOf(neighbours);
    before = List.copyOf(before);
  }
}
