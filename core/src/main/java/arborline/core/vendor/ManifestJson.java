package arborline.core.vendor;

import arborline.core.exchange.JsonFile;
import arborline.core.exchange.UnreadableFileException;
import java.io.ByteArrayInputStream;
import tools.jackson.core.JacksonException;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;

/** Reads a manifest that is written in JSON. */
final class ManifestJson {

  private ManifestJson() {}

  /** False where the file is no object. */
  static boolean read(byte[] content, ManifestFields fields) throws UnreadableFileException {
    try (JsonParser json = JsonFile.open(new ByteArrayInputStream(content))) {
      if (json.nextToken() != JsonToken.START_OBJECT) {
        return false;
      }
      object(json, fields, "", 0);
      return true;
    } catch (JacksonException broken) {
      throw JsonFile.unreadable(broken);
    }
  }

  private static void object(JsonParser json, ManifestFields fields, String called, int depth) {
    ManifestFields.Entry entry = fields.open(called, depth);
    while (json.nextToken() == JsonToken.PROPERTY_NAME) {
      String name = json.currentName();
      JsonToken value = json.nextToken();
      if (value == JsonToken.VALUE_STRING || value == JsonToken.VALUE_NUMBER_INT) {
        entry.text(name, json.getString());
      } else {
        nested(json, fields, value, name, depth);
      }
    }
    entry.close();
  }

  private static void nested(
      JsonParser json, ManifestFields fields, JsonToken value, String name, int depth) {
    if (depth > ManifestFields.DEEPEST) {
      json.skipChildren();
    } else if (value == JsonToken.START_OBJECT) {
      object(json, fields, name, depth + 1);
    } else if (value == JsonToken.START_ARRAY) {
      list(json, fields, name, depth + 1);
    }
  }

  private static void list(JsonParser json, ManifestFields fields, String name, int depth) {
    for (JsonToken value = json.nextToken();
        value != null && value != JsonToken.END_ARRAY;
        value = json.nextToken()) {
      if (value == JsonToken.VALUE_STRING) {
        fields.listed(name, json.getString());
      } else {
        nested(json, fields, value, name, depth);
      }
    }
  }
}
