package arborline.server.table;

import arborline.core.machine.Machine;
import arborline.core.table.ControlFile;
import arborline.core.table.ControlTable;
import arborline.core.table.Decision;
import arborline.core.table.PlaceOutcome;
import arborline.core.table.PlaceReport;
import arborline.core.table.Reconciler;
import arborline.core.table.RowWrite;
import arborline.core.table.TableEntry;
import arborline.core.table.TableField;
import arborline.core.table.TablePolicy;
import arborline.core.table.ToolTables;
import arborline.core.table.WritePlan;
import arborline.server.library.Tools;
import arborline.server.live.Live;
import arborline.server.machine.Machines;
import arborline.server.machine.Plans;
import arborline.server.support.Refusal;
import arborline.server.trail.Said;
import arborline.server.trail.Trail;
import java.io.IOException;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Compares plan and control, writes what was decided, reads it back and proves it. */
@Service
public class Reconciliations {

  private static final BigDecimal QUESTION_LENGTH = new BigDecimal("2");
  private static final BigDecimal QUESTION_DIAMETER = new BigDecimal("0.2");

  private final Machines machines;
  private final Plans plans;
  private final Tools tools;
  private final ControlLink link;
  private final TableStore store;
  private final Trail trail;
  private final Live live;

  Reconciliations(
      Machines machines,
      Plans plans,
      Tools tools,
      ControlLink link,
      TableStore store,
      Trail trail,
      Live live) {
    this.machines = machines;
    this.plans = plans;
    this.tools = tools;
    this.link = link;
    this.store = store;
    this.trail = trail;
    this.live = live;
  }

  /** A reading with what was found on it. */
  record Compared(TableStore.Reading reading, List<PlaceReport> reports) {}

  /**
   * What applying decisions did.
   *
   * @param state {@code in step} where every written place was read back equal, {@code interrupted}
   *     where the control took only some
   * @param written places that the control now holds as sent
   * @param notWritten places that it does not hold as sent
   * @param taken places whose plan follows the control now
   * @param problem what the control said when it stopped
   */
  record Applied(
      String state,
      List<String> written,
      List<String> notWritten,
      List<String> taken,
      @Nullable String problem,
      List<ControlFile> files) {}

  /** Reads the control's table as it is now. */
  @Transactional
  public TableStore.Reading read(String machineId) {
    return store.keep(machineId, ask(machines.get(machineId)));
  }

  private ControlTable ask(Machines.Linked machine) {
    try {
      return link.read(machine);
    } catch (IOException silent) {
      throw Refusal.of(
          HttpStatus.BAD_GATEWAY,
          "the control of %s cannot be read: %s; see that it is on and its link works, then read again"
              .formatted(machine.machine().name(), silent.getMessage()));
    }
  }

  /** Reads the control and compares. */
  @Transactional
  public Compared compare(String machineId) {
    Machines.Linked machine = machines.get(machineId);
    TableStore.Reading reading = store.keep(machineId, ask(machine));
    return new Compared(reading, reports(machine.machine(), reading.table()));
  }

  /** Compares with the last reading, without asking the control. */
  @Transactional(readOnly = true)
  public java.util.Optional<Compared> lastKnown(String machineId) {
    Machine machine = machines.get(machineId).machine();
    return store
        .latest(machineId)
        .map(reading -> new Compared(reading, reports(machine, reading.table())));
  }

  private List<PlaceReport> reports(Machine machine, ControlTable control) {
    Map<String, TableEntry> plan = new HashMap<>();
    Map<String, TableEntry> nominal = new HashMap<>();
    Map<String, Plans.Planned> planned = plans.plan(machine.id());
    Map<Long, Tools.Known> known =
        tools.load(planned.values().stream().map(Plans.Planned::toolId).toList());
    planned.forEach((place, each) -> {
      plan.put(place, each.entry());
      nominal.put(place, nominal(each, known.get(each.toolId())));
    });
    ToolTables tables =
        new ToolTables(plan, nominal, store.agreed(machine.id()), control, knownCodes(control));
    return Reconciler.reconcile(tables, policy(machine));
  }

  /** The diameter that the library states, and the length that was planned. */
  private static TableEntry nominal(Plans.Planned planned, Tools.Known known) {
    BigDecimal diameter = known.tool().size("DC");
    return TableEntry.EMPTY
        .with(TableField.DIAMETER, diameter == null ? null : diameter.toPlainString())
        .with(TableField.LENGTH, planned.entry().get(TableField.LENGTH));
  }

  private Set<String> knownCodes(ControlTable control) {
    Set<String> known = new HashSet<>();
    Stream.concat(control.pockets().values().stream(), control.spindle().stream())
        .filter(entry -> !entry.empty())
        .map(entry -> entry.get(TableField.TOOL))
        .filter(code -> tools.byCode(code).isPresent())
        .forEach(code -> known.add(code.toUpperCase(Locale.ROOT)));
    return known;
  }

  private static TablePolicy policy(Machine machine) {
    return new TablePolicy(
        machine.habits().decimals(),
        QUESTION_LENGTH,
        QUESTION_DIAMETER,
        machine.magazine().random());
  }

  /** What decisions would write, in the control's own terms. */
  @Transactional(readOnly = true)
  public List<ControlFile> dryRun(
      String machineId, long readingId, Map<String, Decision> decisions) {
    Machines.Linked machine = machines.get(machineId);
    List<PlaceReport> reports = reports(machine.machine(), reading(machineId, readingId).table());
    return files(machine, outcomes(reports, decisions));
  }

