package arborline.core.vendor;

import arborline.core.exchange.UnreadableFileException;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * What a package says of itself, in JSON or in XML: the vendor, the release and the files that
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

  public Manifest {
    named = List.copyOf(named);
    pictures = List.copyOf(pictures);
  }

  /** Endings of files that a package has; a name on the web may look like another one. */
  private static final Set<String> ENDINGS =
      Set.of(
          "p21", "stp", "step", "png", "jpg", "jpeg", "gif", "bmp", "pdf", "txt", "html", "htm",
          "csv", "json", "xml", "dxf", "svg", "doc", "rtf");

  /** Files that it names and that are not among these, by name without regard to case. */
  public List<String> missing(Collection<String> files) {
    Set<String> there =
        files.stream().map(name -> name.toLowerCase(Locale.ROOT)).collect(Collectors.toSet());
    String folder = file.substring(0, file.lastIndexOf('/') + 1).toLowerCase(Locale.ROOT);
    return named.stream()
        .map(Named::file)
        .filter(name -> !name.contains("://") && !name.contains("@"))
        .filter(name -> ENDINGS.contains(ending(name)))
        .filter(name -> !there.contains(name.toLowerCase(Locale.ROOT)))
        .filter(name -> !there.contains(folder + name.toLowerCase(Locale.ROOT)))
        .distinct()
        .toList();
  }

  private static String ending(String name) {
    return name.substring(name.lastIndexOf('.') + 1).toLowerCase(Locale.ROOT);
  }

  /**
   * Reads a manifest; nothing where a file is none.
   *
   * @throws UnreadableFileException where it is broken
   */
  public static Optional<Manifest> read(String file, byte[] content)
      throws UnreadableFileException {
    ManifestFields fields = new ManifestFields();
    boolean understood =
        markup(content) ? ManifestXml.read(content, fields) : ManifestJson.read(content, fields);
    return understood ? fields.manifest(file) : Optional.empty();
  }

  static boolean markup(byte[] content) {
    for (byte letter : content) {
      boolean text = letter > ' ';
      if (text) {
        return letter == '<';
      }
    }
    return false;
  }
}
