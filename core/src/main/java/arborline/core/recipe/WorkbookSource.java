package arborline.core.recipe;

import arborline.core.exchange.Cell;
import arborline.core.exchange.ItemKind;
import arborline.core.exchange.ItemSource;
import arborline.core.exchange.RawItem;
import arborline.core.exchange.TableReading;
import arborline.core.exchange.TextHead;
import arborline.core.exchange.WorkbookSink;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import org.dhatim.fastexcel.reader.Sheet;

/**
 * Items of a workbook. Cutting data and stacks on sheets of their own are given behind their tool
 * as long as both sheets stand in the same order; the rest of them at the end.
 */
final class WorkbookSource implements ItemSource {

  private static final int SAMPLE = 300;

  private final Path file;
  private final Sheets sheets;
  private final List<OwnSheet> belonging = new ArrayList<>();
  private final Deque<ItemSource> sources = new ArrayDeque<>();
  private List<String> hidden = List.of();
  private String owner = "";

  /**
   * Opens a workbook.
   *
   * @param file taken away once it is read
   */
  WorkbookSource(Path file, TableReading reading) throws IOException {
    this.file = file;
    this.sheets = new Sheets(file);
    try {
      open(reading);
    } catch (IOException | RuntimeException failed) {
      sheets.close();
      throw failed;
    }
  }

  private void open(TableReading reading) throws IOException {
    hidden = sheets.hidden().stream().filter(name -> !name.equals(WorkbookSink.LISTS)).toList();
    List<Sheet> foreign = new ArrayList<>();
    for (Sheet sheet : sheets.seen()) {
      Optional<SourceRow> first = Sheets.first(sheet);
      if (first.isEmpty() || OwnSheet.guide(sheet, first.get())) {
        continue;
      }
      if (!OwnSheet.is(first.get())) {
        foreign.add(sheet);
        continue;
      }
      OwnSheet own = new OwnSheet(sheet);
      if (own.belongs()) {
        belonging.add(own);
      } else {
        sources.add(own);
      }
    }
    if (!foreign.isEmpty()) {
      TableFacts facts = proposal(foreign).facts().decided(reading);
      sources.add(
          new ForeignSource(
              new ForeignSheets(foreign), facts, List.of(), ChosenColumns.of(reading)));
    }
  }

  /** What the first foreign sheets say of all of them. */
  private record Proposal(List<ColumnRole> columns, List<SourceRow> below, TableFacts facts) {}

  private static Proposal proposal(List<Sheet> foreign) throws IOException {
    List<SourceRow> rows = new ArrayList<>();
    try (ForeignSheets sheets = new ForeignSheets(foreign)) {
      Optional<SourceRow> next = sheets.next();
      while (next.isPresent() && rows.size() < SAMPLE) {
        rows.add(next.get());
        next = sheets.next();
      }
    }
    int header = 0;
    while (header < rows.size() && !Columns.header(rows.get(header))) {
      header++;
    }
    List<String> titles = new ArrayList<>();
    rows.subList(0, header).forEach(row -> titles.addAll(row.filled()));
    List<SourceRow> below =
        header == rows.size() ? List.of() : rows.subList(header + 1, rows.size());
    List<ColumnRole> columns =
        header == rows.size() ? List.of() : Columns.of(rows.get(header), below);
    return new Proposal(columns, below, TableFacts.of(titles, columns, below).withPoint());
  }

  /** How the foreign sheets of a workbook are read. */
  static TableReading propose(Path file) throws IOException {
    try (Sheets sheets = new Sheets(file)) {
      List<Sheet> foreign = new ArrayList<>();
      for (Sheet sheet : sheets.seen()) {
        Optional<SourceRow> first = Sheets.first(sheet);
        if (first.isPresent() && !OwnSheet.guide(sheet, first.get()) && !OwnSheet.is(first.get())) {
          foreign.add(sheet);
        }
      }
      Proposal proposal = proposal(foreign);
      return ShownColumns.reading(
          new TextHead(StandardCharsets.UTF_8, 0, "texts of a workbook are kept so"),
          proposal.columns(),
          proposal.below(),
          proposal.facts());
    }
  }

  /** Sheets that nobody sees are not read, and said once. */
  private RawItem unseen() {
    SortedMap<String, Cell> cells = new TreeMap<>();
    cells.put(RawItem.NOTE, Cell.of("hidden sheets are not read: " + String.join(", ", hidden)));
    hidden = List.of();
    return new RawItem(1, ItemKind.REMARK, cells, List.of());
  }

  @Override
  public Optional<RawItem> next() throws IOException {
    if (!hidden.isEmpty()) {
      return Optional.of(unseen());
    }
    for (OwnSheet sheet : belonging) {
      Optional<RawItem> beside = sheet.peek();
      if (beside.isPresent() && (owner.equals(beside.get().owner()) || sources.isEmpty())) {
        return sheet.next();
      }
    }
    while (!sources.isEmpty()) {
      Optional<RawItem> item = sources.peek().next();
      if (item.isPresent()) {
        owner = item.get().kind() == ItemKind.REMARK ? owner : item.get().key();
        return item;
      }
      sources.poll().close();
      if (sources.isEmpty()) {
        return next();
      }
    }
    return Optional.empty();
  }

  @Override
  public void close() throws IOException {
    try {
      for (ItemSource source : sources) {
        source.close();
      }
      belonging.forEach(OwnSheet::close);
      sheets.close();
    } finally {
      Files.deleteIfExists(file);
    }
  }
}
