package arborline.server.table;

import arborline.core.machine.Machine;
import arborline.core.table.ControlDialect;
import arborline.core.table.ControlDialects;
import arborline.core.table.ControlTable;
import arborline.core.table.ControlTerms;
import arborline.core.table.FieldNeeds;
import arborline.core.table.NumberedTools;
import arborline.core.table.PlaceReport;
import arborline.core.table.Reconciler;
import arborline.core.table.Statements;
import arborline.core.table.TableEntry;
import arborline.core.table.TableField;
import arborline.core.table.ToolTables;
import arborline.core.tool.Tool;
import arborline.server.machine.MachineUses;
import arborline.server.machine.Nominals;
import arborline.server.machine.Plans;
import arborline.server.tool.Tools;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Compares the plan of a machine and what was agreed with a reading of its control. */
@Component
class Comparisons {

  private final Plans plans;
  private final Tools tools;
  private final Nominals nominals;
  private final MachineUses uses;
  private final TableStore store;

  Comparisons(Plans plans, Tools tools, Nominals nominals, MachineUses uses, TableStore store) {
    this.uses = uses;
    this.plans = plans;
    this.tools = tools;
    this.nominals = nominals;
    this.store = store;
  }

  /**
   * What was compared, in which terms, and what was found.
   *
   * @param stated what the library says of planned tools, by place
   * @param missing what the control does not have of the tools in its places, by place
   */
  record Compared(
      ToolTables tables,
      ControlTerms terms,
      Map<String, Map<TableField, String>> stated,
      Map<String, List<FieldNeeds.Need>> missing,
      List<PlaceReport> reports) {}

  @Transactional(readOnly = true)
  public Compared of(Machine machine, ControlTable shown) {
    ControlDialect dialect = ControlDialects.named(machine.habits().dialect());
    ControlTerms terms = ControlTerms.of(machine, dialect);
    Map<String, TableEntry> plan = new HashMap<>();
    Map<Long, Long> libraries = new HashMap<>();
    Set<String> known = Set.copyOf(machine.controlPlaces());
    plans
        .plan(machine.id())
        .forEach((place, planned) -> {
          if (!known.contains(place)) {
            return;
          }
          plan.put(place, dialect.registered(planned.entry()));
          libraries.put(planned.toolId(), planned.libraryId());
        });
    Optional<Map<String, TableEntry>> agreed =
        store.agreed(machine.id()).map(rows -> registered(rows, dialect));
    ControlTable control =
        terms.onlyNumbersShown() ? new NumberedTools(plan, agreed).named(shown) : shown;
    tools.byCodes(codes(control)).values().forEach(id -> libraries.putIfAbsent(id, 0L));
    Map<Long, Tool> meant = new HashMap<>();
    tools.held(libraries).forEach((id, held) -> meant.put(id, held.tool()));
    Map<String, Map<TableField, String>> stated = uses.statements(machine, meant);
    plan.replaceAll((place, entry) ->
        Statements.joined(entry, stated.getOrDefault(place, Map.of()), terms.fields()));
    ToolTables tables = new ToolTables(plan, nominals.of(machine, meant), agreed, control);
    List<PlaceReport> reports =
        Reconciler.reconcile(tables, terms).stream()
            .map(report -> carried(report, machine, dialect))
            .toList();
    return new Compared(tables, terms, stated, missing(reports, terms, meant), reports);
  }

  /** What programs would miss, of every tool that the control shows and a library knows. */
  private static Map<String, List<FieldNeeds.Need>> missing(
      List<PlaceReport> reports, ControlTerms terms, Map<Long, Tool> meant) {
    Map<String, Tool> byCode = new HashMap<>();
    meant.values().forEach(tool -> byCode.put(tool.code().toUpperCase(Locale.ROOT), tool));
    boolean lengthKept = FieldNeeds.lengthKept(terms);
    Map<String, List<FieldNeeds.Need>> missing = new HashMap<>();
    for (PlaceReport report : reports) {
      TableEntry held = report.control();
      Tool tool = byCode.get(held.named() ? held.key() : report.plan().key());
      if (tool != null && !held.empty()) {
        List<FieldNeeds.Need> needs =
            FieldNeeds.missing(FieldNeeds.usual(tool, lengthKept), terms.fields(), held);
        if (!needs.isEmpty()) {
          missing.put(report.place(), needs);
        }
      }
    }
    return missing;
  }

  private static Map<String, TableEntry> registered(
      Map<String, TableEntry> rows, ControlDialect dialect) {
    Map<String, TableEntry> registered = new HashMap<>();
    rows.forEach((place, entry) -> registered.put(place, dialect.registered(entry)));
    return registered;
  }

  private static List<String> codes(ControlTable control) {
    return Stream.concat(control.places().values().stream(), control.spindle().stream())
        .map(TableEntry::key)
        .filter(key -> !key.isEmpty())
        .toList();
  }

  /** A tool that the control cannot keep as it is called is asked about, not sent. */
  private static PlaceReport carried(PlaceReport report, Machine machine, ControlDialect dialect) {
    if (report.state() == PlaceReport.State.IN_STEP || report.plan().empty()) {
      return report;
    }
    Optional<String> refusal = dialect.refusal(machine, report.plan());
    return refusal.map(report::notCarried).orElse(report);
  }
}
