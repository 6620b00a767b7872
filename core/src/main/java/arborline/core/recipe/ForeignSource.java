package arborline.core.recipe;

import arborline.core.exchange.Cell;
import arborline.core.exchange.Column;
import arborline.core.exchange.ItemKind;
import arborline.core.exchange.ItemSource;
import arborline.core.exchange.RawItem;
import arborline.core.exchange.RowItems;
import arborline.core.exchange.UnreadableFileException;
import arborline.core.finding.Finding;
import java.io.IOException;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Items out of the rows of a table: which row heads columns, which is a title, a total or a
 * comment, and which is a tool.
 */
final class ForeignSource implements ItemSource {

  private static final int AHEAD = 40;
  private static final int LONGEST_CELL = 4000;
  private static final Pattern COMMENT = Pattern.compile("\\s*(?:;|//|#\\s|\\*\\s).*");
  private static final Pattern LABEL =
      Pattern.compile("\\s*([\\p{L} ]{2,20}?)\\s*[:=]\\s*(.*)", Pattern.DOTALL);
  private static final Set<String> KINDS =
      Set.of(
          "kind", "type", "class", "tools", "group", "art", "typ", "gruppe", "klasse", "genre",
          "groupe", "tipo", "gruppo", "clase", "grupo", "soort", "groep", "section");
  private static final Set<String> HEADS =
      Set.of(
          "columns",
          "fields",
          "header",
          "head",
          "spalten",
          "felder",
          "colonnes",
          "champs",
          "colonne",
          "campi",
          "columnas",
          "campos",
          "kolommen",
          "velden");
  private static final Set<String> TOTALS =
      Set.of(
          "total",
          "totals",
          "sum",
          "subtotal",
          "summe",
          "gesamt",
          "zwischensumme",
          "totale",
          "somme",
          "somma",
          "suma",
          "totaal",
          "som");

  private final RowSource rows;
  private final TableFacts facts;
  private final ChosenColumns chosen;
  private final long header;
  private final RowItems items = new RowItems();
  private final Deque<SourceRow> ahead = new ArrayDeque<>();
  private final Deque<RawItem> read = new ArrayDeque<>();
  private UnreadableFileException fault;
  private List<ColumnRole> columns;
  private AdjustedRows adjusted;
  private String heading = "";
  private String kindBefore = "";
  private boolean headed;

  ForeignSource(RowSource rows, TableFacts facts, List<ColumnRole> columns, ChosenColumns chosen) {
    this(rows, facts, columns, chosen, 0);
  }

  /**
   * Prepares for reading.
   *
   * @param columns of a table without a header
   * @param header line that heads columns, whatever its words; 0 where the words say it
   */
  ForeignSource(
      RowSource rows,
      TableFacts facts,
      List<ColumnRole> columns,
      ChosenColumns chosen,
      long header) {
    this.header = header;
    this.rows = rows;
    this.facts = facts;
    this.chosen = chosen;
    this.adjusted = AdjustedRows.of(chosen.in(columns), chosen, facts.decimal());
    this.columns = adjusted.columns();
  }

  @Override
  public Optional<RawItem> next() throws IOException {
    while (read.isEmpty()) {
      SourceRow row = take();
      if (row == null) {
        if (fault != null) {
          throw fault;
        }
        return Optional.empty();
      }
      row(row);
    }
    return Optional.of(read.poll());
  }

  private SourceRow take() throws IOException {
    fill(1);
    return ahead.poll();
  }

  private void fill(int count) throws IOException {
    while (ahead.size() < count && fault == null) {
      try {
        Optional<SourceRow> next = rows.next();
        if (next.isEmpty()) {
          return;
        }
        ahead.add(next.get());
      } catch (UnreadableFileException unreadable) {
        fault = unreadable;
      }
    }
  }

  private void row(SourceRow row) throws IOException {
    List<String> filled = row.filled();
    if (filled.isEmpty()) {
      return;
    }
    if (filled.stream().anyMatch(cell -> cell.length() > LONGEST_CELL)) {
      tooLong(row);
      return;
    }
    if (row.kind() == SourceRow.Kind.HEADER || header > 0 && row.line() == header) {
      head(row);
      return;
    }
    if (row.kind() == SourceRow.Kind.SHEET) {
      columns = List.of();
      headed = false;
      heading = "";
      block(filled.getFirst());
      return;
    }
    Matcher label = LABEL.matcher(row.cell(0));
    if (COMMENT.matcher(filled.getFirst()).matches() && !filled.getFirst().matches("#\\s?\\d.*")) {
      remark(row);
    } else if (label.matches() && KINDS.contains(Words.normal(label.group(1)))) {
      block(label.group(2));
      remark(row);
    } else if (label.matches() && HEADS.contains(Words.normal(label.group(1)))) {
      head(withoutLabel(row, label.group(2)));
    } else if (Columns.header(row)) {
      head(row);
    } else if (headed && Columns.units(row)) {
      columns = Columns.withUnits(columns, row);
    } else if (filled.size() == 1 && columns.size() > 1 && title(filled.getFirst())) {
      block(filled.getFirst());
      remark(row);
    } else if (filled.stream().anyMatch(cell -> TOTALS.contains(Words.normal(cell)))) {
      remark(row);
    } else {
      data(row);
    }
  }

