package arborline.server.table;

import arborline.core.table.ControlFile;
import arborline.core.table.ControlTable;
import arborline.core.table.Decision;
import arborline.core.table.PlaceOutcome;
import arborline.core.table.PlaceReport;
import arborline.core.table.Proof;
import arborline.core.table.RowWrite;
import arborline.core.table.Statements;
import arborline.core.table.TableEntry;
import arborline.core.table.TableField;
import arborline.server.live.Live;
import arborline.server.machine.Machines;
import arborline.server.machine.TakenPlaces;
import arborline.server.support.Refusal;
import arborline.server.trail.Trail;
import arborline.server.trail.TrailRecord;
import java.io.IOException;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Writes to a control: checks that it is still as it was read, sends, reads back and proves. The
 * control is never spoken to inside a transaction; what was intended is recorded before, each
 * answer as it comes, the outcome after.
 */
@Service
class TableWriting {

  private final Machines machines;
  private final Reconciliations reconciliations;
  private final TakenPlaces takenPlaces;
  private final ControlLink link;
  private final TableStore store;
  private final TableWrites writes;
  private final WriteClaims claims;
  private final Trail trail;
  private final Live live;
  private final TransactionTemplate transaction;
  private final Clock clock;

  TableWriting(
      Machines machines,
      Reconciliations reconciliations,
      TakenPlaces takenPlaces,
      ControlLink link,
      TableStore store,
      TableWrites writes,
      WriteClaims claims,
      Trail trail,
      Live live,
      TransactionTemplate transaction,
      Clock clock) {
    this.clock = clock;
    this.machines = machines;
    this.reconciliations = reconciliations;
    this.takenPlaces = takenPlaces;
    this.link = link;
    this.store = store;
    this.writes = writes;
    this.claims = claims;
    this.trail = trail;
    this.live = live;
    this.transaction = transaction;
  }

  /**
   * What applying decisions did.
   *
   * @param state {@code in step} where every written place was read back equal, {@code interrupted}
   *     where the control took only some, {@code not read back} where it did not answer afterwards
   * @param written places that the control now holds as they should be
   * @param notWritten places that it does not, or of which that is not known
   * @param taken places whose plan follows the control now
   * @param problem what the control said when it stopped, or what is not as it should be
   */
  record Applied(
      String state,
      List<String> written,
      List<String> notWritten,
      List<String> taken,
      @Nullable String problem,
      List<ControlFile> files) {}

  /** What is kept of an intention, to be read by people. */
  record Intention(long reading, List<PlaceOutcome> outcomes) {}

  /**
   * Carries decisions out.
   *
   * @param decisions by place; null for what was proposed
   */
  Applied apply(String machineId, long readingId, @Nullable Map<String, Decision> decisions) {
    Machines.Linked machine = machines.get(machineId);
    TableStore.Reading reading = reconciliations.reading(machineId, readingId);
    try (WriteClaims.Claim claim = claims.take(machineId)) {
      writes.endUnfinished(machineId);
      ControlTable now = unchanged(machine, reading);
      TableStore.Reading fresh = new TableStore.Reading(reading.id(), reading.at(), now);
      Reconciliations.Decided decided = reconciliations.decide(machine, fresh, decisions);
      return carryOut(machine, fresh, decided, claim);
    }
  }

  /** The control as it is now; refused where it is no longer as it was read. */
  private ControlTable unchanged(Machines.Linked machine, TableStore.Reading reading) {
    ControlTable now;
    try {
      now = link.readAnew(machine);
    } catch (IOException silent) {
      throw Reconciliations.unreadable(machine, silent);
    }
    List<String> changes = now.changesSince(reading.table(), machine.machine().placeWord());
    if (!changes.isEmpty()) {
      throw Refusal.conflict(
          "the control changed since it was read; nothing was written. Compare again", changes);
    }
    return now;
  }

  private Applied carryOut(
      Machines.Linked machine,
      TableStore.Reading reading,
      Reconciliations.Decided decided,
      WriteClaims.Claim claim) {
    String machineId = machine.machine().id();
    long writeId =
        writes.intend(machineId, decided.files(), new Intention(reading.id(), decided.outcomes()));
    String problem = send(machine, writeId, decided.files(), claim);
    ControlTable after = reading.table();
    Instant read = Instant.now(clock);
    if (!decided.files().isEmpty()) {
      try {
        after = link.readAnew(machine);
      } catch (IOException silent) {
        return notReadBack(machine, writeId, decided, problem, silent.getMessage());
      }
    }
    ControlTable now = after;
    return transaction.execute(status -> proven(machine, writeId, decided, now, read, problem));
  }

