package arborline.core.exchange;

import java.util.Arrays;
import java.util.List;

/** Paths of attachments in one cell: {@code photo.png | sheets/EMF-10.pdf}. */
public final class PathList {

  /** Longest path that is followed. */
  private static final int LONGEST = 500;

  private PathList() {}

  public static String text(List<String> paths) {
    return String.join(" | ", paths);
  }

  /** The paths with forward slashes; what is too long to be one is left out. */
  public static List<String> read(String text) {
    return Arrays.stream(text.split("\\|"))
        .map(path -> path.strip().replace('\\', '/'))
        .filter(path -> !path.isEmpty() && path.length() <= LONGEST)
        .distinct()
        .toList();
  }

  /** The name of the file without its folders. */
  public static String name(String path) {
    return path.substring(path.lastIndexOf('/') + 1);
  }
}
