package arborline.core.recipe;

import arborline.core.exchange.JsonFile;
import arborline.core.exchange.UnreadableFileException;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import tools.jackson.core.JacksonException;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;

/**
 * Records of a JSON list, however deep they stand: an object that holds no list of further records.
 * Objects inside a record are its fields; a list of speeds and feeds inside it is its cutting data.
 */
final class JsonRecords implements RecordRows.Records {

  private final JsonParser json;
  private final Deque<Level> levels = new ArrayDeque<>();
  private final Deque<ListRecord> ready = new ArrayDeque<>();
  private boolean ended;
  private boolean any;

  JsonRecords(InputStream file) throws UnreadableFileException {
    json = JsonFile.open(file);
  }

  /** An object that is open. */
  private static final class Level {
    private final String name;
    private final boolean inList;
    private final ListRecord record;
    private boolean container;

    Level(String name, boolean inList, long line) {
      this.name = name;
      this.inList = inList;
      this.record = new ListRecord(line);
    }
  }

  private String listName = "";
  private final Deque<String> lists = new ArrayDeque<>();

  @Override
  public Optional<ListRecord> next() throws IOException {
    try {
      while (ready.isEmpty() && !ended) {
        step();
      }
    } catch (JacksonException broken) {
      throw JsonFile.unreadable(broken);
    }
    if (ready.isEmpty() && !any) {
      throw new UnreadableFileException(
          "line 1: no list of tools is found in this JSON: objects with fields such as diameter");
    }
    any = true;
    return Optional.ofNullable(ready.poll());
  }

  private void step() {
    JsonToken token = json.nextToken();
    if (token == null) {
      ended = true;
      return;
    }
    switch (token) {
      case START_OBJECT -> {
        String name = json.currentName() == null ? listName : json.currentName();
        levels.push(
            new Level(name, json.currentName() == null, json.currentTokenLocation().getLineNr()));
      }
      case END_OBJECT -> end(levels.pop());
      case START_ARRAY -> {
        lists.push(listName);
        listName = json.currentName() == null ? listName : json.currentName();
      }
      case END_ARRAY -> listName = lists.pop();
      default -> {
        if (token.isScalarValue() && token != JsonToken.VALUE_NULL && !levels.isEmpty()) {
          String name = json.currentName() == null ? listName : json.currentName();
          levels.peek().record.put("", name, json.getString());
        }
      }
    }
  }

  private void end(Level level) {
    Level outer = levels.peek();
    if (level.container) {
      if (outer != null) {
        outer.container = true;
      }
      return;
    }
    if (outer != null && level.inList && level.record.onlyCutting()) {
      outer.record.cutting().add(level.record);
    } else if (outer != null && !level.inList) {
      level.record.fields().forEach((name, value) -> outer.record.put(level.name, name, value));
      outer.record.cutting().addAll(level.record.cutting());
    } else if (level.record.speaksOfTools()) {
      emit(level);
    }
  }

  private void emit(Level level) {
    for (Level outer : levels) {
      outer.container = true;
      Map<String, String> said = new LinkedHashMap<>(outer.record.fields());
      level.record.inherit(outer.name, said);
    }
    ready.add(level.record);
  }

  @Override
  public void close() {
    json.close();
  }
}