  private TableStore.Reading reading(String machineId, long id) {
    return store
        .reading(machineId, id)
        .orElseThrow(() -> Refusal.notFound("there is no such reading; read the control again"));
  }

  private List<ControlFile> files(Machines.Linked machine, List<PlaceOutcome> outcomes) {
    List<RowWrite> rows = outcomes.stream().flatMap(each -> each.write().stream()).toList();
    return rows.isEmpty() ? List.of() : link.dialect(machine).write(machine.machine(), rows);
  }

  private static List<PlaceOutcome> outcomes(
      List<PlaceReport> reports, Map<String, Decision> decisions) {
    List<PlaceOutcome> outcomes = new ArrayList<>();
    Set<String> open = new HashSet<>(decisions.keySet());
    for (PlaceReport report : reports) {
      open.remove(report.place());
      Decision decision = decisions.getOrDefault(report.place(), Decision.LEAVE);
      if (decision != Decision.LEAVE && report.state() != PlaceReport.State.IN_STEP) {
        try {
          outcomes.add(WritePlan.of(report, decision));
        } catch (IllegalArgumentException impossible) {
          throw Refusal.badRequest(impossible.getMessage());
        }
      }
    }
    if (!open.isEmpty()) {
      throw Refusal.badRequest("there is no place " + String.join(", ", open));
    }
    return outcomes;
  }

  /**
   * Carries decisions out: checks that the control is still as it was read, writes, reads back and
   * compares.
   *
   * @param decisions by place; null for what was suggested
   */
  @Transactional
  public Applied apply(
      String machineId, long readingId, @Nullable Map<String, Decision> decisions) {
    Machines.Linked machine = machines.lock(machineId);
    TableStore.Reading reading = reading(machineId, readingId);
    refuseIfChanged(machine, reading);
    List<PlaceReport> reports = reports(machine.machine(), reading.table());
    List<PlaceOutcome> outcomes =
        outcomes(reports, decisions == null ? suggested(reports) : decisions);
    List<ControlFile> files = files(machine, outcomes);
    String problem = send(machine, files);
    ControlTable after = files.isEmpty() ? reading.table() : ask(machine);
    return prove(machine.machine(), reports, outcomes, files, after, problem);
  }

  private void refuseIfChanged(Machines.Linked machine, TableStore.Reading reading) {
    List<String> changes = ask(machine).changesSince(reading.table());
    if (!changes.isEmpty()) {
      throw Refusal.conflict(
          "the control changed since it was read; nothing was written. Compare again", changes);
    }
  }

  private static Map<String, Decision> suggested(List<PlaceReport> reports) {
    Map<String, Decision> decisions = new HashMap<>();
    reports.forEach(report -> decisions.put(report.place(), report.suggested()));
    return decisions;
  }

  private @Nullable String send(Machines.Linked machine, List<ControlFile> files) {
    for (ControlFile file : files) {
      try {
        link.send(machine, file);
      } catch (IOException refused) {
        String said = refused.getMessage();
        return said == null || said.isBlank() ? "the connection dropped" : said;
      }
    }
    return null;
  }

  private Applied prove(
      Machine machine,
      List<PlaceReport> reports,
      List<PlaceOutcome> outcomes,
      List<ControlFile> files,
      ControlTable after,
      @Nullable String problem) {
    List<String> written = new ArrayList<>();
    List<String> notWritten = new ArrayList<>();
    Map<String, TableEntry> taken = new LinkedHashMap<>();
    Map<String, TableEntry> agreed = new HashMap<>();
    for (PlaceReport report : reports) {
      if (report.state() == PlaceReport.State.IN_STEP) {
        agreed.put(report.place(), report.plan());
      }
    }
    for (PlaceOutcome outcome : outcomes) {
      boolean proven = outcome.write().isEmpty() || holds(machine, after, outcome.write().get());
      outcome.write().ifPresent(row -> (proven ? written : notWritten).add(row.place()));
      if (proven) {
        PlaceReport report =
            reports.stream()
                .filter(each -> each.place().equals(outcome.place()))
                .findFirst()
                .orElseThrow();
        if (!outcome.plan().equals(report.plan())) {
          taken.put(outcome.place(), outcome.plan());
        }
        agreed.put(outcome.place(), outcome.plan());
      }
    }
    plans.take(machine.id(), taken);
    store.agree(machine.id(), agreed);
    store.keep(machine.id(), after);
    String state = notWritten.isEmpty() ? "in step" : "interrupted";
    Applied applied =
        new Applied(
            state,
            written,
            notWritten,
            List.copyOf(taken.keySet()),
            notWritten.isEmpty() ? null : problem == null ? "read back different" : problem,
            files);
    store.written(machine.id(), state, applied);
    trail.record(
        Said.of(
            "machine",
            machine.id(),
            "%s: %d places written, %d taken, %d not written"
                .formatted(machine.name(), written.size(), taken.size(), notWritten.size())));
    live.say("machine", machine.id(), state);
    return applied;
  }

  private static boolean holds(Machine machine, ControlTable after, RowWrite row) {
    TableEntry now =
        after
            .spindle()
            .filter(entry ->
                !row.target().empty()
                    && row.target()
                        .get(TableField.TOOL)
                        .equalsIgnoreCase(entry.get(TableField.TOOL)))
            .orElse(after.at(row.place()));
    TablePolicy policy = policy(machine);
    return row.fields().stream()
        .allMatch(field -> policy.same(field, row.target().get(field), now.get(field)));
  }
}
