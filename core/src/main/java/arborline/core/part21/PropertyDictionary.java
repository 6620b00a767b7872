package arborline.core.part21;

import arborline.core.exchange.JsonFile;
import arborline.core.exchange.UnreadableFileException;
import arborline.core.property.Dictionary;
import java.io.InputStream;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import tools.jackson.core.JacksonException;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;

/**
 * What the names in a property file stand for: preferred symbols for themselves, the ids of a
 * vendor by what the vendor sends along.
 *
 * @param properties symbols by id
 * @param classes words for a tool class by id
 */
public record PropertyDictionary(Map<String, String> properties, Map<String, String> classes) {

  /** One without any ids. */
  public static final PropertyDictionary NONE = new PropertyDictionary(Map.of(), Map.of());

  /** Diameters, lengths and angles of steps, counted from the tip. */
  private static final Pattern STEP = Pattern.compile("(?:DC|SDL|SDN|STA)\\d{1,2}");

  private static final Pattern ID = Pattern.compile("(?=.*\\d)[0-9A-F]{8,32}");

  public PropertyDictionary {
    properties = Map.copyOf(properties);
    classes = Map.copyOf(classes);
  }

  /**
   * Reads the map of a vendor: {@code {"properties": {id: symbol}, "classes": {id: class}}}.
   *
   * @throws UnreadableFileException where it is none
   */
  public static PropertyDictionary read(InputStream file) throws UnreadableFileException {
    Map<String, String> properties = new HashMap<>();
    Map<String, String> classes = new HashMap<>();
    try (JsonParser json = JsonFile.open(file)) {
      if (json.nextToken() != JsonToken.START_OBJECT) {
        throw new UnreadableFileException("line 1: a dictionary is a JSON object");
      }
      while (json.nextToken() == JsonToken.PROPERTY_NAME) {
        String name = json.currentName();
        JsonToken value = json.nextToken();
        boolean map = value == JsonToken.START_OBJECT;
        if (map && name.equals("properties")) {
          texts(json, properties);
        } else if (map && name.equals("classes")) {
          texts(json, classes);
        } else {
          json.skipChildren();
        }
      }
    } catch (JacksonException broken) {
      throw JsonFile.unreadable(broken);
    }
    return new PropertyDictionary(properties, classes);
  }

  private static void texts(JsonParser json, Map<String, String> texts) {
    while (json.nextToken() == JsonToken.PROPERTY_NAME) {
      String id = json.currentName();
      if (json.nextToken() == JsonToken.VALUE_STRING) {
        texts.put(id, json.getString());
      }
      json.skipChildren();
    }
  }

  /** The symbol of a name; nothing for one that has none. */
  Optional<String> symbol(String name) {
    String plain = name.strip();
    String said = properties.get(plain);
    if (said != null) {
      return Optional.of(said);
    }
    boolean known = Dictionary.standard().has(plain) || STEP.matcher(plain).matches();
    return known ? Optional.of(plain) : Optional.empty();
  }

  /** True for what names a property and for an id that may. */
  boolean names(String text) {
    return symbol(text).isPresent() || ID.matcher(text.strip()).matches();
  }
}
