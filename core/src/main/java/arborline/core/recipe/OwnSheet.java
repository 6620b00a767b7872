package arborline.core.recipe;

import arborline.core.exchange.Cell;
import arborline.core.exchange.Column;
import arborline.core.exchange.CuttingReading;
import arborline.core.exchange.DecimalSign;
import arborline.core.exchange.ItemKind;
import arborline.core.exchange.ItemSource;
import arborline.core.exchange.PartReading;
import arborline.core.exchange.RawItem;
import arborline.core.exchange.RowItems;
import arborline.core.exchange.SheetFormula;
import arborline.core.exchange.StackReading;
import arborline.core.exchange.WorkbookSink;
import arborline.core.finding.Finding;
import arborline.core.property.Dictionary;
import arborline.core.property.Property;
import java.io.IOException;
import java.time.LocalDate;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.regex.Pattern;
import org.dhatim.fastexcel.reader.Sheet;

/** A sheet whose columns are headed by symbols, as we write them and as people fill them in. */
final class OwnSheet implements ItemSource {

  /** From this share of own symbols on a header is one of ours. */
  private static final double OWN = 0.5;

  private static final int SAMPLE = 200;
  private static final Pattern COMMA = Pattern.compile("-?\\d+,(?:\\d{1,2}|\\d{4,})");

  private final SheetRows rows;
  private final List<Column> columns;
  private final List<String> symbols;
  private final ItemKind usual;
  private final RowItems items = new RowItems();
  private final Deque<SourceRow> ahead = new ArrayDeque<>();
  private final Deque<RawItem> read = new ArrayDeque<>();
  private final boolean commas;

  OwnSheet(Sheet sheet) throws IOException {
    this.rows = new SheetRows(sheet, true);
    Optional<SourceRow> header = rows.next();
    while (header.isPresent() && header.get().filled().isEmpty()) {
      header = rows.next();
    }
    this.columns = header.map(row -> columns(row)).orElse(List.of());
    this.symbols = columns.stream().map(column -> numeric(column) ? column.symbol() : "").toList();
    this.usual = usual(columns);
    fill(SAMPLE);
    this.commas = decimalCommas();
  }

  private static List<Column> columns(SourceRow header) {
    List<Column> columns = new ArrayList<>();
    List<String> seen = new ArrayList<>();
    for (String cell : header.cells()) {
      Column column = Column.of(cell.replaceAll("\\s+", " "));
      boolean again = !column.symbol().isEmpty() && seen.contains(column.symbol());
      columns.add(
          again
              ? new Column(
                  column.header(),
                  RawItem.note("%s (column %d)".formatted(cell.strip(), columns.size() + 1)),
                  Optional.empty(),
                  "")
              : column);
      seen.add(column.symbol());
    }
    return columns;
  }

  private static boolean numeric(Column column) {
    return column.unit().isPresent()
        || Dictionary.standard().find(column.symbol()).filter(Property::numeric).isPresent();
  }

  /** True for the guide that we write. */
  static boolean guide(Sheet sheet, SourceRow first) {
    return Sheets.name(sheet).equals(WorkbookSink.GUIDE) && first.cell(0).startsWith("Arbor Line");
  }

  /** True where the first row of a sheet heads columns by symbols. */
  static boolean is(SourceRow first) {
    long own = first.filled().stream().filter(OwnHeaders::is).count();
    return own >= 2 && own >= OWN * first.filled().size();
  }

  /** True where its rows belong to tools of other sheets. */
  boolean belongs() {
    return usual == ItemKind.STACK || usual == ItemKind.CUTTING;
  }

  /** What a row is that does not say. */
  private static ItemKind usual(List<Column> columns) {
    List<String> symbols = columns.stream().map(Column::symbol).toList();
    if (symbols.contains(PartReading.BODIES) && !symbols.contains(RawItem.CLASS)) {
      return ItemKind.HOLDER;
    }
    boolean tools =
        symbols.contains(RawItem.CLASS)
            || symbols.stream().anyMatch(symbol -> Dictionary.standard().find(symbol).isPresent());
    if (tools) {
      return ItemKind.CUTTER;
    }
    if (symbols.contains(RowItems.PARTS) || symbols.contains(StackReading.SEAT)) {
      return ItemKind.STACK;
    }
    return symbols.contains(CuttingReading.MATERIAL) || symbols.contains("VC")
        ? ItemKind.CUTTING
        : ItemKind.CUTTER;
  }

