package arborline.bench;

import arborline.core.quantity.Unit;
import arborline.core.table.ControlField;
import arborline.core.table.ControlTable;
import arborline.core.table.ControlTerms;
import arborline.core.table.Nominal;
import arborline.core.table.Reconciler;
import arborline.core.table.Register;
import arborline.core.table.TableEntry;
import arborline.core.table.TableField;
import arborline.core.table.ToolTables;
import java.math.BigDecimal;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Reconciliation of 10 000 places against a plain hash join that compares every field. */
final class ReconciliationFigure {

  private static final int PLACES = 10_000;
  private static final int ROUNDS = 300;
  private static final Nominal NOMINAL =
      new Nominal(
          Map.of(TableField.LENGTH, new BigDecimal("120"), TableField.DIAMETER, BigDecimal.TEN),
          Optional.empty(),
          Map.of(),
          Set.of());

  private static final List<ControlField> FIELDS = Register.DIAMETER.fields(true);

  private final Map<String, TableEntry> plan = new HashMap<>();
  private final Map<String, TableEntry> control = new HashMap<>();
  private final Map<String, Nominal> nominal = new HashMap<>();

  ReconciliationFigure() {
    for (int i = 1; i <= PLACES; i++) {
      plan.put(Integer.toString(i), entry(i, "120.012"));
      control.put(Integer.toString(i), entry(i, i % 10 == 0 ? "119.5" : "120.012"));
      nominal.put("T-" + i, NOMINAL);
    }
  }

  private static TableEntry entry(int number, String length) {
    return new TableEntry(
        Map.of(
            TableField.TOOL,
            "T-" + number,
            TableField.NUMBER,
            Integer.toString(number),
            TableField.NAME,
            "TOOL " + number,
            TableField.LENGTH,
            length,
            TableField.DIAMETER,
            "9.988"));
  }

  void print() {
    ControlTerms terms = new ControlTerms(Unit.MILLIMETRE, FIELDS, true, true);
    ToolTables tables =
        new ToolTables(
            plan, nominal, Optional.of(plan), new ControlTable(control, Optional.empty()));
    double ours = Double.MAX_VALUE;
    double floor = Double.MAX_VALUE;
    int found = 0;
    for (int round = 0; round < ROUNDS; round++) {
      long begin = System.nanoTime();
      found += Reconciler.reconcile(tables, terms).size();
      ours = Math.min(ours, (System.nanoTime() - begin) / 1e6);
      begin = System.nanoTime();
      found += join();
      floor = Math.min(floor, (System.nanoTime() - begin) / 1e6);
    }
    if (found == 0) {
      throw new IllegalStateException("nothing was compared");
    }
    Bench.line("reconciliation of 10 000 places", ours, floor, "ms");
  }

  private int join() {
    int differing = 0;
    for (Map.Entry<String, TableEntry> row : plan.entrySet()) {
      TableEntry other = control.get(row.getKey());
      for (ControlField declared : FIELDS) {
        TableField field = declared.field();
        String one = row.getValue().get(field);
        String two = other.get(field);
        boolean same =
            one == null || two == null
                ? one == two
                : TableField.SIZES.contains(field)
                    ? new BigDecimal(one).compareTo(new BigDecimal(two)) == 0
                    : one.equals(two);
        differing += same ? 0 : 1;
      }
    }
    return differing;
  }
}
