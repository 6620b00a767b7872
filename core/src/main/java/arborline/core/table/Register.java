package arborline.core.table;

import arborline.core.machine.Machine;
import arborline.core.table.ControlField.Shown;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** What the offset registers of most controls hold. */
public enum Register {
  /** Length and diameter. */
  DIAMETER(Shown.AS_IS),
  /** Length and radius. */
  RADIUS(Shown.HALF),
  /** X as a diameter, Z, nose radius and tip orientation. */
  X_DIAMETER(Shown.AS_IS);

  private static final List<TableField> IDENTITY =
      List.of(
          TableField.TOOL,
          TableField.SISTER,
          TableField.NUMBER,
          TableField.OFFSET,
          TableField.NAME);

  private final Shown diameter;

  Register(Shown diameter) {
    this.diameter = diameter;
  }

  /** The registers of a machine for milling tools. */
  static Register of(Machine machine) {
    return machine.habits().diameterShown() ? DIAMETER : RADIUS;
  }

  /** The largest size that the places of a machine take, mm and diameters. */
  static Optional<BigDecimal> most(Machine machine, TableField field) {
    if (field.equals(TableField.LENGTH)) {
      return machine.longest();
    }
    return field.equals(TableField.DIAMETER) ? machine.widest() : Optional.empty();
  }

  /**
   * Identity, sizes and wear of a control with such registers.
   *
   * @param wear true where it keeps wear apart
   */
  public List<ControlField> fields(boolean wear) {
    List<ControlField> fields = new ArrayList<>();
    IDENTITY.forEach(field -> fields.add(ControlField.of(field)));
    List<ControlField> sizes =
        this == X_DIAMETER
            ? List.of(
                ControlField.of(TableField.X).shown(Shown.TWICE),
                ControlField.of(TableField.Z),
                ControlField.of(TableField.NOSE_RADIUS),
                ControlField.of(TableField.ORIENTATION))
            : List.of(
                ControlField.of(TableField.LENGTH),
                ControlField.of(TableField.DIAMETER).shown(diameter));
    fields.addAll(sizes);
    if (wear) {
      sizes.stream()
          .map(ControlField::field)
          .filter(field -> field != TableField.NOSE_RADIUS)
          .flatMap(field -> field.wear().stream())
          .forEach(field -> fields.add(ControlField.of(field)));
    }
    return fields;
  }
}
