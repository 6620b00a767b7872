package arborline.core.exchange;

import arborline.core.finding.Finding;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.TreeMap;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;

/** Reads one object of our JSON, with the cutting data and stacks inside it. */
final class JsonItem {

  private final JsonParser json;
  private final long line;
  private final TreeMap<String, Cell> cells = new TreeMap<>();
  private final List<String> parts = new ArrayList<>(0);
  private final List<String> attachments = new ArrayList<>(0);
  private final List<Finding> findings = new ArrayList<>(0);
  private final List<JsonItem> belonging = new ArrayList<>(0);
  private ItemKind kind;

  /** Prepares for the object that the parser stands on. */
  JsonItem(JsonParser json, ItemKind kind) {
    this.json = json;
    this.kind = kind;
    this.line = json.currentTokenLocation().getLineNr();
  }

  /** The item, then what belongs to it. */
  List<RawItem> read() {
    members();
    RawItem item = item("");
    List<RawItem> items = new ArrayList<>(1 + belonging.size());
    items.add(item);
    belonging.forEach(other -> items.add(other.item(item.key())));
    return items;
  }

  private RawItem item(String owner) {
    return new RawItem(line, kind, owner, cells, parts, findings);
  }

  private void members() {
    while (json.nextToken() == JsonToken.PROPERTY_NAME) {
      String name = json.currentName();
      JsonToken token = json.nextToken();
      if (token.isScalarValue()) {
        if (token != JsonToken.VALUE_NULL) {
          text(name, json.getString());
        }
      } else if (token == JsonToken.START_OBJECT) {
        object(name);
      } else {
        list(name);
      }
    }
  }

  private void text(String name, String text) {
    if (name.equals("kind")) {
      kind = ItemKind.named(text).filter(ItemKind::standsAlone).orElse(kind);
    } else {
      cells.put(name.toUpperCase(Locale.ROOT), Cell.of(text));
    }
  }

  private void object(String name) {
    switch (name) {
      case "values" -> CellsJson.readInto(json, cells, findings);
      case JsonSink.NOTES -> notes();
      default -> json.skipChildren();
    }
  }

  private void notes() {
    while (json.nextToken() == JsonToken.PROPERTY_NAME) {
      String heading = json.currentName();
      JsonToken token = json.nextToken();
      if (token.isScalarValue() && token != JsonToken.VALUE_NULL) {
        cells.put(RawItem.note(heading), Cell.of(json.getString()));
      }
      json.skipChildren();
    }
  }

  private void list(String name) {
    while (json.nextToken() != JsonToken.END_ARRAY) {
      JsonToken token = json.currentToken();
      if (token == JsonToken.START_OBJECT && name.equals(JsonSink.CUTTING)) {
        belonging(ItemKind.CUTTING);
      } else if (token == JsonToken.START_OBJECT && name.equals(JsonSink.STACKS)) {
        belonging(ItemKind.STACK);
      } else if (token == JsonToken.VALUE_STRING && name.equals(JsonSink.PARTS)) {
        parts.add(json.getString());
      } else if (token == JsonToken.VALUE_STRING && name.equals(JsonSink.ATTACHMENTS)) {
        attachments.add(json.getString());
      } else {
        json.skipChildren();
      }
    }
    if (!attachments.isEmpty()) {
      cells.put(RawItem.ATTACHMENT, Cell.of(PathList.text(attachments)));
    }
  }

  private void belonging(ItemKind other) {
    JsonItem item = new JsonItem(json, other);
    item.members();
    belonging.add(item);
  }
}
