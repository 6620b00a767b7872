package arborline.core.exchange;

import arborline.core.tool.Completed;
import arborline.core.tool.Tool;
import arborline.core.tool.Value;
import com.google.auto.service.AutoService;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.util.TreeMap;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.json.JsonFactory;

/** Our documented JSON; its published schema is {@code arbor-line-tools.schema.json}. */
@AutoService(ToolFormat.class)
public final class JsonFormat implements ToolFormat {

  static final JsonFactory JSON = JsonFactory.builder().build();
  static final String FORMAT = "arbor-line-tools";
  static final int VERSION = 1;

  @Override
  public String id() {
    return "json";
  }

  @Override
  public String mediaType() {
    return "application/json";
  }

  @Override
  public boolean recognises(byte[] head) {
    return TextHead.sniff(head).decode(head).stripLeading().startsWith("{");
  }

  @Override
  public RawToolSource open(InputStream file, byte[] head, TableReading reading)
      throws IOException {
    return new JsonSource(file);
  }

  /** Everything is carried; only a conversion of units can round. */
  @Override
  public void losses(LibraryTool tool, WriteOptions options, LossReport report) {
    Restated.losses(tool.tool(), options, report);
  }

  @Override
  public ToolSink create(OutputStream file, WriteOptions options) {
    return new Sink(
        JSON.createGenerator(tools.jackson.core.ObjectWriteContext.empty(), file), options);
  }

  private static final class Sink implements ToolSink {
    private final JsonGenerator json;
    private final WriteOptions options;

    Sink(JsonGenerator json, WriteOptions options) {
      this.json = json;
      this.options = options;
      json.writeStartObject();
      json.writeStringProperty("format", FORMAT);
      json.writeNumberProperty("version", VERSION);
      json.writeStringProperty("library", options.title());
      json.writeArrayPropertyStart("tools");
    }

    @Override
    public void write(LibraryTool written) {
      Tool tool = written.tool();
      json.writeStartObject();
      json.writeStringProperty("code", tool.code());
      json.writeStringProperty("name", tool.name());
      json.writeStringProperty("class", tool.toolClass());
      written.number().ifPresent(number -> json.writeNumberProperty("number", number));
      json.writeName("values");
      TreeMap<String, Cell> cells = new TreeMap<>();
      tool.values().forEach((symbol, value) -> cells.put(symbol, stated(value)));
      CellsJson.write(json, cells);
      implied(tool);
      json.writeEndObject();
      json.writeRaw("\n");
    }

    /** What follows from the values, for readers that do not know our classes. */
    private void implied(Tool tool) {
      Completed completed = Completed.of(tool);
      if (!completed.origins().isEmpty()) {
        json.writeName("implied");
        TreeMap<String, Cell> cells = new TreeMap<>();
        completed
            .origins()
            .keySet()
            .forEach(symbol -> cells.put(symbol, stated(completed.tool().values().get(symbol))));
        CellsJson.write(json, cells);
      }
    }

    private Cell stated(Value value) {
      return switch (value) {
        case Value.Word word -> Cell.of(word);
        case Value.Measure measure ->
            Cell.of(
                new Value.Measure(
                    Restated.of(measure.quantity(), options.unit()), measure.defaulted()));
      };
    }

    @Override
    public void close() {
      json.writeEndArray();
      json.writeEndObject();
      json.close();
    }
  }
}