  private void tooLong(SourceRow row) {
    int longest = row.filled().stream().mapToInt(String::length).max().orElse(0);
    Finding finding =
        Finding.hold(
            "cell-too-long",
            "a cell has %d characters: is a quotation mark missing?".formatted(longest),
            RawItem.CODE);
    read.add(new RawItem(row.line(), new TreeMap<>(), List.of(finding)));
  }

  /** Text alone in its row is a title, unless it is what the table consists of. */
  private boolean title(String text) {
    boolean own =
        columns.stream().allMatch(role -> role.header().isBlank())
            && (Designations.is(text) || HolderName.read(text).isPresent());
    return !own;
  }

  private void block(String text) {
    ClassWords.find(text)
        .ifPresent(named -> {
          heading = named.toolClass();
          kindBefore = "";
        });
  }

  private static SourceRow withoutLabel(SourceRow row, String first) {
    List<String> cells = new ArrayList<>(row.cells());
    cells.set(0, first);
    return new SourceRow(row.line(), cells);
  }

  private void head(SourceRow row) throws IOException {
    fill(AHEAD);
    List<SourceRow> below = new ArrayList<>();
    for (SourceRow next : ahead) {
      if (next.kind() != SourceRow.Kind.ROW || Columns.header(next)) {
        break;
      }
      if (next.filled().size() > 1) {
        below.add(next);
      }
    }
    adjusted = AdjustedRows.of(chosen.in(Columns.of(row, below)), chosen, facts.decimal());
    columns = adjusted.columns();
    kindBefore = "";
    headed = true;
  }

  private void remark(SourceRow row) {
    SortedMap<String, Cell> cells = new TreeMap<>();
    cells.put(RawItem.NOTE, Cell.of(String.join(" | ", row.filled())));
    read.add(new RawItem(row.line(), ItemKind.REMARK, cells, List.of()));
  }

  private void data(SourceRow written) {
    SourceRow row = adjusted.of(written);
    String kind = cell(row, Meaning.KIND);
    boolean coded = !has(Meaning.CODE) || !cell(row, Meaning.CODE).isEmpty();
    RowReading.Read found =
        RowReading.read(columns, facts, row, coded ? heading : "", coded ? kindBefore : "");
    if (!found.tool()) {
      remark(row);
      return;
    }
    if (!kind.isEmpty()) {
      kindBefore = kind;
    }
    SortedMap<String, Cell> cells = new TreeMap<>(found.cells());
    List<Finding> findings = new ArrayList<>(found.findings());
    adjusted.findings(written).forEach(findings::add);
    formulas(written).ifPresent(findings::add);
    chosen.constants().forEach((column, text) -> cells.putIfAbsent(column, constant(column, text)));
    if (!cells.containsKey(RawItem.CODE) && tool(cells)) {
      propose(row, found, cells, findings);
    }
    cells.put(RowItems.KIND, Cell.of(found.kind().word()));
    read.addAll(items.of(row.line(), cells, findings));
  }

  private static Cell constant(String column, String text) {
    return new Cell(text, Column.of(column).unit(), false);
  }

  /** What a spreadsheet worked out is taken as it is, and said. */
  private static Optional<Finding> formulas(SourceRow row) {
    if (row.formulas().isEmpty()) {
      return Optional.empty();
    }
    int count = row.formulas().size();
    return Optional.of(
        Finding.note(
            "formula-value-taken",
            "%s: %s taken"
                .formatted(
                    count == 1
                        ? "a cell is a formula of the spreadsheet"
                        : count + " cells are formulas of the spreadsheet",
                    count == 1 ? "its value is" : "their values are")));
  }

  private String cell(SourceRow row, Meaning meaning) {
    for (int i = 0; i < columns.size(); i++) {
      if (columns.get(i).meaning() == meaning) {
        return row.cell(i);
      }
    }
    return "";
  }

  private boolean has(Meaning meaning) {
    return columns.stream().anyMatch(role -> role.meaning() == meaning);
  }

  /** True where a row says more than cutting data. */
  private static boolean tool(SortedMap<String, Cell> cells) {
    return cells.keySet().stream()
        .anyMatch(column -> !RowItems.ofCutting(column) && !RawItem.isNote(column));
  }

  private static void propose(
      SourceRow row, RowReading.Read found, SortedMap<String, Cell> cells, List<Finding> findings) {
    String toolClass =
        cells.containsKey(RawItem.CLASS) ? cells.get(RawItem.CLASS).text() : found.kind().word();
    String size =
        List.of("DC", "DCX", "TDZ", "MIID").stream()
            .filter(cells::containsKey)
            .map(symbol -> "-" + cells.get(symbol).text())
            .findFirst()
            .orElse("");
    String code =
        (toolClass + size + "-" + row.line())
            .toUpperCase(Locale.ROOT)
            .replaceAll("[^A-Z0-9.]+", "-");
    cells.put(RawItem.CODE, Cell.of(code));
    findings.add(
        Finding.query(
            "code-proposed",
            "no column of the list is a code: %s is proposed".formatted(code),
            RawItem.CODE));
  }

  @Override
  public void close() throws IOException {
    rows.close();
  }
}
