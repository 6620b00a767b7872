package arborline.core.vendor;

import arborline.core.exchange.UnreadableFileException;
import arborline.core.part21.PropertyDictionary;
import java.io.ByteArrayInputStream;
import java.util.Optional;

/**
 * What a file says of the others in its package.
 *
 * @param manifest vendor, release and files; empty where the file is no manifest
 * @param dictionary what the vendor's ids stand for; empty where the file is no dictionary
 */
public record Described(Optional<Manifest> manifest, Optional<PropertyDictionary> dictionary) {

  /**
   * Reads a JSON or XML file of a package.
   *
   * @throws UnreadableFileException where it is broken
   */
  public static Described read(String name, byte[] content) throws UnreadableFileException {
    if (!Manifest.markup(content)) {
      PropertyDictionary ids = PropertyDictionary.read(new ByteArrayInputStream(content));
      if (!ids.properties().isEmpty()) {
        return new Described(Optional.empty(), Optional.of(ids));
      }
    }
    return new Described(Manifest.read(name, content), Optional.empty());
  }
}