  private void fill(int count) throws IOException {
    while (ahead.size() < count) {
      Optional<SourceRow> next = rows.next();
      if (next.isEmpty()) {
        return;
      }
      ahead.add(next.get());
    }
  }

  /** True where a program has written numbers as texts with a comma. */
  private boolean decimalCommas() {
    return ahead.stream()
        .anyMatch(row -> {
          for (int i = 0; i < columns.size(); i++) {
            if (numeric(columns.get(i)) && COMMA.matcher(row.cell(i)).matches()) {
              return true;
            }
          }
          return false;
        });
  }

  /** The next item without taking it. */
  Optional<RawItem> peek() throws IOException {
    while (read.isEmpty()) {
      fill(1);
      SourceRow row = ahead.poll();
      if (row == null) {
        return Optional.empty();
      }
      if (!row.filled().isEmpty()) {
        read(row);
      }
    }
    return Optional.of(read.peek());
  }

  @Override
  public Optional<RawItem> next() throws IOException {
    Optional<RawItem> item = peek();
    read.poll();
    return item;
  }

  private void read(SourceRow row) {
    SortedMap<String, Cell> cells = new TreeMap<>();
    List<Finding> findings = new ArrayList<>(0);
    for (int i = 0; i < columns.size(); i++) {
      boolean filled = !row.cell(i).isEmpty() || row.formulas().containsKey(i);
      if (filled && !columns.get(i).symbol().isEmpty()) {
        cell(row, i, cells, findings);
      }
    }
    if (!cells.containsKey(RowItems.KIND) && usual != ItemKind.CUTTER) {
      cells.put(RowItems.KIND, Cell.of(usual.word()));
    }
    read.addAll(items.of(row.line(), cells, findings));
  }

  private void cell(SourceRow row, int at, Map<String, Cell> cells, List<Finding> findings) {
    Column column = columns.get(at);
    String symbol = column.symbol();
    boolean numeric = numeric(column);
    if (row.date(at).isPresent() && (numeric || symbol.equals(RawItem.CODE))) {
      LocalDate day = row.date(at).get();
      findings.add(
          numeric ? SpreadsheetDates.forNumber(day, symbol) : SpreadsheetDates.forCode(day));
      return;
    }
    Optional<String> formula =
        Optional.ofNullable(row.formulas().get(at))
            .flatMap(
                text -> numeric ? SheetFormula.read(text, row.line(), symbols) : Optional.empty());
    if (formula.isPresent()) {
      cells.put(symbol, new Cell(row.cell(at), column.unit(), false, formula));
    } else if (row.cell(at).isEmpty()) {
      findings.add(
          Finding.hold(
              "formula-without-value",
              "%s is the formula =%s and no value is kept with it; open the file in a spreadsheet and save it"
                  .formatted(symbol, row.formulas().get(at)),
              symbol));
    } else {
      value(row, at, column, cells, findings);
    }
  }

  private void value(
      SourceRow row, int at, Column column, Map<String, Cell> cells, List<Finding> findings) {
    String symbol = column.symbol();
    String text = row.cell(at);
    if (row.formulas().containsKey(at)) {
      findings.add(
          Finding.note(
              "formula-value-taken",
              "%s is the formula =%s of the spreadsheet; its value %s is taken"
                  .formatted(symbol, row.formulas().get(at), text),
              symbol));
    }
    if (numeric(column) && commas) {
      DecimalSign.Read number = DecimalSign.read(text, ',', symbol);
      number.finding().ifPresent(findings::add);
      text = number.text();
    }
    cells.put(symbol, new Cell(text, numeric(column) ? column.unit() : Optional.empty(), false));
  }

  @Override
  public void close() {
    rows.close();
  }
}
