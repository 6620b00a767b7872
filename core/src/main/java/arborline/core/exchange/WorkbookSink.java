package arborline.core.exchange;

import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import de.siegmar.fastcsv.writer.CsvWriter;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.SortedMap;
import java.util.TreeMap;
import org.dhatim.fastexcel.VisibilityState;
import org.dhatim.fastexcel.Workbook;
import org.dhatim.fastexcel.Worksheet;

/**
 * Writes a workbook: a guide, then sheets of parts, tools, cutting data and stacks. What comes
 * beside the tools waits in a file until their sheet is written.
 */
public final class WorkbookSink implements BundleSink {

  /** Names of the sheets. */
  public static final String GUIDE = "Guide";

  public static final String PARTS = "Parts";
  public static final String TOOLS = "Tools";
  public static final String CUTTING = "Cutting data";
  public static final String STACKS = "Stacks";

  /** The hidden sheet of what may be chosen. */
  public static final String LISTS = "Lists";

  private final WriteOptions options;
  private final Workbook workbook;
  private final WrittenSheet parts;
  private final WrittenSheet tools;
  private final WrittenSheet cutting;
  private final WrittenSheet stacks;
  private final ValidationLists lists;
  private final Waiting cuttingWaiting;
  private final Waiting stacksWaiting;

  public WorkbookSink(OutputStream file, WriteOptions options) throws IOException {
    this.options = options;
    this.workbook = new Workbook(file, "Arbor Line", "1.0");
    Worksheet guide = workbook.newWorksheet(GUIDE);
    WorkbookGuide.write(guide, options);
    Worksheet partsSheet = workbook.newWorksheet(PARTS);
    Worksheet toolsSheet = workbook.newWorksheet(TOOLS);
    Worksheet cuttingSheet = workbook.newWorksheet(CUTTING);
    Worksheet stacksSheet = workbook.newWorksheet(STACKS);
    Worksheet listSheet = workbook.newWorksheet(LISTS);
    this.lists = new ValidationLists(listSheet);
    listSheet.setVisibilityState(VisibilityState.HIDDEN);
    this.parts = new WrittenSheet(partsSheet, WrittenColumn.ofParts(options), lists);
    this.tools = new WrittenSheet(toolsSheet, WrittenColumn.ofTools(options), lists);
    this.cutting = new WrittenSheet(cuttingSheet, WrittenColumn.ofCutting(options), lists);
    this.stacks = new WrittenSheet(stacksSheet, WrittenColumn.ofStacks(options), lists);
    this.cuttingWaiting = new Waiting();
    this.stacksWaiting = new Waiting();
    workbook.setActiveTab(2);
    guide.finish();
  }

  /** An item as its row brings it back: without formulas that need more than their row. */
  public static RawItem kept(RawItem item, WriteOptions options) {
    return switch (item.kind()) {
      case CUTTING -> WrittenSheet.kept(item, WrittenColumn.ofCutting(options));
      case STACK -> item;
      default -> WrittenSheet.kept(item, WrittenColumn.ofTools(options));
    };
  }

  @Override
  public void part(BundlePart part) throws IOException {
    parts.row(cells(part.item()));
  }

  @Override
  public void write(Bundle bundle) throws IOException {
    parts.finish();
    for (RawItem item : bundle.items()) {
      switch (item.kind()) {
        case CUTTING -> cuttingWaiting.add(cells(item));
        case STACK -> stacksWaiting.add(cells(item));
        default -> tools.row(cells(item));
      }
    }
  }

  private SortedMap<String, Cell> cells(RawItem item) {
    SortedMap<String, Cell> cells = new TreeMap<>();
    item.cells().forEach((column, cell) -> cells.put(column, Restated.of(cell, options.unit())));
    cells.put(RowItems.KIND, Cell.of(item.kind().word()));
    if (!item.owner().isEmpty()) {
      cells.put(RawItem.CODE, Cell.of(item.owner()));
    }
    if (!item.parts().isEmpty()) {
      cells.put(RowItems.PARTS, Cell.of(PartList.text(item.parts())));
    }
    return cells;
  }

  @Override
  public void close() throws IOException {
    try (cuttingWaiting;
        stacksWaiting) {
      parts.finish();
      tools.finish();
      cuttingWaiting.into(cutting);
      cutting.finish();
      stacksWaiting.into(stacks);
      stacks.finish();
      lists.finish();
      workbook.close();
    }
  }

  /** Rows of a sheet that is written later. */
  private static final class Waiting implements AutoCloseable {
    private final Path file = Files.createTempFile("rows", ".csv");
    private final CsvWriter rows = CsvWriter.builder().build(file);

    Waiting() throws IOException {}

    void add(SortedMap<String, Cell> cells) {
      rows.writeRecord(CellsJson.toText(cells));
    }

    void into(WrittenSheet sheet) throws IOException {
      rows.flush();
      try (CsvReader<CsvRecord> waiting = CsvReader.builder().ofCsvRecord(file)) {
        for (CsvRecord row : waiting) {
          sheet.row(CellsJson.fromText(row.getField(0)));
        }
      }
    }

    @Override
    public void close() throws IOException {
      rows.close();
      Files.deleteIfExists(file);
    }
  }
}
