package arborline.core.vendor;

import arborline.core.exchange.JsonFile;
import arborline.core.exchange.UnreadableFileException;
import java.io.ByteArrayInputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import tools.jackson.core.JacksonException;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;

/**
 * What a package says of itself: a JSON object with the vendor, the release and the files that
 * belong to it, wherever in it they are named.
 *
 * @param file its name
 * @param vendor empty where it names none
 * @param release empty where it names none
 * @param named files that it names
 * @param pictures those of them that it calls pictures
 */
public record Manifest(
    String file, String vendor, String release, List<Named> named, List<String> pictures) {

  /**
   * A file that is named.
   *
   * @param id of the item that it is of; empty where none is said
   */
  public record Named(String file, String id) {}

  private static final List<String> VENDOR = List.of("vendor", "supplier", "manufacturer", "maker");
  private static final List<String> RELEASE = List.of("release", "edition", "issue", "version");
  private static final List<String> ID = List.of("id", "item", "code", "article", "product");

  public Manifest {
    named = List.copyOf(named);
    pictures = List.copyOf(pictures);
  }

  /**
   * Reads a manifest; nothing where a file is none.
   *
   * @throws UnreadableFileException where it is broken
   */
  public static Optional<Manifest> read(String file, byte[] content)
      throws UnreadableFileException {
    Reading reading = new Reading();
    try (JsonParser json = JsonFile.open(new ByteArrayInputStream(content))) {
      if (json.nextToken() != JsonToken.START_OBJECT) {
        return Optional.empty();
      }
      reading.object(json, "", 0);
    } catch (JacksonException broken) {
      throw JsonFile.unreadable(broken);
    }
    return reading.vendor.isEmpty() && reading.release.isEmpty()
        ? Optional.empty()
        : Optional.of(
            new Manifest(file, reading.vendor, reading.release, reading.named, reading.pictures));
  }

  private static final class Reading {
    private static final int DEEPEST = 20;
    private String vendor = "";
    private String release = "";
    private final List<Named> named = new ArrayList<>();
    private final List<String> pictures = new ArrayList<>();

    private void object(JsonParser json, String under, int depth) {
      String id = "";
      List<String> files = new ArrayList<>();
      while (json.nextToken() == JsonToken.PROPERTY_NAME) {
        String name = json.currentName().toLowerCase(Locale.ROOT);
        JsonToken value = json.nextToken();
        if (value == JsonToken.VALUE_STRING || value == JsonToken.VALUE_NUMBER_INT) {
          String text = json.getString().strip();
          id = ID.contains(name) ? text : id;
          if (path(text)) {
            files.add(text);
            picture(name, under, text);
          } else if (depth == 0) {
            about(name, text);
          }
        } else {
          nested(json, value, name, depth);
        }
      }
      for (String file : files) {
        named.add(new Named(file, id));
      }
    }

    private void about(String name, String text) {
      vendor = vendor.isEmpty() && VENDOR.contains(name) ? text : vendor;
      release = release.isEmpty() && RELEASE.contains(name) ? text : release;
    }

    private void nested(JsonParser json, JsonToken value, String name, int depth) {
      if (depth > DEEPEST) {
        json.skipChildren();
      } else if (value == JsonToken.START_OBJECT) {
        object(json, name, depth + 1);
      } else if (value == JsonToken.START_ARRAY) {
        list(json, name, depth + 1);
      }
    }

    private void list(JsonParser json, String name, int depth) {
      for (JsonToken value = json.nextToken();
          value != null && value != JsonToken.END_ARRAY;
          value = json.nextToken()) {
        if (value == JsonToken.VALUE_STRING && path(json.getString().strip())) {
          String file = json.getString().strip();
          named.add(new Named(file, ""));
          picture("", name, file);
        } else {
          nested(json, value, name, depth);
        }
      }
    }

    private void picture(String name, String under, String file) {
      boolean called =
          name.startsWith("pic")
              || name.startsWith("image")
              || name.startsWith("photo")
              || under.startsWith("pic")
              || under.startsWith("image")
              || under.startsWith("photo");
      if (called) {
        pictures.add(file);
      }
    }

    /** True for what looks like the name of a file. */
    private static boolean path(String text) {
      return text.length() < 500 && text.matches("[^\\n\"<>|]*[^\\s./]\\.[A-Za-z][A-Za-z0-9]{0,4}");
    }
  }
}
