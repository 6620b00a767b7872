package arborline.core.exchange;

import arborline.core.tool.Completed;
import arborline.core.tool.Tool;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import tools.jackson.core.JsonGenerator;

/** Writes our JSON: texts as members of an item, numbers and words of properties as values. */
final class JsonSink implements BundleSink {

  static final String TOOLS = "tools";
  static final String PARTS = "parts";
  static final String NOTES = "notes";
  static final String CUTTING = "cutting";
  static final String STACKS = "stacks";
  static final String ATTACHMENTS = "attachments";

  /** Columns that are texts of an item; the rest are its values. */
  static final Set<String> TEXTS =
      Set.of(
          RawItem.CODE,
          RawItem.NAME,
          RawItem.CLASS,
          RawItem.SECTION,
          CuttingReading.MATERIAL,
          CuttingReading.PURPOSE,
          CuttingReading.COOLANT,
          CuttingReading.ORIGIN,
          CuttingReading.AUTHOR,
          CuttingReading.AT,
          CuttingReading.MACHINE,
          StackReading.SEAT);

  private final JsonGenerator json;
  private final WriteOptions options;
  private boolean inTools;

  JsonSink(JsonGenerator json, WriteOptions options) {
    this.json = json;
    this.options = options;
    json.writeStartObject();
    json.writeStringProperty("format", JsonFormat.FORMAT);
    json.writeNumberProperty("version", JsonFormat.VERSION);
    json.writeStringProperty("library", options.title());
    json.writeArrayPropertyStart(PARTS);
  }

  @Override
  public void part(BundlePart part) {
    RawItem item = part.item();
    json.writeStartObject();
    json.writeStringProperty("kind", item.kind().word());
    members(item);
    json.writeEndObject();
    json.writeRaw("\n");
  }

  @Override
  public void write(Bundle bundle) {
    toTools();
    List<RawItem> items = bundle.items();
    json.writeStartObject();
    members(items.getFirst());
    implied(bundle.tool());
    notes(bundle.tool());
    belonging(CUTTING, items, ItemKind.CUTTING);
    belonging(STACKS, items, ItemKind.STACK);
    json.writeEndObject();
    json.writeRaw("\n");
  }

  private void toTools() {
    if (!inTools) {
      json.writeEndArray();
      json.writeArrayPropertyStart(TOOLS);
      inTools = true;
    }
  }

  private void belonging(String name, List<RawItem> items, ItemKind kind) {
    List<RawItem> some = items.stream().filter(item -> item.kind() == kind).toList();
    if (!some.isEmpty()) {
      json.writeArrayPropertyStart(name);
      some.forEach(item -> {
        json.writeStartObject();
        members(item);
        json.writeEndObject();
      });
      json.writeEndArray();
    }
  }

  private void members(RawItem item) {
    SortedMap<String, Cell> values = new TreeMap<>();
    item.cells()
        .forEach((symbol, cell) -> {
          if (symbol.equals(RawItem.NUMBER)) {
            json.writeNumberProperty("number", Integer.parseInt(cell.text()));
          } else if (TEXTS.contains(symbol)) {
            json.writeStringProperty(symbol.toLowerCase(Locale.ROOT), cell.text());
          } else if (symbol.equals(RawItem.ATTACHMENT)) {
            texts(ATTACHMENTS, PathList.read(cell.text()));
          } else if (!RawItem.isNote(symbol)) {
            values.put(symbol, Restated.of(cell, options.unit()));
          }
        });
    json.writeName("values");
    CellsJson.write(json, values);
    if (!item.parts().isEmpty()) {
      texts(PARTS, item.parts());
    }
  }

  private void texts(String name, List<String> texts) {
    json.writeArrayPropertyStart(name);
    texts.forEach(json::writeString);
    json.writeEndArray();
  }

  private void notes(Tool tool) {
    if (!tool.notes().isEmpty()) {
      json.writeObjectPropertyStart(NOTES);
      tool.notes().forEach(json::writeStringProperty);
      json.writeEndObject();
    }
  }

  /** What follows from the values, for readers that do not know our classes. */
  private void implied(Tool tool) {
    Completed completed = Completed.of(tool);
    if (!completed.origins().isEmpty()) {
      Map<String, Cell> cells = new TreeMap<>();
      completed
          .origins()
          .keySet()
          .forEach(symbol ->
              cells.put(
                  symbol,
                  Restated.of(Cell.of(completed.tool().values().get(symbol)), options.unit())));
      json.writeName("implied");
      CellsJson.write(json, cells);
    }
  }

  @Override
  public void close() {
    toTools();
    json.writeEndArray();
    json.writeEndObject();
    json.close();
  }
}
