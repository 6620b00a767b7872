package arborline.core.exchange;

import arborline.core.finding.Finding;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.Optional;
import java.util.TreeMap;
import tools.jackson.core.JacksonException;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;

/** Reads our JSON tool by tool. */
final class JsonSource implements ItemSource {

  private final JsonParser json;
  private final Deque<RawItem> read = new ArrayDeque<>();
  private boolean ours;
  private boolean inParts;
  private boolean anyTools;
  private boolean ended;

  JsonSource(InputStream file) throws IOException {
    json = JsonFile.open(file);
    try {
      expect(json.nextToken() == JsonToken.START_OBJECT, "the file is not a JSON object");
      ended = !toList();
    } catch (JacksonException broken) {
      throw JsonFile.unreadable(broken);
    }
  }

  /** Goes on to the next list of parts or tools; false at the end of the file. */
  private boolean toList() throws IOException {
    while (json.nextToken() == JsonToken.PROPERTY_NAME) {
      String name = json.currentName();
      JsonToken value = json.nextToken();
      switch (name) {
        case "format" -> ours = JsonFormat.FORMAT.equals(json.getValueAsString());
        case "version" -> version(value);
        case JsonSink.TOOLS, JsonSink.PARTS -> {
          expect(ours, "\"format\" must come first and be \"" + JsonFormat.FORMAT + "\"");
          expect(value == JsonToken.START_ARRAY, "\"%s\" is not a list".formatted(name));
          inParts = name.equals(JsonSink.PARTS);
          anyTools |= !inParts;
          return true;
        }
        default -> json.skipChildren();
      }
    }
    expect(anyTools, "there is no list \"tools\"");
    return false;
  }

  private void version(JsonToken value) throws IOException {
    boolean newer =
        value == JsonToken.VALUE_NUMBER_INT
            && (json.getNumberType() != JsonParser.NumberType.INT
                || json.getIntValue() > JsonFormat.VERSION);
    expect(
        !newer,
        "the file says version %s, and this program reads up to %d"
            .formatted(json.getString(), JsonFormat.VERSION));
  }

  @Override
  public Optional<RawItem> next() throws IOException {
    try {
      while (read.isEmpty() && !ended) {
        step();
      }
      return Optional.ofNullable(read.poll());
    } catch (JacksonException broken) {
      throw JsonFile.unreadable(broken);
    }
  }

  private void step() throws IOException {
    JsonToken token = json.nextToken();
    if (token == JsonToken.START_OBJECT) {
      item();
    } else if (token == JsonToken.END_ARRAY) {
      if (!toList()) {
        toEnd();
      }
    } else if (token == null) {
      ended = true;
    } else {
      read.add(noTool(token));
    }
  }

  /** Reads on behind the object, so that a file that is cut off there is said to be. */
  private void toEnd() {
    ended = true;
    while (json.nextToken() != null) {
      json.skipChildren();
    }
  }

  private RawItem noTool(JsonToken token) {
    long line = json.currentTokenLocation().getLineNr();
    String what = token.isScalarValue() ? json.getString() : "a list";
    json.skipChildren();
    return new RawItem(
        line,
        new TreeMap<>(),
        List.of(Finding.hold("not-a-tool", "%s stands where a tool should be".formatted(what))));
  }

  private void item() {
    JsonItem item = new JsonItem(json, inParts ? ItemKind.HOLDER : ItemKind.CUTTER);
    read.addAll(item.read());
  }

  private void expect(boolean holds, String otherwise) throws IOException {
    if (!holds) {
      throw new UnreadableFileException(
          "line %d: %s; expected is our JSON tool format"
              .formatted(json.currentLocation().getLineNr(), otherwise));
    }
  }

  @Override
  public void close() {
    json.close();
  }
}
