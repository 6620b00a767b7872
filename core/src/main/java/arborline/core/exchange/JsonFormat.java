package arborline.core.exchange;

import arborline.core.quantity.Quantity;
import arborline.core.quantity.Unit;
import arborline.core.tool.Tool;
import arborline.core.tool.Value;
import com.google.auto.service.AutoService;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.util.Map;
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
    public void write(LibraryTool each) {
      Tool tool = each.tool();
      json.writeStartObject();
      json.writeStringProperty("code", tool.code());
      json.writeStringProperty("name", tool.name());
      json.writeStringProperty("class", tool.toolClass());
      each.number().ifPresent(number -> json.writeNumberProperty("number", number));
      json.writeObjectPropertyStart("values");
      tool.values().entrySet().forEach(this::value);
      json.writeEndObject();
      json.writeEndObject();
      json.writeRaw("\n");
    }

    private void value(Map.Entry<String, Value> entry) {
      json.writeObjectPropertyStart(entry.getKey());
      switch (entry.getValue()) {
        case Value.Word word -> json.writeStringProperty("text", word.text());
        case Value.Measure measure -> {
          Quantity stated = Restated.of(measure.quantity(), options.unit());
          json.writeStringProperty("text", stated.text());
          if (stated.unit() != Unit.ONE) {
            json.writeStringProperty("unit", stated.unit().code());
          }
        }
      }
      if (entry.getValue().defaulted()) {
        json.writeBooleanProperty("defaulted", true);
      }
      json.writeEndObject();
    }

    @Override
    public void close() {
      json.writeEndArray();
      json.writeEndObject();
      json.close();
    }
  }
}