  private @Nullable String send(
      Machines.Linked machine, long writeId, List<ControlFile> files, WriteClaims.Claim claim) {
    for (int fileNo = 0; fileNo < files.size(); fileNo++) {
      if (!claim.held()) {
        return "this server was held up, and somebody else may write by now";
      }
      writes.sending(writeId, fileNo);
      try {
        link.send(machine, files.get(fileNo));
        writes.answered(writeId, fileNo, "taken");
      } catch (IOException refused) {
        String message = refused.getMessage();
        String said = message == null || message.isBlank() ? "the connection dropped" : message;
        writes.answered(writeId, fileNo, said);
        return said;
      }
    }
    return null;
  }

  private Applied notReadBack(
      Machines.Linked machine,
      long writeId,
      Reconciliations.Decided decided,
      @Nullable String problem,
      String silence) {
    List<String> unknown =
        decided.outcomes().stream()
            .filter(outcome -> outcome.write().isPresent())
            .map(PlaceOutcome::place)
            .toList();
    String why =
        "%sit cannot be read back: %s; what it holds now is not known: compare again"
            .formatted(problem == null ? "" : problem + "; ", silence);
    return transaction.execute(status ->
        ended(
            machine,
            writeId,
            new Applied("not read back", List.of(), unknown, List.of(), why, decided.files())));
  }

  private Applied proven(
      Machines.Linked machine,
      long writeId,
      Reconciliations.Decided decided,
      ControlTable after,
      Instant read,
      @Nullable String problem) {
    String machineId = machine.machine().id();
    machines.lock(machineId);
    Map<String, PlaceReport> reports = new HashMap<>();
    decided.compared().reports().forEach(report -> reports.put(report.place(), report));
    List<String> written = new ArrayList<>();
    List<String> notWritten = new ArrayList<>();
    List<String> faults = new ArrayList<>();
    Map<String, TakenPlaces.Change> taken = new LinkedHashMap<>();
    Map<String, TableEntry> agreed = new HashMap<>();
    reports.forEach((place, report) -> {
      if (report.state() == PlaceReport.State.IN_STEP) {
        agreed.put(place, worn(report.plan(), report.control()));
      }
    });
    for (PlaceOutcome outcome : decided.outcomes()) {
      List<String> missing =
          outcome.write().map(row -> faults(decided, after, row)).orElse(List.of());
      faults.addAll(missing);
      outcome.write().ifPresent(row -> (missing.isEmpty() ? written : notWritten).add(row.place()));
      if (missing.isEmpty()) {
        TableEntry before = reports.get(outcome.place()).plan();
        if (!outcome.plan().equals(before)) {
          Map<TableField, String> stated =
              decided.compared().stated().getOrDefault(outcome.place(), Map.of());
          taken.put(
              outcome.place(),
              new TakenPlaces.Change(before, Statements.parted(outcome.plan(), stated)));
        }
        agreed.put(outcome.place(), worn(outcome.plan(), shown(after, outcome)));
      }
    }
    takenPlaces.take(machineId, taken);
    store.agree(machineId, agreed);
    store.keep(machineId, after, read);
    return ended(
        machine,
        writeId,
        new Applied(
            notWritten.isEmpty() ? "in step" : "interrupted",
            written,
            notWritten,
            List.copyOf(taken.keySet()),
            notWritten.isEmpty() ? null : problem == null ? String.join("; ", faults) : problem,
            decided.files()));
  }

  private static List<String> faults(
      Reconciliations.Decided decided, ControlTable after, RowWrite row) {
    return Proof.faults(decided.compared().terms(), after, row);
  }

  private static TableEntry shown(ControlTable after, PlaceOutcome outcome) {
    return after
        .spindle()
        .filter(entry -> !entry.empty() && entry.identity().equals(outcome.plan().identity()))
        .orElse(after.at(outcome.place()));
  }

  /** What is agreed of a place: the plan, with what the control counts and wears off. */
  private static TableEntry worn(TableEntry plan, TableEntry control) {
    return plan.empty() ? plan : plan.countedAs(control);
  }

  private Applied ended(Machines.Linked machine, long writeId, Applied applied) {
    writes.ended(writeId, applied.state(), applied.problem());
    trail.record(
        TrailRecord.of(
            "machine",
            machine.machine().id(),
            "%s: %s written, %d taken, %d not written"
                .formatted(
                    machine.machine().name(),
                    TrailRecord.count(applied.written().size(), machine.machine().placeWord()),
                    applied.taken().size(),
                    applied.notWritten().size())));
    live.say("machine", machine.machine().id(), applied.state());
    return applied;
  }
}
