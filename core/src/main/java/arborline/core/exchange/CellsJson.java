package arborline.core.exchange;

import arborline.core.finding.Finding;
import arborline.core.quantity.Unit;
import java.io.StringWriter;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.core.ObjectReadContext;
import tools.jackson.core.ObjectWriteContext;

/** Cells as JSON: {@code {"DC": {"text": "1/2", "unit": "in"}}}; a plain text stands for itself. */
public final class CellsJson {

  private CellsJson() {}

  public static String toText(Map<String, Cell> cells) {
    StringWriter text = new StringWriter(256);
    try (JsonGenerator json = JsonFormat.JSON.createGenerator(ObjectWriteContext.empty(), text)) {
      write(json, cells);
    }
    return text.toString();
  }

  /** Reads what {@link #toText} wrote. */
  public static SortedMap<String, Cell> fromText(String text) {
    TreeMap<String, Cell> cells = new TreeMap<>();
    try (JsonParser json = JsonFormat.JSON.createParser(ObjectReadContext.empty(), text)) {
      json.nextToken();
      readInto(json, cells, new java.util.ArrayList<>(0));
    }
    return cells;
  }

  static void write(JsonGenerator json, Map<String, Cell> cells) {
    json.writeStartObject();
    cells.forEach((symbol, cell) -> {
      json.writeObjectPropertyStart(symbol);
      json.writeStringProperty("text", cell.text());
      cell.unit()
          .filter(unit -> unit != Unit.ONE)
          .ifPresent(unit -> json.writeStringProperty("unit", unit.code()));
      cell.formula().ifPresent(formula -> json.writeStringProperty("formula", formula));
      if (cell.defaulted()) {
        json.writeBooleanProperty("defaulted", true);
      }
      json.writeEndObject();
    });
    json.writeEndObject();
  }

  /** Reads the object that the parser stands on. */
  static void readInto(JsonParser json, Map<String, Cell> cells, List<Finding> findings) {
    while (json.nextToken() == JsonToken.PROPERTY_NAME) {
      String symbol = json.currentName();
      JsonToken token = json.nextToken();
      if (token == JsonToken.START_OBJECT) {
        cells.put(symbol, cell(json, symbol, findings));
      } else if (token.isScalarValue()) {
        if (token != JsonToken.VALUE_NULL) {
          cells.put(symbol, Cell.of(json.getString()));
        }
      } else {
        json.skipChildren();
        findings.add(
            Finding.hold(
                "not-a-value", "%s is a list where a value should be".formatted(symbol), symbol));
      }
    }
  }

  private static Cell cell(JsonParser json, String symbol, List<Finding> findings) {
    String text = "";
    Optional<Unit> unit = Optional.empty();
    boolean defaulted = false;
    Optional<String> formula = Optional.empty();
    while (json.nextToken() == JsonToken.PROPERTY_NAME) {
      String name = json.currentName();
      JsonToken token = json.nextToken();
      boolean stated = token.isScalarValue() && token != JsonToken.VALUE_NULL;
      switch (name) {
        case "text" -> text = stated ? json.getString() : "";
        case "unit" -> unit = stated ? unit(symbol, json.getString(), findings) : Optional.empty();
        case "formula" -> formula = stated ? Optional.of(json.getString()) : Optional.empty();
        case "defaulted" -> defaulted = token == JsonToken.VALUE_TRUE;
        default -> {
          // what later versions add is passed over
        }
      }
      json.skipChildren();
    }
    return new Cell(text, unit, defaulted, formula);
  }

  private static Optional<Unit> unit(String symbol, String name, List<Finding> findings) {
    Optional<Unit> unit = Unit.named(name);
    if (unit.isEmpty()) {
      findings.add(
          Finding.hold("unit-unknown", "%s: '%s' is not a unit".formatted(symbol, name), symbol));
    }
    return unit;
  }
}
