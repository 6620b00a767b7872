package arborline.core.table;

import java.math.BigDecimal;
import java.util.Optional;

/**
 * A field as one control keeps it.
 *
 * @param shown what its register holds
 * @param decimals that it shows
 * @param scope what it hangs on
 * @param fresh what it is set to when another real piece comes in: wear and life begin anew; empty
 *     where it stays what it was
 * @param most largest size that may stand there, mm and diameters
 */
public record ControlField(
    TableField field,
    Shown shown,
    int decimals,
    Scope scope,
    Optional<String> fresh,
    Optional<BigDecimal> most) {

  private static final int DECIMALS = 3;

  /** What a register holds. */
  public enum Shown {
    AS_IS,
    /** The radius of a diameter. */
    HALF,
    /** The diameter on which a point lies whose distance from the axis is meant. */
    TWICE
  }

  /** What a value hangs on: where that goes, the value goes along. */
  public enum Scope {
    PLACE,
    TOOL,
    OFFSET_NUMBER,
    EDGE
  }

  /**
   * A field as most controls keep it: what is measured and worn under the offset number, all else
   * with the tool; wear and life begin at zero with a new piece.
   */
  public static ControlField of(TableField field) {
    boolean number = field.form() != TableField.Form.WORD;
    boolean kept = field.owner() == Owner.CONTROL;
    boolean edge = field.measured() || field.form() == TableField.Form.WEAR;
    return new ControlField(
        field,
        Shown.AS_IS,
        DECIMALS,
        edge ? Scope.OFFSET_NUMBER : Scope.TOOL,
        kept && number ? Optional.of("0") : Optional.empty(),
        Optional.empty());
  }

  public ControlField shown(Shown register) {
    return new ControlField(field, register, decimals, scope, fresh, most);
  }

  public ControlField decimals(int number) {
    return new ControlField(field, shown, number, scope, fresh, most);
  }

  public ControlField scope(Scope where) {
    return new ControlField(field, shown, decimals, where, fresh, most);
  }

  public ControlField most(Optional<BigDecimal> largest) {
    return new ControlField(field, shown, decimals, scope, fresh, largest);
  }
}
