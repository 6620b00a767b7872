package arborline.server.table;

import arborline.core.machine.Machine;
import arborline.core.table.ControlTable;
import arborline.core.table.ControlTerms;
import arborline.core.table.FieldNeeds;
import arborline.core.table.JobUse;
import arborline.core.table.NumberRange;
import arborline.core.table.NumberRange.NumberedPlace;
import arborline.core.table.PlaceOrder;
import arborline.core.table.PlaceReport;
import arborline.core.table.Purpose;
import arborline.core.table.TableColumns;
import arborline.core.table.TableEntry;
import arborline.core.table.TableField;
import arborline.core.tool.ToolClasses;
import arborline.server.machine.Machines;
import arborline.server.right.ToolGuard;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** All tools that a control knows, each with the values that count for its class. */
@Component
class ControlTools {

  /** Class of tools that no library of the shop has. */
  private static final String UNKNOWN_CLASS = "";

  private static final String SPINDLE = "spindle";
  private static final String NO_PLACE = "";

  private final Machines machines;
  private final ToolGuard seeing;

  ControlTools(Machines machines, ToolGuard seeing) {
    this.machines = machines;
    this.seeing = seeing;
  }

  /**
   * One value that counts for tools of a class.
   *
   * @param wear id of its wear, where the control keeps it apart
   * @param title as the control keeps it: a radius where the field is a diameter
   * @param meaning what the number is, in words
   * @param unit of it; empty for a count or a word
   * @param measured true for what is measured of a tool
   */
  record ValueColumn(
      String field,
      @Nullable String wear,
      String title,
      String meaning,
      String unit,
      boolean measured) {}

  /**
   * Tools of one class.
   *
   * @param id empty for tools that no library of the shop has
   */
  record ClassColumns(String id, String title, List<ValueColumn> columns) {}

  /**
   * One tool.
   *
   * @param place empty where it is in none; {@code spindle} for the spindle
   * @param classId empty where no library of the shop has it
   * @param toolId in the shop; null where no library has it, or none that whoever asks sees
   * @param number by which the control tells it apart
   * @param offset number of its offsets, where that is kept apart
   * @param inPrograms its number in programs, where that is another one
   * @param state of its place: in step, differs or unknown tool; null where it is in none
   * @param values by field, as the control shows them
   * @param neededFor what programs need values of it for, by field
   */
  record ControlTool(
      String place,
      String code,
      @Nullable String sister,
      String name,
      String classId,
      @Nullable Long toolId,
      @Nullable String number,
      @Nullable String offset,
      @Nullable String inPrograms,
      @Nullable String state,
      Map<String, String> values,
      Map<String, String> neededFor) {}

  /** Tools whose numbers and places run alongside each other. */
  record RangeView(
      int firstNumber,
      int lastNumber,
      String firstPlace,
      String lastPlace,
      @Nullable Integer firstOffset,
      @Nullable Integer lastOffset,
      @Nullable Integer firstInPrograms,
      @Nullable Integer lastInPrograms) {}

  /**
   * All tools of a control.
   *
   * @param scheme how numbers and places go together: {@code number-apart}
   * @param from first number that libraries give tools of this machine; null for no range
   * @param classes those that it has tools of
   * @param byNumber number ranges and where they stand, the lowest number first
   * @param byPlace the same, the first place first
   */
  record ToolsOfControl(
      String machine,
      String placeWord,
      String unit,
      long read,
      Instant readAt,
      String scheme,
      @Nullable Integer from,
      @Nullable Integer to,
      boolean codesShown,
      List<ClassColumns> classes,
      List<ControlTool> items,
      List<RangeView> byNumber,
      List<RangeView> byPlace,
      @Nullable String next) {}

  /** A row of a reading and where it stands. */
  record Shown(String place, TableEntry row) {}

  /** Every tool of a reading: by place, then the spindle, then those in no place. */
  static Stream<Shown> rows(ControlTable table) {
    TreeMap<String, TableEntry> places = new TreeMap<>(PlaceOrder.BY_NUMBER);
    places.putAll(table.places());
    return Stream.of(
            places.entrySet().stream().map(row -> new Shown(row.getKey(), row.getValue())),
            table.spindle().stream().map(row -> new Shown(SPINDLE, row)),
            table.unplaced().stream().map(row -> new Shown(NO_PLACE, row)))
        .flatMap(each -> each)
        .filter(shown -> !shown.row().empty());
  }

