package arborline.core.recipe;

import arborline.core.cutting.CuttingField;
import arborline.core.exchange.Cell;
import arborline.core.exchange.CuttingReading;
import arborline.core.exchange.ItemKind;
import arborline.core.exchange.PartReading;
import arborline.core.exchange.RawItem;
import arborline.core.finding.Finding;
import arborline.core.property.Dictionary;
import arborline.core.property.Property;
import arborline.core.quantity.Unit;
import arborline.core.tool.ThreadSize;
import arborline.core.tool.ToolClasses;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Reads one row of data under its columns. */
final class RowReading {

  private static final Pattern METRIC_THREAD =
      Pattern.compile("(?i)M\\s?(\\d+(?:[.,]\\d+)?)(?:\\s*[x\u00d7]\\s*(\\d+(?:[.,]\\d+)?))?");
  private static final Pattern INCH_THREAD =
      Pattern.compile(
          "(?i)(#\\d{1,2}|(?:\\d+-)?\\d+/\\d+|\\d)\\s*-\\s*(\\d{1,2})(?:\\s*(UN[CFS]?|UNEF|NPT))?");
  private static final String CORNER = "end-mill-corner-radius";

  private final List<ColumnRole> columns;
  private final TableFacts facts;
  private final SourceRow row;
  private final SortedMap<String, Cell> cells = new TreeMap<>();
  private final SortedMap<String, Cell> notes = new TreeMap<>();
  private final List<Finding> findings = new ArrayList<>(0);
  private ItemKind kind = ItemKind.CUTTER;
  private String toolClass = "";
  private boolean sized;

  private RowReading(List<ColumnRole> columns, TableFacts facts, SourceRow row) {
    this.columns = columns;
    this.facts = facts;
    this.row = row;
  }

  /**
   * What a row says.
   *
   * @param cells with the columns of cutting data among them
   * @param tool true where it says anything of a tool but a code and notes
   */
  record Read(ItemKind kind, SortedMap<String, Cell> cells, List<Finding> findings, boolean tool) {}

  /**
   * Reads a row.
   *
   * @param heading class of the block that it stands in; empty without one
   * @param kindBefore kind of tool of the rows before, for a cell that is left open below it
   */
  static Read read(
      List<ColumnRole> columns,
      TableFacts facts,
      SourceRow row,
      String heading,
      String kindBefore) {
    RowReading reading = new RowReading(columns, facts, row);
    reading.words(heading, kindBefore);
    reading.columns();
    reading.settle();
    SortedMap<String, Cell> all = new TreeMap<>(reading.cells);
    all.putAll(reading.notes);
    return new Read(reading.kind, all, List.copyOf(reading.findings), reading.sized);
  }

  private String text(Meaning meaning) {
    for (int i = 0; i < columns.size(); i++) {
      boolean means = columns.get(i).meaning() == meaning && columns.get(i).symbol().isEmpty();
      if (means && !row.cell(i).isEmpty()) {
        return row.cell(i);
      }
    }
    return "";
  }

  private String descriptions() {
    List<String> said = new ArrayList<>();
    for (int i = 0; i < columns.size(); i++) {
      if (columns.get(i).meaning() == Meaning.DESCRIPTION && !row.cell(i).isEmpty()) {
        said.add(row.cell(i));
      }
    }
    return String.join(", ", said);
  }

  /** Unit of the lengths of this row that name none. */
  private Unit unit() {
    return Unit.named(text(Meaning.UNIT))
        .filter(stated -> stated == Unit.INCH || stated == Unit.MILLIMETRE)
        .orElse(facts.unit());
  }

  private void words(String heading, String kindBefore) {
    String code = text(Meaning.CODE);
    String description = descriptions();
    String kindText = text(Meaning.KIND).isEmpty() ? kindBefore : text(Meaning.KIND);
    if (!code.isEmpty()) {
      identity(code, description);
      codeDate();
    }
    String called = description.isEmpty() ? kindName(kindText) : description;
    if (!called.isEmpty()) {
      cells.putIfAbsent(RawItem.NAME, Cell.of(called.replaceAll("\\s+", " ")));
    }
    if (!designated(code, description) && !holder(code)) {
      String known = ClassWords.find(kindText).map(ClassWords.Named::toolClass).orElse("");
      String fallback = heading.isEmpty() ? facts.toolClass() : heading;
      DescriptionReader.Read read = read(description, kindText, known);
      toolClass = read.toolClass().isEmpty() ? fallback : read.toolClass();
      cells.putAll(read.cells());
      sized |= !read.cells().isEmpty() || !code.isEmpty() && !read.toolClass().isEmpty();
      if (toolClass.isEmpty() && !kindText.isEmpty()) {
        cells.put(RawItem.CLASS, Cell.of(kindText));
      }
    }
  }

