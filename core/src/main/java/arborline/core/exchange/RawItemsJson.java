package arborline.core.exchange;

import arborline.core.finding.Finding;
import java.io.StringWriter;
import java.util.ArrayList;
import java.util.List;
import java.util.TreeMap;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.core.ObjectReadContext;
import tools.jackson.core.ObjectWriteContext;

/**
 * What belongs to a tool as JSON, for keeping it beside the tool: {@code [{"line": 5, "cells": {},
 * "parts": []}]}. What went wrong while reading it is not kept.
 */
public final class RawItemsJson {

  private RawItemsJson() {}

  public static String toText(List<RawItem> items) {
    StringWriter text = new StringWriter(256);
    try (JsonGenerator json = JsonFormat.JSON.createGenerator(ObjectWriteContext.empty(), text)) {
      json.writeStartArray();
      items.forEach(item -> write(json, item));
      json.writeEndArray();
    }
    return text.toString();
  }

  private static void write(JsonGenerator json, RawItem item) {
    json.writeStartObject();
    json.writeNumberProperty("line", item.line());
    json.writeName("cells");
    CellsJson.write(json, item.cells());
    json.writeArrayPropertyStart("parts");
    item.parts().forEach(json::writeString);
    json.writeEndArray();
    json.writeEndObject();
  }

  /** Reads what {@link #toText} wrote, as items of one kind that belong to one tool. */
  public static List<RawItem> fromText(String text, ItemKind kind, String owner) {
    List<RawItem> items = new ArrayList<>();
    try (JsonParser json = JsonFormat.JSON.createParser(ObjectReadContext.empty(), text)) {
      json.nextToken();
      while (json.nextToken() == JsonToken.START_OBJECT) {
        items.add(item(json, kind, owner));
      }
    }
    return items;
  }

  private static RawItem item(JsonParser json, ItemKind kind, String owner) {
    long line = 0;
    TreeMap<String, Cell> cells = new TreeMap<>();
    List<String> parts = new ArrayList<>(0);
    List<Finding> findings = new ArrayList<>(0);
    while (json.nextToken() == JsonToken.PROPERTY_NAME) {
      String name = json.currentName();
      json.nextToken();
      switch (name) {
        case "line" -> line = json.getLongValue();
        case "cells" -> CellsJson.readInto(json, cells, findings);
        default -> {
          while (json.nextToken() == JsonToken.VALUE_STRING) {
            parts.add(json.getString());
          }
        }
      }
    }
    return new RawItem(line, kind, owner, cells, parts, findings);
  }
}
