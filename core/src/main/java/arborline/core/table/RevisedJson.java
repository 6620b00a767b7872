package arborline.core.table;

import arborline.core.machine.Machine;
import java.io.IOException;
import java.io.StringWriter;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import tools.jackson.core.JacksonException;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.core.ObjectReadContext;
import tools.jackson.core.ObjectWriteContext;
import tools.jackson.core.json.JsonFactory;
import tools.jackson.core.json.JsonWriteFeature;

/** Reads and writes the documents of {@link RevisedJsonDialect}. */
final class RevisedJson {

  private static final int MOST_TOOLS = 100_000;
  private static final int LONGEST_TEXT = 200;
  private static final JsonFactory JSON =
      JsonFactory.builder().enable(JsonWriteFeature.ESCAPE_NON_ASCII).build();

  private final JsonParser json;
  private final Map<String, TableEntry> places = new HashMap<>();
  private final List<TableEntry> unplaced = new ArrayList<>();
  private Optional<TableEntry> spindle = Optional.empty();
  private String revision = "";
  private String unit = "";
  private boolean tools;

  private RevisedJson(JsonParser json) {
    this.json = json;
  }

  /**
   * Reads a table.
   *
   * @throws IOException where it is none, or not in the unit of the machine
   */
  static ControlTable read(Machine machine, byte[] document) throws IOException {
    try (JsonParser parser = JSON.createParser(ObjectReadContext.empty(), document)) {
      RevisedJson table = new RevisedJson(parser);
      table.table(machine);
      return new ControlTable(
          table.places, table.spindle, table.unplaced, table.revision, List.of());
    } catch (JacksonException broken) {
      throw new IOException(
          "its tool table is no whole JSON: line %d, column %d cannot be read"
              .formatted(broken.getLocation().getLineNr(), broken.getLocation().getColumnNr()),
          broken);
    } catch (NumberFormatException broken) {
      throw new IOException("its tool table has a size that is no number", broken);
    }
  }

  private void table(Machine machine) throws IOException {
    need(json.nextToken() == JsonToken.START_OBJECT, "its tool table is no JSON object");
    while (json.nextToken() == JsonToken.PROPERTY_NAME) {
      String name = json.currentName();
      JsonToken value = json.nextToken();
      switch (name) {
        case "revision" -> revision = json.getString();
        case "unit" -> unit = json.getString();
        case "tools" -> {
          need(value == JsonToken.START_ARRAY, "its tool table has no list of tools");
          tools = true;
          while (json.nextToken() == JsonToken.START_OBJECT) {
            tool(machine);
          }
        }
        default -> json.skipChildren();
      }
    }
    need(json.currentToken() == JsonToken.END_OBJECT, "its tool table ends in the middle");
    need(
        tools && revision.matches("\\d{1,18}"),
        "its tool table has no list of tools, or no revision");
    need(
        unit.equals(machine.habits().lengths().code()),
        "it sends %s, and its definition says %s: correct the one that is wrong"
            .formatted(unit, machine.habits().lengths().code()));
  }

  private void tool(Machine machine) throws IOException {
    Map<TableField, String> fields = new HashMap<>();
    String place = "";
    boolean inSpindle = false;
    while (json.nextToken() == JsonToken.PROPERTY_NAME) {
      String name = json.currentName();
      JsonToken value = json.nextToken();
      if (value == JsonToken.VALUE_NULL) {
        continue;
      }
      switch (name) {
        case "place" -> place = json.getString();
        case "inSpindle" -> inSpindle = value == JsonToken.VALUE_TRUE;
        case "edges" -> edges(fields);
        default -> put(fields, RevisedJsonDialect.TOOL_FIELDS.get(name), 1);
      }
    }
    TableEntry entry = new TableEntry(fields);
    need(places.size() < MOST_TOOLS, "its tool table has more tools than any control's");
    if (inSpindle) {
      need(spindle.isEmpty(), "its tool table has two tools in the spindle");
      spindle = Optional.of(entry);
    } else if (place.isEmpty()) {
      unplaced.add(entry);
    } else {
      need(machine.hasPlace(place), "it has a tool in '%s', which is no place".formatted(place));
      need(places.put(place, entry) == null, "it has two tools in " + place);
    }
  }