  /** What a tool without a name is called: the word of its class, or the title of that. */
  private static String kindName(String kindText) {
    return ToolClasses.named(kindText).map(known -> known.sheet().title()).orElse(kindText);
  }

  private DescriptionReader.Read read(String description, String kindText, String known) {
    String all = kindText.isEmpty() ? description : description + " " + kindText;
    DescriptionReader.Read own = DescriptionReader.read(description, known, unit());
    return own.cells().isEmpty() || own.toolClass().isEmpty()
        ? DescriptionReader.read(all, known, unit())
        : own;
  }

  /** A code has no blanks; what it was with them stays as the name. */
  private void identity(String code, String description) {
    String plain = code.replaceAll("\\s+", "");
    cells.put(RawItem.CODE, Cell.of(plain));
    if (!plain.equals(code) && description.isEmpty()) {
      cells.put(RawItem.NAME, Cell.of(code));
    }
  }

  private void codeDate() {
    for (int i = 0; i < columns.size(); i++) {
      Optional<LocalDate> date = row.date(i);
      if (columns.get(i).meaning() == Meaning.CODE && date.isPresent()) {
        findings.add(SpreadsheetDates.forCode(date.get()));
      }
    }
  }

  private boolean designated(String code, String description) {
    Optional<Designations.Named> named =
        Designations.read(code).or(() -> Designations.read(description));
    named.ifPresent(read -> {
      toolClass = read.toolClass();
      cells.putAll(read.cells());
      sized = true;
    });
    return named.isPresent();
  }

  private boolean holder(String code) {
    boolean alone = code.isEmpty();
    String text = alone ? text(Meaning.HOLDER) : code;
    Optional<HolderName> named = HolderName.read(text);
    named.ifPresent(read -> {
      kind = read.kind();
      cells.putAll(read.cells());
      cells.put(RawItem.CODE, Cell.of(text.replaceAll("\\s+", "")));
      cells.putIfAbsent(RawItem.NAME, Cell.of(text));
      outline(read);
      sized = true;
    });
    return named.isPresent();
  }

  private void outline(HolderName read) {
    UsualOutline.of(read)
        .ifPresent(bodies -> {
          cells.put(PartReading.BODIES, Cell.of(bodies));
          findings.add(
              Finding.query(
                  "outline-estimated",
                  "the outline is estimated by what is usual for such a holder: %s"
                      .formatted(bodies),
                  PartReading.BODIES));
        });
  }

  private void columns() {
    for (int i = 0; i < columns.size(); i++) {
      String text = row.cell(i);
      if (!text.isEmpty() && !dated(columns.get(i), i)) {
        cell(columns.get(i), text, i);
      }
    }
  }

  /** A day in a column of numbers: what was typed is offered back. */
  private boolean dated(ColumnRole role, int index) {
    Optional<LocalDate> date = row.date(index);
    Optional<String> symbol = role.symbol().or(() -> MeaningSymbols.of(role.meaning(), toolClass));
    if (date.isEmpty() || symbol.isEmpty()) {
      return false;
    }
    findings.add(SpreadsheetDates.forNumber(date.get(), symbol.get()));
    sized = true;
    return true;
  }

  private void cell(ColumnRole role, String text, int index) {
    switch (role.meaning()) {
      case CODE, DESCRIPTION, KIND, UNIT -> {
        // read before
      }
      case NOTE -> {
        if (role.symbol().isPresent()) {
          property(role.symbol().get(), role, text);
        } else {
          note(role, text, index);
        }
      }
      case HOLDER -> {
        if (kind == ItemKind.CUTTER) {
          note(role, text, index);
        }
      }
      case THREAD -> thread(role, text, index);
      case SIZE_AGAIN -> again(role, text);
      case SUBSTRATE -> cells.put("SUBSTRATE", Cell.of(Substrates.find(text).orElse(text)));
      default ->
          MeaningSymbols.of(role.meaning(), toolClass)
              .ifPresentOrElse(
                  symbol -> property(symbol, role, text), () -> note(role, text, index));
    }
  }

