package arborline.server.support;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * What a file is that belongs to a tool and holds no table: a picture, a model, a document. Told by
 * its ending, a picture and a PDF also by how they begin.
 */
public final class FileKind {

  private static final Map<String, String> MEDIA =
      Map.ofEntries(
          Map.entry("png", "image/png"),
          Map.entry("jpg", "image/jpeg"),
          Map.entry("jpeg", "image/jpeg"),
          Map.entry("gif", "image/gif"),
          Map.entry("webp", "image/webp"),
          Map.entry("bmp", "image/bmp"),
          Map.entry("tif", "image/tiff"),
          Map.entry("tiff", "image/tiff"),
          Map.entry("svg", "image/svg+xml"),
          Map.entry("pdf", "application/pdf"),
          Map.entry("stp", "model/step"),
          Map.entry("step", "model/step"),
          Map.entry("stl", "model/stl"),
          Map.entry("dxf", "image/vnd.dxf"),
          Map.entry("igs", "model/iges"),
          Map.entry("iges", "model/iges"));

  private static final List<String> STARTS =
      List.of("\u0089PNG\r\n", "\u00ff\u00d8\u00ff", "GIF8", "%PDF-");

  private static final String OTHER = "application/octet-stream";

  private FileKind() {}

  private static String ending(String name) {
    return name.substring(name.lastIndexOf('.') + 1).toLowerCase(Locale.ROOT);
  }

  /** The media type of a file; of an unknown one that of plain bytes. */
  public static String mediaType(String name) {
    return MEDIA.getOrDefault(ending(name), OTHER);
  }

  /** True for a file that goes with tools and is not read as a table of them. */
  public static boolean attached(String name, byte[] head) {
    return MEDIA.containsKey(ending(name)) || starts(head).isPresent();
  }

  /** True for a model that may be read as a solid. */
  public static boolean solid(String name) {
    return mediaType(name).equals("model/step");
  }

  /** True where a file begins as a picture or a PDF does, whatever its name is. */
  public static Optional<String> starts(byte[] head) {
    return STARTS.stream()
        .filter(start -> head.length >= start.length() && begins(head, start))
        .findFirst();
  }

  private static boolean begins(byte[] head, String start) {
    for (int i = 0; i < start.length(); i++) {
      if ((head[i] & 0xFF) != start.charAt(i)) {
        return false;
      }
    }
    return true;
  }
}
