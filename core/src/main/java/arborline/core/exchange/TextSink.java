package arborline.core.exchange;

import arborline.core.property.Dictionary;
import arborline.core.property.Property;
import arborline.core.quantity.Unit;
import arborline.core.tool.ToolClasses;
import java.io.BufferedWriter;
import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;

/** Writes our text: columns are named again where an item needs one more. */
final class TextSink implements BundleSink {

  private static final List<String> FIRST =
      List.of(
          RawItem.CODE,
          RawItem.NAME,
          RawItem.CLASS,
          RawItem.NUMBER,
          RawItem.SECTION,
          RawItem.ATTACHMENT);

  private final Writer text;
  private final WriteOptions options;
  private final Map<String, List<WrittenColumn>> declared = new HashMap<>();

  TextSink(OutputStream file, WriteOptions options) throws IOException {
    this.text = new BufferedWriter(new OutputStreamWriter(file, StandardCharsets.UTF_8));
    this.options = options;
    line(
        List.of(
            "%s %d".formatted(TextFormat.MARK, TextFormat.VERSION),
            TextCell.escaped(options.title())));
  }

  private void line(List<String> cells) throws IOException {
    text.write(TextCell.line(cells));
    text.write('\n');
  }

  @Override
  public void part(BundlePart part) throws IOException {
    item(part.item());
  }

  @Override
  public void write(Bundle bundle) throws IOException {
    for (RawItem item : bundle.items()) {
      item(item);
    }
  }

  private void item(RawItem item) throws IOException {
    SortedMap<String, Cell> cells = new TreeMap<>();
    item.cells().forEach((column, cell) -> cells.put(column, Restated.of(cell, options.unit())));
    if (!item.owner().isEmpty()) {
      cells.put(RawItem.CODE, Cell.of(item.owner()));
    }
    if (!item.parts().isEmpty()) {
      cells.put(RowItems.PARTS, Cell.of(PartList.text(item.parts())));
    }
    String kind = kind(item);
    if (kind.equals(item.text(RawItem.CLASS))) {
      cells.remove(RawItem.CLASS);
    }
    cells.values().removeIf(Cell::blank);
    List<WrittenColumn> columns = columns(kind, cells);
    List<String> row = new ArrayList<>();
    row.add(kind);
    columns.forEach(column -> row.add(TextCell.of(cells.get(column.symbol()), column.unit())));
    while (row.size() > 1 && row.getLast().isEmpty()) {
      row.removeLast();
    }
    line(row);
  }

  /** The class of a tool, the kind of everything else. */
  private static String kind(RawItem item) {
    String toolClass = item.text(RawItem.CLASS);
    boolean tool = item.kind() == ItemKind.CUTTER || item.kind() == ItemKind.INSERT;
    return tool && ToolClasses.named(toolClass).isPresent() ? toolClass : item.kind().word();
  }

  private List<WrittenColumn> columns(String kind, SortedMap<String, Cell> cells)
      throws IOException {
    List<WrittenColumn> before = declared.getOrDefault(kind, List.of());
    List<String> known = before.stream().map(WrittenColumn::symbol).toList();
    if (!before.isEmpty() && known.containsAll(cells.keySet())) {
      return before;
    }
    List<WrittenColumn> columns = new ArrayList<>(before);
    FIRST.stream()
        .filter(symbol -> cells.containsKey(symbol) && !known.contains(symbol))
        .forEach(symbol -> columns.add(new WrittenColumn(symbol, Optional.empty())));
    cells.forEach((symbol, cell) -> {
      if (!known.contains(symbol) && !FIRST.contains(symbol)) {
        columns.add(column(symbol, cell));
      }
    });
    declared.put(kind, columns);
    List<String> head = new ArrayList<>();
    head.add("%s %s".formatted(TextFormat.COLUMNS, kind));
    columns.forEach(column -> head.add(TextCell.escaped(column.header())));
    line(head);
    return columns;
  }

  /** The unit is the one of the first cell. */
  private static WrittenColumn column(String symbol, Cell cell) {
    Optional<Unit> usual = Dictionary.standard().find(symbol).flatMap(Property::unit);
    return new WrittenColumn(symbol, cell.unit().or(() -> usual).filter(unit -> unit != Unit.ONE));
  }

  @Override
  public void close() throws IOException {
    text.close();
  }
}
