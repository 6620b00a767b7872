package arborline.core.table;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * A file of {@link SavedFilesDialect}: {@code SAVE 41 9}, that is the number of its save and how
 * many rows follow, then rows of cells with tabs between them, then {@code END 41}.
 *
 * @param save number of the save
 */
record SavedFile(long save, List<List<String>> rows) {

  private static final int MOST_ROWS = 100_000;
  private static final Pattern HEAD = Pattern.compile("SAVE (\\d{1,15}) (\\d{1,6})");

  /**
   * Reads a file.
   *
   * @param cells in each row
   * @throws IOException where it is none, or not whole
   */
  static SavedFile read(String name, byte[] document, int cells) throws IOException {
    List<String> lines =
        new String(document, StandardCharsets.ISO_8859_1)
            .lines()
            .filter(line -> !line.isEmpty())
            .limit(MOST_ROWS)
            .toList();
    Matcher head = HEAD.matcher(lines.isEmpty() ? "" : lines.getFirst());
    if (!head.matches()) {
      throw new IOException(name + " does not begin with SAVE, its number and a count of rows");
    }
    int count = Integer.parseInt(head.group(2));
    if (lines.size() != count + 2 || !lines.getLast().equals("END " + head.group(1))) {
      throw new IOException(
          "%s announces %d rows and is not whole: END %s does not stand behind them"
              .formatted(name, count, head.group(1)));
    }
    List<List<String>> rows =
        lines.subList(1, count + 1).stream().map(line -> List.of(line.split("\t", -1))).toList();
    for (List<String> row : rows) {
      if (row.size() != cells || !row.getFirst().matches("\\w{1,8}")) {
        throw new IOException(
            "%s has a row '%s' that is none of it".formatted(name, String.join(" ", row)));
      }
    }
    return new SavedFile(Long.parseLong(head.group(1)), rows);
  }

  /** A file of a save. */
  static ControlFile written(String name, long save, List<List<String>> rows) {
    String text =
        rows.stream()
            .map(row -> String.join("\t", row) + "\r\n")
            .collect(
                Collectors.joining(
                    "",
                    "SAVE %d %d\r\n".formatted(save, rows.size()),
                    "END %d\r\n".formatted(save)));
    return new ControlFile(name, "text/plain;charset=US-ASCII", text);
  }
}
