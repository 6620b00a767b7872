package arborline.core.edition;

import arborline.core.exchange.Cell;
import arborline.core.merge.Amount;
import arborline.core.merge.MergeField;
import arborline.core.quantity.Unit;

/** A value of a tool as it is written, with its formula and whether somebody stood by it. */
public record CellField(Cell cell) implements MergeField {

  @Override
  public boolean sameSize(MergeField other) {
    return other instanceof CellField field
        && amount(cell).sameSize(amount(field.cell))
        && cell.formula().equals(field.cell.formula());
  }

  static Amount amount(Cell cell) {
    return new Amount(
        cell.text(), cell.unit().filter(unit -> unit != Unit.ONE).map(Unit::code).orElse(""));
  }

  /** {@code 10 mm}; a formula behind it. */
  @Override
  public String toString() {
    String size =
        cell.text()
            + cell.unit()
                .filter(unit -> unit != Unit.ONE)
                .map(unit -> " " + unit.code())
                .orElse("");
    return size + cell.formula().map(formula -> " = " + formula).orElse("");
  }
}
