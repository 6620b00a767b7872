package arborline.core.exchange;

import arborline.core.finding.Finding;
import arborline.core.property.Dictionary;
import arborline.core.property.Property;
import arborline.core.tool.ToolClasses;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.Reader;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;

/** Reads our text line by line. */
final class TextSource implements ItemSource {

  private static final int MOST_COLUMNS = 2000;

  private final BoundedLines lines;
  private final Map<String, List<Column>> declared = new HashMap<>();
  private final RowItems rows = new RowItems();
  private final Deque<RawItem> read = new ArrayDeque<>();

  TextSource(InputStream file, TextHead head) throws IOException {
    file.skipNBytes(head.markLength());
    this.lines = new BoundedLines(new InputStreamReader(file, head.charset()));
    begin();
  }

  private void begin() throws IOException {
    version(lines.next().orElse(""));
  }

  TextSource(Reader text) throws IOException {
    this.lines = new BoundedLines(text);
    begin();
  }

  private static void version(String first) throws IOException {
    String mark = TextCell.parted(first).getFirst();
    String stated =
        mark.startsWith(TextFormat.MARK) ? mark.substring(TextFormat.MARK.length()).strip() : "";
    if (!stated.equals(String.valueOf(TextFormat.VERSION))) {
      throw new UnreadableFileException(
          "line 1: this text is of version '%s'; up to %d is read: save it as that version"
              .formatted(stated, TextFormat.VERSION));
    }
  }

  @Override
  public Optional<RawItem> next() throws IOException {
    while (read.isEmpty()) {
      Optional<String> line = lines.next();
      if (line.isEmpty()) {
        return Optional.empty();
      }
      if (!line.get().isBlank()) {
        line(line.get().strip());
      }
    }
    return Optional.of(read.poll());
  }

  private void line(String line) throws IOException {
    List<String> cells = TextCell.parted(line);
    String word = TextCell.unescaped(cells.getFirst());
    if (line.startsWith("#")) {
      remark(line);
    } else if (word.startsWith(TextFormat.COLUMNS + " ")) {
      declare(word.substring(TextFormat.COLUMNS.length()).strip(), cells);
    } else if (declared.containsKey(word.toLowerCase(Locale.ROOT))) {
      item(word.toLowerCase(Locale.ROOT), cells);
    } else {
      undeclared(word);
    }
  }

  private void declare(String kind, List<String> cells) throws IOException {
    if (cells.size() > MOST_COLUMNS) {
      throw new UnreadableFileException(
          "line %d: %d columns are named; %d are possible"
              .formatted(lines.number(), cells.size() - 1, MOST_COLUMNS));
    }
    declared.put(
        kind.toLowerCase(Locale.ROOT),
        cells.stream().skip(1).map(TextCell::unescaped).map(Column::of).toList());
  }

  private void remark(String line) {
    SortedMap<String, Cell> cells = new TreeMap<>();
    cells.put(RawItem.NOTE, Cell.of(line));
    read.add(new RawItem(lines.number(), ItemKind.REMARK, cells, List.of()));
  }

  private void undeclared(String word) {
    String shown = word.length() > 40 ? word.substring(0, 40) + "\u2026" : word;
    read.add(
        new RawItem(
            lines.number(),
            new TreeMap<>(),
            List.of(
                Finding.hold(
                    "kind-undeclared",
                    "no line before this one names the columns of '%s': write 'columns %s | CODE | \u2026'"
                        .formatted(shown, shown)))));
  }

  private void item(String kind, List<String> written) {
    List<Column> columns = declared.get(kind);
    SortedMap<String, Cell> cells = new TreeMap<>();
    List<Finding> findings = new ArrayList<>(0);
    if (written.size() - 1 > columns.size()) {
      findings.add(
          Finding.hold(
              "cell-count",
              "the line has %d cells, %d columns are named: a | in a text is written \\|"
                  .formatted(written.size() - 1, columns.size())));
    }
    for (int i = 1; i < written.size() && i <= columns.size(); i++) {
      Column column = columns.get(i - 1);
      if (!written.get(i).isEmpty() && !column.symbol().isEmpty()) {
        cells.put(column.symbol(), TextCell.read(written.get(i), column.unit(), numeric(column)));
      }
    }
    Optional<ItemKind> known = ItemKind.named(kind);
    cells.put(
        RowItems.KIND,
        Cell.of(
            known.or(() -> Optional.of(ItemKind.ofClass(kind))).map(ItemKind::word).orElseThrow()));
    if (known.isEmpty() || ToolClasses.named(kind).isPresent()) {
      cells.putIfAbsent(RawItem.CLASS, Cell.of(kind));
    }
    read.addAll(rows.of(lines.number(), cells, findings));
  }

  private static boolean numeric(Column column) {
    return column.unit().isPresent()
        || Dictionary.standard().find(column.symbol()).filter(Property::numeric).isPresent();
  }

  @Override
  public void close() throws IOException {
    lines.close();
  }
}
