package arborline.server.table;

import arborline.core.machine.Machine;
import arborline.core.table.ControlFile;
import arborline.core.table.ControlTerms;
import arborline.core.table.Decision;
import arborline.core.table.DecisionRules;
import arborline.core.table.FieldReport;
import arborline.core.table.PlaceOrder;
import arborline.core.table.PlaceReport;
import arborline.core.table.TableEntry;
import arborline.server.account.MayLoad;
import arborline.server.machine.Machines;
import arborline.server.support.Refusal;
import arborline.server.support.Slice;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/v1/machines/{id}")
class TableController {

  private final Reconciliations reconciliations;
  private final TableWriting writing;
  private final TableWrites writes;
  private final Machines machines;
  private final TableStore store;
  private final TableHistory history;
  private final TableWatches watches;

  TableController(
      Reconciliations reconciliations,
      TableWriting writing,
      TableWrites writes,
      Machines machines,
      TableStore store,
      TableHistory history,
      TableWatches watches) {
    this.history = history;
    this.watches = watches;
    this.reconciliations = reconciliations;
    this.writing = writing;
    this.writes = writes;
    this.machines = machines;
    this.store = store;
  }

  /** One place of a control's table; fields by name, lengths in mm. */
  record PlaceRow(String place, Map<String, String> fields) {}

  record TableView(
      String machine, long read, Instant readAt, List<PlaceRow> items, @Nullable String next) {}

  /**
   * One field that differs.
   *
   * @param controlTitle what the control keeps of it, where that is not the same: radius
   * @param planShown the plan as the control would show it, where that is another text
   */
  record FieldRow(
      String field,
      String title,
      @Nullable String controlTitle,
      String owner,
      @Nullable String plan,
      @Nullable String planShown,
      @Nullable String agreed,
      @Nullable String control,
      String why,
      String suggested,
      String reason) {}

  /**
   * One place of a reconciliation.
   *
   * @param control as the control shows it, in its own terms
   * @param held true where the control has something there
   * @param state {@code in step}, {@code differs} or {@code unknown tool}
   * @param why stable name of the reason: {@code far-from-nominal}
   * @param whyWords the same in words that hold for every place with this reason
   * @param suggested send, take, owner, leave, or ask: a person decides
   * @param possible what may be decided
   * @param ruled true where a rule of the machine suggests it
   * @param rules decisions that may become a rule of the machine
   * @param together decisions that may be taken for all places with this reason at once
   * @param missing what the control does not have of the tool
   */
  record ReportRow(
      String place,
      String state,
      Map<String, String> plan,
      Map<String, String> agreed,
      Map<String, String> control,
      boolean held,
      boolean inSpindle,
      List<FieldRow> fields,
      String why,
      String whyWords,
      String suggested,
      String reason,
      List<String> possible,
      boolean ruled,
      List<String> rules,
      List<String> together,
      List<MissingValue> missing) {}

  /**
   * A value that the control does not have of a tool.
   *
   * @param hold true where a program goes wrong without it, false where no usual one uses it
   */
  record MissingValue(String field, boolean hold, String reason) {}

  /**
   * A comparison.
   *
   * @param placeWord what places of the machine are called
   * @param unit of the lengths that the control shows
   * @param troubles what is wrong with its table as a whole, in sentences
   * @param watch how the control answers; null where it was never asked
   */
  record ReconciliationView(
      String machine,
      String name,
      String placeWord,
      String unit,
      long read,
      Instant readAt,
      int inStep,
      int differ,
      int unknown,
      List<String> troubles,
      TableWatches.@Nullable WatchView watch,
      List<ReportRow> items,
      @Nullable String next) {}

  /**
   * What to do.
   *
   * @param read which reading the decisions were taken on; null for the latest
   * @param decisions by place: send, send zero wear, take, owner or leave; null for what was
   *     suggested
   */
  record ApplyOrder(@Nullable Long read, @Nullable Map<String, String> decisions) {}

  record DryRun(List<ControlFile> files) {}

  @GetMapping("/table")
  TableView table(@PathVariable String id) {
    TableStore.Reading reading = reconciliations.read(id);
    TreeMap<String, TableEntry> places = new TreeMap<>(PlaceOrder.BY_NUMBER);
    places.putAll(reading.table().places());
    reading.table().spindle().ifPresent(entry -> places.put("SPINDLE", entry));
    List<PlaceRow> items =
        places.entrySet().stream()
            .map(row -> new PlaceRow(row.getKey(), fields(row.getValue())))
            .toList();
    return new TableView(id, reading.id(), reading.at(), items, null);
  }

  /**
   * Compares plan and control.
   *
   * @param fresh false to compare with the last reading instead of asking the control; the answer
   *     is empty where there is none
   * @param all true for places in step as well
   */
  @GetMapping("/reconciliation")
  @Nullable ReconciliationView reconciliation(
      @PathVariable String id,
      @RequestParam(defaultValue = "true") boolean fresh,
      @RequestParam(defaultValue = "true") boolean all) {
    Optional<Reconciliations.Compared> known =
        fresh ? Optional.of(reconciliations.compare(id)) : reconciliations.lastKnown(id);
    return known.map(compared -> view(id, compared, all)).orElse(null);
  }

