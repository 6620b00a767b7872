package arborline.server.machine;

import arborline.core.machine.Machine;
import arborline.core.table.ControlDialects;
import arborline.core.table.ControlTerms;
import arborline.core.table.Nominal;
import arborline.core.table.TableEntry;
import arborline.core.table.TableField;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** What is measured of a tool at a machine: the sizes that its control keeps and its work uses. */
final class MeasuredFields {

  private MeasuredFields() {}

  /**
   * A size.
   *
   * @param field name: {@code noseRadius}
   * @param value measured, mm; null while it is not
   * @param expected mm; null where nothing says it
   * @param needed true where a program goes wrong without it
   * @param signed true where it may be zero or below
   * @param note how the control shows it, where that is not as it is measured
   */
  record MeasureView(
      String field,
      String title,
      @Nullable String value,
      @Nullable String expected,
      boolean needed,
      boolean signed,
      @Nullable String note) {}

  /** Sizes of a planned tool, in the order of the fields. */
  static List<MeasureView> of(Machine machine, TableEntry entry, Nominal nominal) {
    return new ArrayList<>(of(Optional.of(machine), entry, nominal).values());
  }

  /** The same by field, at a machine or of a tool that is for none. */
  static Map<TableField, MeasureView> of(
      Optional<Machine> machine, TableEntry entry, Nominal nominal) {
    Optional<ControlTerms> terms = machine.flatMap(MeasuredFields::terms);
    Map<TableField, MeasureView> views = new LinkedHashMap<>();
    fields(terms, entry, nominal)
        .forEach(field -> views.put(field, view(field, terms, entry, nominal)));
    return views;
  }

  private static Optional<ControlTerms> terms(Machine machine) {
    return ControlDialects.find(machine.habits().dialect())
        .map(dialect -> ControlTerms.of(machine, dialect));
  }

  private static List<TableField> fields(
      Optional<ControlTerms> terms, TableEntry entry, Nominal nominal) {
    List<TableField> kept =
        terms.map(ControlTerms::sizes).orElse(List.of(TableField.LENGTH, TableField.DIAMETER));
    boolean length = !nominal.unneeded().contains(TableField.LENGTH);
    List<TableField> fields = new ArrayList<>();
    for (TableField field : kept) {
      boolean used =
          !nominal.unneeded().contains(field) || field.equals(TableField.DIAMETER) && length;
      if (entry.get(field) != null || used && field.edge() == 1) {
        fields.add(field);
      }
    }
    return fields;
  }

  private static MeasureView view(
      TableField field, Optional<ControlTerms> terms, TableEntry entry, Nominal nominal) {
    BigDecimal expected = nominal.sizes().get(field);
    return new MeasureView(
        field.key(),
        field.title(),
        entry.get(field),
        expected == null ? null : expected.toPlainString(),
        field.edge() == 1 && !nominal.unneeded().contains(field),
        signed(field),
        terms.filter(kept -> kept.doubled(field)).isPresent()
            ? "from the axis; the control shows it as a diameter"
            : null);
  }

  /** A point may lie on either side of zero; what is long or wide is above it. */
  static boolean signed(TableField field) {
    return field.id().matches("[XZ](@\\d+)?") || field.id().startsWith("NOSE_RADIUS");
  }

  /** The size of this name; empty where none is measured. */
  static Optional<TableField> named(Machine machine, String key) {
    return terms(machine)
        .map(ControlTerms::sizes)
        .orElse(List.of(TableField.LENGTH, TableField.DIAMETER))
        .stream()
        .filter(field -> field.key().equals(key))
        .findFirst();
  }
}
