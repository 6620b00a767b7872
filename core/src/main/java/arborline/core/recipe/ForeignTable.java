package arborline.core.recipe;

import arborline.core.exchange.ItemReader;
import arborline.core.exchange.ItemSource;
import arborline.core.exchange.TableReading;
import arborline.core.exchange.TextHead;
import com.google.auto.service.AutoService;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.TreeMap;

/**
 * Text tables of any make: parted by a sign or of fixed width, with titles, totals, units under the
 * header, blocks with headers of their own. What their columns mean follows from words and sizes.
 */
@AutoService(ItemReader.class)
public final class ForeignTable implements ItemReader {

  /** From this share of own symbols on a header is one of our own files. */
  private static final double OWN = 0.5;

  /** So much of a file tells whether its header is one of ours. */
  private static final int BEGINNING = 16 * 1024;

  /** Above the header there are not more lines than this. */
  private static final int MOST_TITLES = 10;

  @Override
  public String id() {
    return "table";
  }

  @Override
  public boolean recognises(byte[] head) {
    String sample = TextHead.sniff(head).decode(head);
    String start = sample.stripLeading();
    boolean other =
        start.startsWith("{")
            || JsonList.array(start)
            || start.startsWith("<")
            || start.startsWith("PK\u0003\u0004");
    return !other && !start.isEmpty() && !own(sample);
  }

  /** Our own files head every column with a symbol, or nearly so. */
  private static boolean own(String sample) {
    String start = sample.length() > BEGINNING ? sample.substring(0, BEGINNING) : sample;
    TextShape shape = TextShape.propose(start);
    List<SourceRow> rows = shape.rows(start);
    List<String> header = rows.isEmpty() ? List.of() : rows.getFirst().filled();
    long symbols = header.stream().filter(OwnHeaders::is).count();
    return header.isEmpty() || symbols >= OWN * header.size() || sample.lines().count() < 2;
  }

  /**
   * What the head of a file says of all of it.
   *
   * @param header line of the header; 0 where there is none
   */
  private record Proposal(
      TextShape shape,
      long header,
      List<ColumnRole> columns,
      List<SourceRow> below,
      TableFacts facts) {}

  private static Proposal proposal(String sample, TextShape shape) {
    List<SourceRow> rows = shape.rows(sample);
    int header = 0;
    while (header < rows.size() && !Columns.header(rows.get(header))) {
      header++;
    }
    if (header == rows.size()) {
      header = unknownWords(rows);
    }
    boolean headed = header < rows.size();
    List<SourceRow> below = new ArrayList<>(rows.subList(headed ? header + 1 : 0, rows.size()));
    below.removeIf(row -> row.filled().size() < 2);
    List<String> titles = new ArrayList<>();
    rows.subList(0, headed ? header : rows.size()).stream()
        .filter(row -> headed || row.filled().size() == 1)
        .forEach(row -> titles.addAll(row.filled()));
    List<ColumnRole> columns = headed ? Columns.of(rows.get(header), below) : bare(below);
    return new Proposal(
        shape,
        headed ? rows.get(header).line() : 0,
        columns,
        below,
        TableFacts.of(titles, columns, below));
  }

  @Override
  public TableReading propose(byte[] head) {
    TextHead text = TextHead.sniff(head);
    Proposal proposal = proposal(text.decode(head), TextShape.propose(text.decode(head)));
    TableFacts facts = proposal.facts();
    return new TableReading(
        text.charset(),
        text.evidence(),
        proposal.shape().delimiter(),
        proposal.shape().evidence(),
        facts.decimal(),
        facts.decimalEvidence(),
        Optional.of(facts.unit()),
        facts.unitEvidence(),
        ShownColumns.of(proposal.columns(), proposal.below(), facts),
        new TreeMap<>());
  }

  @Override
  public ItemSource open(InputStream file, byte[] head, TableReading reading) throws IOException {
    TextHead sniffed = TextHead.sniff(head);
    TextHead.requireText(head);
    String sample = new TextHead(reading.charset(), markLength(sniffed, reading), "").decode(head);
    TextShape shape =
        TableReading.decided(reading.delimiterEvidence())
            ? TextShape.parted(reading.delimiter())
            : TextShape.propose(sample);
    Proposal proposal = proposal(sample, shape);
    TableFacts facts = proposal.facts().decided(reading);
    return new ForeignSource(
        TextTable.open(file, sniffed, reading, shape),
        facts,
        proposal.header() > 0 ? List.of() : proposal.columns(),
        ChosenColumns.of(reading),
        proposal.header());
  }

  /** The first row of words above numbers; the number of rows where there is none. */
  private static int unknownWords(List<SourceRow> rows) {
    int most = Math.min(rows.size(), MOST_TITLES);
    for (int i = 0; i < most; i++) {
      if (Columns.headsNumbers(rows.get(i), rows.subList(i + 1, rows.size()))) {
        return i;
      }
    }
    return rows.size();
  }

  private static int markLength(TextHead sniffed, TableReading reading) {
    return sniffed.charset().equals(reading.charset()) ? sniffed.markLength() : 0;
  }

  /** Columns of a table without a header: what the cells are says what they mean. */
  private static List<ColumnRole> bare(List<SourceRow> rows) {
    int width = rows.stream().mapToInt(row -> row.cells().size()).max().orElse(0);
    List<ColumnRole> columns = new ArrayList<>();
    boolean coded = false;
    for (int i = 0; i < width; i++) {
      int column = i;
      long designations =
          rows.stream()
              .map(row -> row.cell(column))
              .filter(cell -> Designations.is(cell) || HolderName.read(cell).isPresent())
              .count();
      boolean code = !coded && designations * 2 > rows.size();
      coded |= code;
      columns.add(
          new ColumnRole(
              "",
              code ? Meaning.CODE : Meaning.NOTE,
              Optional.empty(),
              Optional.empty(),
              code ? "its cells are designations" : "it has no header"));
    }
    return columns;
  }
}
