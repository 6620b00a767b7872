package arborline.core.exchange;

import arborline.core.finding.Finding;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.TreeMap;
import tools.jackson.core.JacksonException;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.core.ObjectReadContext;

/** Reads our JSON tool by tool. */
final class JsonSource implements RawToolSource {

  private final JsonParser json;

  JsonSource(InputStream file) throws IOException {
    json = JsonFormat.JSON.createParser(ObjectReadContext.empty(), file);
    try {
      toTools();
    } catch (JacksonException broken) {
      throw unreadable(broken);
    }
  }

  private void toTools() throws IOException {
    expect(json.nextToken() == JsonToken.START_OBJECT, "the file is not a JSON object");
    boolean ours = false;
    while (json.nextToken() == JsonToken.PROPERTY_NAME) {
      String name = json.currentName();
      JsonToken value = json.nextToken();
      switch (name) {
        case "format" -> ours = JsonFormat.FORMAT.equals(json.getValueAsString());
        case "tools" -> {
          expect(ours, "\"format\" must come first and be \"" + JsonFormat.FORMAT + "\"");
          expect(value == JsonToken.START_ARRAY, "\"tools\" is not a list");
          return;
        }
        default -> json.skipChildren();
      }
    }
    expect(false, "there is no list \"tools\"");
  }

  @Override
  public Optional<RawTool> next() throws IOException {
    try {
      JsonToken token = json.nextToken();
      if (token == JsonToken.START_OBJECT) {
        return Optional.of(tool());
      }
      if (token == JsonToken.END_ARRAY) {
        toEnd();
        return Optional.empty();
      }
      return token == null ? Optional.empty() : Optional.of(noTool(token));
    } catch (JacksonException broken) {
      throw unreadable(broken);
    }
  }

  /** Reads on behind the list, so that a file that is cut off there is said to be. */
  private void toEnd() {
    while (json.nextToken() == JsonToken.PROPERTY_NAME) {
      json.nextToken();
      json.skipChildren();
    }
    while (json.nextToken() != null) {
      json.skipChildren();
    }
  }

  private RawTool noTool(JsonToken token) {
    long line = json.currentTokenLocation().getLineNr();
    String what = token.isScalarValue() ? json.getString() : "a list";
    json.skipChildren();
    return new RawTool(
        line,
        new TreeMap<>(),
        List.of(Finding.hold("not-a-tool", "%s stands where a tool should be".formatted(what))));
  }

  private RawTool tool() {
    long line = json.currentTokenLocation().getLineNr();
    TreeMap<String, Cell> cells = new TreeMap<>();
    List<Finding> findings = new ArrayList<>(0);
    while (json.nextToken() == JsonToken.PROPERTY_NAME) {
      String name = json.currentName();
      JsonToken token = json.nextToken();
      if (name.equals("values") && token == JsonToken.START_OBJECT) {
        CellsJson.readInto(json, cells, findings);
      } else if (token == JsonToken.VALUE_NULL) {
        continue;
      } else if (token.isScalarValue()) {
        cells.put(name.toUpperCase(Locale.ROOT), Cell.of(json.getString()));
      } else {
        json.skipChildren();
      }
    }
    return new RawTool(line, cells, findings);
  }

  private void expect(boolean holds, String otherwise) throws IOException {
    if (!holds) {
      throw new UnreadableFileException(
          "line %d: %s; expected is our JSON tool format"
              .formatted(json.currentLocation().getLineNr(), otherwise));
    }
  }

  private static UnreadableFileException unreadable(JacksonException broken) {
    return new UnreadableFileException(
        "line %d: not valid JSON: %s"
            .formatted(
                broken.getLocation() == null ? 1 : broken.getLocation().getLineNr(),
                broken.getOriginalMessage()),
        broken);
  }

  @Override
  public void close() {
    json.close();
  }
}