  private ReconciliationView view(String id, Reconciliations.Compared compared, boolean all) {
    Machine machine = machines.get(id).machine();
    List<ReportRow> rows =
        compared.reports().stream()
            .filter(report -> all || report.state() != PlaceReport.State.IN_STEP)
            .map(report -> row(report, compared.found()))
            .toList();
    return new ReconciliationView(
        id,
        machine.name(),
        machine.placeWord(),
        compared.terms().unit().code(),
        compared.reading().id(),
        compared.reading().at(),
        count(compared, PlaceReport.State.IN_STEP),
        count(compared, PlaceReport.State.DIFFERS),
        count(compared, PlaceReport.State.UNKNOWN_TOOL),
        compared.reading().table().troubles(),
        watches.of(id).orElse(null),
        rows,
        null);
  }

  private static int count(Reconciliations.Compared compared, PlaceReport.State state) {
    return (int) compared.reports().stream().filter(report -> report.state() == state).count();
  }

  /** How the control answers; the answer is empty where it was never asked. */
  @GetMapping("/table/watch")
  TableWatches.@Nullable WatchView watch(@PathVariable String id) {
    return watches.of(machines.get(id).machine().id()).orElse(null);
  }

  /** What was written to the control, the newest first. */
  @GetMapping("/table/writes")
  Slice<TableWrites.Writing> writes(@PathVariable String id) {
    return Slice.all(writes.latest(machines.get(id).machine().id()));
  }

  /**
   * What became different at the control, the newest first.
   *
   * @param place null for all places
   * @param below id below which the changes are; null for the newest
   */
  @GetMapping("/table/history")
  Slice<TableHistory.ControlChange> history(
      @PathVariable String id,
      @RequestParam(required = false) @Nullable String place,
      @RequestParam(required = false) @Nullable Long below) {
    return history.latest(machines.get(id).machine().id(), place, below);
  }

  @PostMapping("/reconciliation/dry-run")
  DryRun dryRun(@PathVariable String id, @RequestBody ApplyOrder order) {
    Map<String, Decision> decisions = decisions(order.decisions());
    return new DryRun(
        reconciliations.dryRun(id, reading(id, order), decisions == null ? Map.of() : decisions));
  }

  @PostMapping("/reconciliation/apply")
  @MayLoad
  TableWriting.Applied apply(@PathVariable String id, @RequestBody ApplyOrder order) {
    return writing.apply(id, reading(id, order), decisions(order.decisions()));
  }

  private long reading(String id, ApplyOrder order) {
    return order.read() != null
        ? order.read()
        : store
            .latest(machines.get(id).machine().id())
            .orElseThrow(() -> Refusal.conflict("the control was never read; read it first"))
            .id();
  }

  private static @Nullable Map<String, Decision> decisions(@Nullable Map<String, String> texts) {
    if (texts == null) {
      return null;
    }
    Map<String, Decision> decisions = new LinkedHashMap<>();
    texts.forEach((place, text) -> decisions.put(place, TableWords.decision(place, text)));
    return decisions;
  }

  private static ReportRow row(PlaceReport report, Comparisons.Compared compared) {
    ControlTerms terms = compared.terms();
    return new ReportRow(
        report.place(),
        report.state().name().toLowerCase(Locale.ROOT).replace('_', ' '),
        fields(report.plan()),
        fields(report.agreed()),
        fields(report.control()),
        !report.control().empty(),
        report.inSpindle(),
        report.fields().stream().map(field -> field(field, terms)).toList(),
        report.why().code(),
        report.why().words(),
        TableWords.decision(report.suggested()),
        report.reason(),
        words(report.possible()),
        compared.ruled().contains(report.place()),
        words(DecisionRules.offered(report)),
        words(DecisionRules.together(report)),
        compared.missing().getOrDefault(report.place(), List.of()).stream()
            .map(need -> new MissingValue(need.field().key(), need.holds(), need.reason()))
            .toList());
  }

  private static List<String> words(Set<Decision> decisions) {
    return decisions.stream().sorted().map(TableWords::decision).toList();
  }

  private static FieldRow field(FieldReport field, ControlTerms terms) {
    String shown = terms.shown(field.field(), field.plan());
    String title = terms.title(field.field());
    return new FieldRow(
        field.field().key(),
        field.field().title(),
        title.equals(field.field().title()) ? null : title,
        field.field().owner().name().toLowerCase(Locale.ROOT),
        field.plan(),
        shown == null || terms.plainly(field.field()) ? null : shown,
        field.agreed(),
        field.control(),
        field.why().code(),
        TableWords.decision(field.suggested()),
        field.reason());
  }

  private static Map<String, String> fields(TableEntry entry) {
    Map<String, String> fields = new LinkedHashMap<>();
    entry.fields().forEach((field, text) -> fields.put(field.key(), text));
    return fields;
  }
}
