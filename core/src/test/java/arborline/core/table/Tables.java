package arborline.core.table;

import arborline.core.quantity.Unit;
import java.math.BigDecimal;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Tool tables for tests; a row is written {@code TOOL=A NUMBER=5 LENGTH=120}. */
final class Tables {

  static final ControlTerms RANDOM = terms(true, Register.DIAMETER);
  static final ControlTerms FIXED = terms(false, Register.DIAMETER);

  /** Number, pocket and offset are one: no tool is shown. */
  static final ControlTerms UNSEEN =
      new ControlTerms(Unit.MILLIMETRE, Register.DIAMETER.fields(true), false, false);

  private Tables() {}

  static ControlTerms terms(boolean random, Register register) {
    return new ControlTerms(
        Unit.MILLIMETRE, limited(register, new BigDecimal("300")), true, random);
  }

  /** Registers that take a length up to a limit. */
  static List<ControlField> limited(Register register, BigDecimal most) {
    return register.fields(true).stream()
        .map(field -> field.field() == TableField.LENGTH ? field.most(Optional.of(most)) : field)
        .toList();
  }

  static TableEntry entry(String text) {
    Map<TableField, String> fields = new HashMap<>();
    for (String pair : text.strip().split("\\s+")) {
      if (!pair.isEmpty()) {
        String[] parts = pair.split("=");
        fields.put(TableField.valueOf(parts[0]), parts[1]);
      }
    }
    return new TableEntry(fields);
  }

  /** Places written {@code 5: TOOL=A LENGTH=120; 9: TOOL=B}. */
  static Map<String, TableEntry> rows(String text) {
    Map<String, TableEntry> rows = new HashMap<>();
    for (String row : text.split(";")) {
      if (!row.isBlank()) {
        rows.put(row.split(":")[0].strip(), entry(row.split(":")[1]));
      }
    }
    return rows;
  }

  /** Tools A and B are 120 long and 10 wide; C is only known to be 60 to 300 long. */
  static ToolTables tables(String plan, String agreed, String control) {
    return tables(plan, Optional.of(rows(agreed)), control, Optional.empty());
  }

  static ToolTables tables(
      String plan,
      Optional<Map<String, TableEntry>> agreed,
      String control,
      Optional<TableEntry> spindle) {
    Nominal known =
        new Nominal(
            Map.of(TableField.LENGTH, new BigDecimal("120"), TableField.DIAMETER, BigDecimal.TEN),
            Optional.empty(),
            Map.of(),
            Set.of());
    Nominal vague =
        new Nominal(
            Map.of(),
            Optional.empty(),
            Map.of(
                TableField.LENGTH, new Nominal.Window(new BigDecimal("60"), new BigDecimal("300"))),
            Set.of(TableField.DIAMETER));
    return new ToolTables(
        rows(plan),
        Map.of("A", known, "B", known, "C", vague),
        agreed,
        new ControlTable(rows(control), spindle));
  }
}