  @Transactional(readOnly = true)
  public ToolsOfControl of(String machineId, Reconciliations.Compared compared) {
    Machine machine = machines.get(machineId).machine();
    ControlTerms terms = compared.terms();
    List<Shown> rows = rows(compared.found().tables().control()).toList();
    Map<String, Comparisons.KnownTool> known = compared.found().known();
    Map<String, PlaceReport> reports =
        compared.reports().stream().collect(Collectors.toMap(PlaceReport::place, report -> report));
    Set<Long> unseen =
        seeing.unseen(known.values().stream().map(Comparisons.KnownTool::id).toList());
    boolean lengthKept = FieldNeeds.lengthKept(terms);
    Map<String, List<TableEntry>> byClass = new TreeMap<>();
    Map<String, Set<TableField>> used = new HashMap<>();
    List<ControlTool> tools = new ArrayList<>();
    for (Shown shown : rows) {
      PlaceReport report = reports.get(shown.place());
      String key = shown.row().named() || report == null ? shown.row().key() : report.plan().key();
      Optional<Comparisons.KnownTool> tool = Optional.ofNullable(known.get(key));
      String classId = tool.map(found -> found.tool().toolClass()).orElse(UNKNOWN_CLASS);
      Map<TableField, Optional<Purpose>> purposes =
          tool.map(found -> purposes(found, compared.found(), lengthKept)).orElse(Map.of());
      byClass.computeIfAbsent(classId, id -> new ArrayList<>()).add(shown.row());
      used.computeIfAbsent(classId, id -> new HashSet<>()).addAll(purposes.keySet());
      tools.add(
          tool(
              shown,
              Optional.ofNullable(report),
              tool.filter(found -> !unseen.contains(found.id())),
              classId,
              purposes,
              terms));
    }
    List<NumberedPlace> numbered = numbered(machine, rows);
    return new ToolsOfControl(
        machine.id(),
        machine.placeWord(),
        terms.unit().code(),
        compared.reading().id(),
        compared.reading().at(),
        machine.numbering().scheme().name().toLowerCase(Locale.ROOT).replace('_', '-'),
        machine.numbering().from(),
        machine.numbering().to(),
        terms.declared(TableField.TOOL).isPresent(),
        classes(terms, byClass, used),
        tools,
        NumberRange.byNumber(numbered).stream().map(ControlTools::view).toList(),
        NumberRange.byPlace(numbered).stream().map(ControlTools::view).toList(),
        null);
  }

  private static ControlTool tool(
      Shown shown,
      Optional<PlaceReport> report,
      Optional<Comparisons.KnownTool> tool,
      String classId,
      Map<TableField, Optional<Purpose>> purposes,
      ControlTerms terms) {
    TableEntry row = shown.row();
    TableEntry plan = report.map(PlaceReport::plan).orElse(TableEntry.EMPTY);
    Map<String, String> values = new LinkedHashMap<>();
    row.fields().forEach((field, text) -> values.put(field.key(), text));
    Map<String, String> neededFor = new LinkedHashMap<>();
    purposes.forEach((field, purpose) ->
        purpose.ifPresent(needed -> neededFor.put(field.key(), needed.words())));
    String code = Optional.ofNullable(row.get(TableField.TOOL)).or(() -> code(plan)).orElse("");
    String name =
        Optional.ofNullable(row.get(TableField.NAME))
            .filter(text -> !text.isBlank())
            .or(() -> tool.map(found -> found.tool().name()))
            .orElse("");
    boolean offsetApart = terms.declared(TableField.OFFSET).isPresent();
    return new ControlTool(
        shown.place(),
        code,
        row.get(TableField.SISTER),
        name,
        classId,
        tool.map(Comparisons.KnownTool::id).orElse(null),
        row.get(TableField.NUMBER),
        offsetApart ? row.get(TableField.OFFSET) : null,
        row.get(TableField.PROGRAM_NUMBER),
        report
            .map(found -> found.state().name().toLowerCase(Locale.ROOT).replace('_', ' '))
            .orElse(null),
        values,
        neededFor);
  }

  private static Optional<String> code(TableEntry plan) {
    return Optional.ofNullable(plan.get(TableField.TOOL));
  }

  private static Map<TableField, Optional<Purpose>> purposes(
      Comparisons.KnownTool tool, Comparisons.Compared compared, boolean lengthKept) {
    List<JobUse> jobs = compared.programUses().getOrDefault(tool.id(), List.of());
    return FieldNeeds.of(tool.tool(), jobs, lengthKept);
  }

  private static List<ClassColumns> classes(
      ControlTerms terms,
      Map<String, List<TableEntry>> byClass,
      Map<String, Set<TableField>> used) {
    List<ClassColumns> classes = new ArrayList<>();
    byClass.forEach((id, rows) ->
        classes.add(
            new ClassColumns(
                id,
                ToolClasses.named(id).map(known -> known.sheet().title()).orElse("in no library"),
                TableColumns.of(terms, used.get(id), rows).stream()
                    .map(column -> column(column, terms))
                    .toList())));
    return classes;
  }

  private static ValueColumn column(TableColumns.Column column, ControlTerms terms) {
    boolean length = column.field().form() == TableField.Form.SIZE;
    return new ValueColumn(
        column.field().key(),
        column.wear().map(TableField::key).orElse(null),
        column.title(),
        column.meaning(),
        length ? terms.unit().code() : "",
        column.field().measured());
  }

  private static List<NumberedPlace> numbered(Machine machine, List<Shown> rows) {
    List<String> places = machine.places();
    Map<String, Integer> order = new HashMap<>();
    places.forEach(place -> order.put(place, order.size()));
    List<NumberedPlace> numbered = new ArrayList<>();
    for (Shown shown : rows) {
      Optional<Integer> number = whole(shown.row(), TableField.NUMBER);
      if (number.isPresent() && order.containsKey(shown.place())) {
        numbered.add(
            new NumberedPlace(
                shown.place(),
                order.get(shown.place()),
                number.get(),
                whole(shown.row(), TableField.OFFSET),
                whole(shown.row(), TableField.PROGRAM_NUMBER)));
      }
    }
    return numbered;
  }

  private static Optional<Integer> whole(TableEntry row, TableField field) {
    return Optional.ofNullable(row.get(field))
        .filter(text -> text.matches("\\d{1,9}"))
        .map(Integer::valueOf);
  }

  private static RangeView view(NumberRange range) {
    return new RangeView(
        range.first().number(),
        range.last().number(),
        range.first().place(),
        range.last().place(),
        range.first().offset().orElse(null),
        range.last().offset().orElse(null),
        range.first().inPrograms().orElse(null),
        range.last().inPrograms().orElse(null));
  }
}