  private void edges(Map<TableField, String> fields) throws IOException {
    need(json.currentToken() == JsonToken.START_ARRAY, "its tool table has edges that are no list");
    int edge = 0;
    while (json.nextToken() == JsonToken.START_OBJECT) {
      edge++;
      while (json.nextToken() == JsonToken.PROPERTY_NAME) {
        String name = json.currentName();
        json.nextToken();
        put(fields, RevisedJsonDialect.EDGE_FIELDS.get(name), edge);
      }
    }
  }

  /** A value of a field, where it is one that is compared; anything else is passed over. */
  private void put(Map<TableField, String> fields, TableField field, int edge) throws IOException {
    JsonToken token = json.currentToken();
    if (!token.isScalarValue() || field == null || edge > RevisedJsonDialect.EDGES) {
      json.skipChildren();
    } else if (token != JsonToken.VALUE_NULL) {
      String text = json.getString();
      need(text.length() <= LONGEST_TEXT, "it has a " + field.title() + " of more than 200 signs");
      boolean word = field.form() == TableField.Form.WORD;
      fields.put(field.edge(edge), word ? text : ShownNumber.plain(text, field));
    }
  }

  private static void need(boolean holds, String reason) throws IOException {
    if (!holds) {
      throw new IOException(reason);
    }
  }

  /** What is to be set and cleared, on a revision. */
  static String written(Machine machine, String revision, List<RowWrite> rows) {
    StringWriter text = new StringWriter();
    try (JsonGenerator json = JSON.createGenerator(ObjectWriteContext.empty(), text)) {
      json.writeStartObject();
      json.writeNumberProperty("revision", Long.parseLong(revision.isEmpty() ? "0" : revision));
      json.writeArrayPropertyStart("clear");
      rows.stream()
          .filter(row -> row.target().empty())
          .forEach(row -> json.writeString(row.place()));
      json.writeEndArray();
      json.writeArrayPropertyStart("set");
      rows.stream().filter(row -> !row.target().empty()).forEach(row -> row(json, machine, row));
      json.writeEndArray();
      json.writeEndObject();
    }
    return text.toString().replace("},{\"place\"", "},\n{\"place\"") + "\n";
  }

  private static void row(JsonGenerator json, Machine machine, RowWrite row) {
    TableEntry target = row.target();
    json.writeStartObject();
    json.writeStringProperty("place", row.place());
    new TreeMap<>(RevisedJsonDialect.TOOL_FIELDS)
        .forEach((name, field) -> {
          String text = target.get(field);
          if (text != null) {
            property(
                json, name, field, field == TableField.NAME ? machine.habits().fit(text) : text);
          }
        });
    json.writeArrayPropertyStart("edges");
    for (int edge = 1; edge <= edges(target); edge++) {
      edge(json, target, edge);
    }
    json.writeEndArray();
    json.writeEndObject();
  }

  /** How many edges are written: up to the last one that has anything, and one at least. */
  private static int edges(TableEntry target) {
    return target.fields().keySet().stream().mapToInt(TableField::edge).max().orElse(1);
  }

  private static void edge(JsonGenerator json, TableEntry target, int edge) {
    json.writeStartObject();
    new TreeMap<>(RevisedJsonDialect.EDGE_FIELDS)
        .forEach((name, field) -> {
          String text = target.get(field.edge(edge));
          if (text != null) {
            property(json, name, field, text);
          }
        });
    json.writeEndObject();
  }

  private static void property(JsonGenerator json, String name, TableField field, String text) {
    if (field.form() == TableField.Form.WORD) {
      json.writeStringProperty(name, text);
    } else {
      json.writeName(name);
      json.writeNumber(new BigDecimal(text));
    }
  }
}
