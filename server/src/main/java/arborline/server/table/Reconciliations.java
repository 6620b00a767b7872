package arborline.server.table;

import arborline.core.table.ControlFile;
import arborline.core.table.ControlTable;
import arborline.core.table.ControlTerms;
import arborline.core.table.Decision;
import arborline.core.table.PlaceOutcome;
import arborline.core.table.PlaceReport;
import arborline.core.table.RowWrite;
import arborline.core.table.WritePlan;
import arborline.server.machine.Machines;
import arborline.server.support.Refusal;
import java.io.IOException;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;

/** Reads controls, compares, and says what decisions would write. */
@Service
public class Reconciliations {

  private final Machines machines;
  private final Comparisons comparisons;
  private final ControlLink link;
  private final TableStore store;
  private final TableWatches watches;
  private final Clock clock;

  Reconciliations(
      Machines machines,
      Comparisons comparisons,
      ControlLink link,
      TableStore store,
      TableWatches watches,
      Clock clock) {
    this.watches = watches;
    this.clock = clock;
    this.machines = machines;
    this.comparisons = comparisons;
    this.link = link;
    this.store = store;
  }

  /** A reading with what was found on it. */
  record Compared(TableStore.Reading reading, Comparisons.Compared found) {

    ControlTerms terms() {
      return found.terms();
    }

    List<PlaceReport> reports() {
      return found.reports();
    }
  }

  /** Decisions as what they do. */
  record Decided(
      Comparisons.Compared compared, List<PlaceOutcome> outcomes, List<ControlFile> files) {}

  /** Reads the control's table as it is now. */
  public TableStore.Reading read(String machineId) {
    Instant begun = Instant.now(clock);
    return store.keep(machineId, ask(machines.get(machineId)), begun);
  }

  private ControlTable ask(Machines.Linked machine) {
    try {
      ControlTable table = link.read(machine);
      watches.answered(machine.machine().id());
      return table;
    } catch (IOException silent) {
      watches.silent(machine.machine().id(), String.valueOf(silent.getMessage()));
      throw unreadable(machine, silent);
    }
  }

  static Refusal unreadable(Machines.Linked machine, IOException silent) {
    return Refusal.of(
        HttpStatus.BAD_GATEWAY,
        "the control of %s cannot be read: %s; see that it is on and its link works, then read again"
            .formatted(machine.machine().name(), silent.getMessage()));
  }

  /** Reads the control and compares. */
  Compared compare(String machineId) {
    Machines.Linked machine = machines.get(machineId);
    Instant begun = Instant.now(clock);
    TableStore.Reading reading = store.keep(machineId, ask(machine), begun);
    return compared(machine, reading);
  }

  private Compared compared(Machines.Linked machine, TableStore.Reading reading) {
    return new Compared(reading, comparisons.of(machine.machine(), reading.table()));
  }

  /** Compares with the last reading, without asking the control. */
  Optional<Compared> lastKnown(String machineId) {
    Machines.Linked machine = machines.get(machineId);
    return store
        .latest(machineId)
        .filter(reading -> !machine.machine().habits().dialect().isEmpty())
        .map(reading -> compared(machine, reading));
  }

  /** What decisions would write, in the control's own terms. */
  List<ControlFile> dryRun(String machineId, long readingId, Map<String, Decision> decisions) {
    Machines.Linked machine = machines.get(machineId);
    ControlLink.needControl(machine);
    return decide(machine, reading(machineId, readingId), decisions).files();
  }

  TableStore.Reading reading(String machineId, long id) {
    return store
        .reading(machineId, id)
        .orElseThrow(() -> Refusal.notFound("there is no such reading; read the control again"));
  }

  /**
   * What decisions do.
   *
   * @param decisions by place; null for what is proposed
   */
  Decided decide(
      Machines.Linked machine, TableStore.Reading reading, Map<String, Decision> decisions) {
    Comparisons.Compared compared = comparisons.of(machine.machine(), reading.table());
    WritePlan writes = new WritePlan(compared.tables(), compared.terms());
    List<PlaceOutcome> outcomes = new ArrayList<>();
    Set<String> open = new HashSet<>(decisions == null ? Set.of() : decisions.keySet());
    try {
      for (PlaceReport report : compared.reports()) {
        open.remove(report.place());
        Decision decision =
            decisions == null
                ? report.suggested()
                : decisions.getOrDefault(report.place(), Decision.LEAVE);
        boolean done = decision == Decision.LEAVE || decision == Decision.ASK;
        if (!done && report.state() != PlaceReport.State.IN_STEP) {
          outcomes.add(writes.of(report, decision));
        }
      }
      writes.check(outcomes);
    } catch (IllegalArgumentException impossible) {
      throw Refusal.badRequest(impossible.getMessage());
    }
    if (!open.isEmpty()) {
      throw Refusal.badRequest("there is no place " + String.join(", ", open));
    }
    return new Decided(compared, outcomes, files(machine, reading.table(), outcomes));
  }

  private List<ControlFile> files(
      Machines.Linked machine, ControlTable now, List<PlaceOutcome> outcomes) {
    List<RowWrite> rows = outcomes.stream().flatMap(outcome -> outcome.write().stream()).toList();
    return link.dialect(machine).write(machine.machine(), now, rows);
  }
}
