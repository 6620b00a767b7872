package arborline.server.table;

import arborline.core.machine.Machine;
import arborline.core.table.ControlDialect;
import arborline.core.table.ControlDialects;
import arborline.core.table.ControlTable;
import arborline.core.table.ControlTerms;
import arborline.core.table.Decision;
import arborline.core.table.DecisionRules;
import arborline.core.table.FieldNeeds;
import arborline.core.table.JobUse;
import arborline.core.table.NumberedTools;
import arborline.core.table.PlaceReport;
import arborline.core.table.Reconciler;
import arborline.core.table.Statements;
import arborline.core.table.TableEntry;
import arborline.core.table.TableField;
import arborline.core.table.ToolTables;
import arborline.core.table.Why;
import arborline.core.tool.Tool;
import arborline.server.machine.MachineUses;
import arborline.server.machine.Nominals;
import arborline.server.machine.Plans;
import arborline.server.machine.ProgramUses;
import arborline.server.tool.Tools;
import java.util.HashMap;
import java.util.HashSet;
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
  private final ProgramUses programs;
  private final MachineUses uses;
  private final TableStore store;
  private final TableRules rules;

  Comparisons(
      Plans plans,
      Tools tools,
      Nominals nominals,
      ProgramUses programs,
      MachineUses uses,
      TableStore store,
      TableRules rules) {
    this.rules = rules;
    this.uses = uses;
    this.plans = plans;
    this.tools = tools;
    this.nominals = nominals;
    this.programs = programs;
    this.store = store;
  }

  /**
   * What was compared, in which terms, and what was found.
   *
   * @param stated what the library says of planned tools, by place
   * @param missing what the control does not have of the tools in its places, by place
   * @param programUses what programs do with tools, by tool
   * @param known tools of the plan and of the control, by their codes in upper case
   * @param ruled places whose question a rule of the machine answers
   */
  record Compared(
      ToolTables tables,
      ControlTerms terms,
      Map<String, Map<TableField, String>> stated,
      Map<String, List<FieldNeeds.Need>> missing,
      Map<Long, List<JobUse>> programUses,
      Map<String, KnownTool> known,
      Set<String> ruled,
      List<PlaceReport> reports) {}

  /** A tool that a library of the shop has. */
  record KnownTool(long id, Tool tool) {}

  @Transactional(readOnly = true)
  public Compared of(Machine machine, ControlTable shown) {
    ControlDialect dialect = ControlDialects.named(machine.habits().dialect());
    ControlTerms terms = ControlTerms.of(machine, dialect);
    Map<String, TableEntry> plan = new HashMap<>();
    Map<Long, Long> libraries = new HashMap<>();
    Set<String> places = Set.copyOf(machine.controlPlaces());
    plans
        .plan(machine.id())
        .forEach((place, planned) -> {
          if (!places.contains(place)) {
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
    List<PlaceReport> asked =
        Reconciler.reconcile(tables, terms).stream()
            .map(report -> carried(report, machine, dialect))
            .toList();
    Map<Why, Decision> answers = rules.answers(machine.id());
    List<PlaceReport> reports =
        asked.stream().map(report -> DecisionRules.applied(report, answers)).toList();
    Map<String, KnownTool> known = byCode(meant);
    Map<Long, List<JobUse>> jobs = programs.of(machine.id());
    return new Compared(
        tables,
        terms,
        stated,
        missing(reports, terms, known, jobs),
        jobs,
        known,
        ruled(asked, reports),
        reports);
  }

  private static Map<String, KnownTool> byCode(Map<Long, Tool> tools) {
    Map<String, KnownTool> known = new HashMap<>();
    tools.forEach(
        (id, tool) -> known.put(tool.code().toUpperCase(Locale.ROOT), new KnownTool(id, tool)));
    return known;
  }

  private static Set<String> ruled(List<PlaceReport> asked, List<PlaceReport> answered) {
    Set<String> ruled = new HashSet<>();
    for (int i = 0; i < asked.size(); i++) {
      if (asked.get(i).suggested() != answered.get(i).suggested()) {
        ruled.add(asked.get(i).place());
      }
    }
    return ruled;
  }

  /** What programs would miss, of every tool that the control shows and a library knows. */
  private static Map<String, List<FieldNeeds.Need>> missing(
      List<PlaceReport> reports,
      ControlTerms terms,
      Map<String, KnownTool> known,
      Map<Long, List<JobUse>> jobs) {
    boolean lengthKept = FieldNeeds.lengthKept(terms);
    Map<String, List<FieldNeeds.Need>> missing = new HashMap<>();
    for (PlaceReport report : reports) {
      TableEntry held = report.control();
      KnownTool tool = known.get(held.named() ? held.key() : report.plan().key());
      if (tool != null && !held.empty()) {
        List<FieldNeeds.Need> needs =
            FieldNeeds.missing(
                FieldNeeds.of(tool.tool(), jobs.getOrDefault(tool.id(), List.of()), lengthKept),
                terms.fields(),
                held);
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
    return Stream.of(
            control.places().values().stream(),
            control.spindle().stream(),
            control.unplaced().stream())
        .flatMap(rows -> rows)
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