  private void note(ColumnRole role, String text, int index) {
    String heading = role.header().isBlank() ? "column %d".formatted(index + 1) : role.header();
    notes.put(RawItem.note(heading.replaceAll("\\s+", " ")), Cell.of(text));
  }

  private void property(String symbol, ColumnRole role, String text) {
    Optional<Property> property = Dictionary.standard().find(symbol);
    boolean cut = property.isEmpty();
    if (property.isPresent() && !property.get().numeric()
        || cut && !CuttingColumns.numeric(symbol)) {
      cells.put(symbol, Cell.of(text));
      sized = true;
      return;
    }
    if (symbol.equals("TD") || symbol.equals("DC")) {
      Matcher metric = METRIC_THREAD.matcher(text);
      Matcher inch = INCH_THREAD.matcher(text);
      if (metric.matches() || inch.matches()) {
        threadSize(text);
        return;
      }
    }
    Optional<Unit> own = cut ? CuttingColumns.unit(symbol) : property.get().unit();
    boolean length = own.filter(Unit.MILLIMETRE::equals).isPresent();
    Optional<Unit> unit =
        role.unit().or(() -> length ? Optional.of(cut ? facts.unit() : unit()) : own);
    boolean gauge = role.meaning() == Meaning.DIAMETER || role.meaning() == Meaning.SHANK;
    SizeText.read(text, unit, facts.decimal(), gauge, symbol)
        .ifPresent(read -> {
          cells.put(symbol, read.cell());
          read.finding().ifPresent(findings::add);
          read.tolerance()
              .ifPresent(tolerance ->
                  MeaningSymbols.of(Meaning.TOLERANCE, toolClass)
                      .ifPresent(fit -> cells.putIfAbsent(fit, Cell.of(tolerance))));
          sized = true;
        });
  }

  private void thread(ColumnRole role, String text, int index) {
    if (MeaningSymbols.of(Meaning.THREAD, toolClass).isEmpty()) {
      note(role, text, index);
      return;
    }
    threadSize(text);
  }

  private void threadSize(String text) {
    Matcher metric = METRIC_THREAD.matcher(text);
    if (metric.matches()) {
      String pitch = metric.group(2);
      String size = "M" + metric.group(1).replace(',', '.');
      cells.put("TDZ", Cell.of(pitch == null ? size : size + "x" + pitch.replace(',', '.')));
    } else {
      cells.put("TDZ", Cell.of(text.replaceAll("\\s+", " ")));
    }
    sized = true;
  }

  /** Decimals beside a size: they stand where the size itself is no number. */
  private void again(ColumnRole role, String text) {
    String symbol = MeaningSymbols.of(Meaning.DIAMETER, toolClass).orElse("DC");
    if (!cells.containsKey(symbol)) {
      property(symbol, role.as(Meaning.DIAMETER, role.evidence()), text);
    }
  }

  private void settle() {
    Cell corner = cells.get("RE");
    boolean rounded = corner != null && corner.text().matches(".*[1-9].*");
    if (toolClass.equals("end-mill-flat") && rounded) {
      toolClass = CORNER;
    }
    if (!toolClass.isEmpty()) {
      cells.put(RawItem.CLASS, Cell.of(toolClass));
    }
    finePitch();
    if (kind == ItemKind.CUTTER && cells.containsKey("MIID") && toolClass.equals("insert")) {
      kind = ItemKind.INSERT;
    }
  }

  /** A fine pitch in a column of its own belongs to the thread. */
  private void finePitch() {
    Cell thread = cells.get("TDZ");
    Cell pitch = cells.get("TP");
    if (thread == null || pitch == null || !thread.text().matches("M[\\d.]+")) {
      return;
    }
    String fine = "%sx%s".formatted(thread.text(), pitch.text());
    Optional<ThreadSize> coarse = ThreadSize.parse(thread.text());
    boolean other =
        coarse.filter(size -> size.pitch().toPlainString().equals(pitch.text())).isEmpty();
    if (other && FinePitches.usual(thread.text(), pitch.text())) {
      cells.put("TDZ", Cell.of(fine));
    }
  }

  /** Columns of {@link CuttingReading} that are numbers. */
  private static final class CuttingColumns {
    private CuttingColumns() {}

    static boolean numeric(String symbol) {
      return CuttingField.named(symbol).isPresent();
    }

    static Optional<Unit> unit(String symbol) {
      return CuttingField.named(symbol).map(field -> field.unit());
    }
  }
}
