package arborline.core.recipe;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Where the cells of lines of fixed width stand.
 *
 * @param starts first character of each column, from 0; none where lines are parted at runs of
 *     blanks
 */
record CellBounds(List<Integer> starts) {

  private static final Pattern RULER = Pattern.compile("\\s*[-=_]{2,}(?:\\s+[-=_]+)+\\s*");
  private static final Pattern RUN = Pattern.compile("[-=_]+");
  private static final Pattern BLANKS = Pattern.compile("\\s{2,}|\t");
  private static final int GAP = 2;
  private static final int FEWEST = 3;

  CellBounds {
    starts = List.copyOf(starts);
  }

  /** True for a line that only rules off columns. */
  static boolean ruler(String line) {
    return RULER.matcher(line).matches();
  }

  /** Finds them by a ruler, else by character positions that all lines of the table leave blank. */
  static CellBounds propose(List<String> lines) {
    for (String line : lines) {
      if (ruler(line)) {
        return new CellBounds(runs(line));
      }
    }
    int most = lines.stream().mapToInt(CellBounds::apart).max().orElse(0);
    List<String> table =
        lines.stream().filter(line -> apart(line) > 1 && apart(line) * 2 >= most).toList();

    return new CellBounds(table.size() < FEWEST ? List.of() : gaps(table));
  }

  private static int apart(String line) {
    return BLANKS.split(line.strip()).length;
  }

  private static List<Integer> runs(String ruler) {
    List<Integer> starts = new ArrayList<>();
    Matcher run = RUN.matcher(ruler);
    while (run.find()) {
      starts.add(run.start());
    }
    return starts;
  }

  /** Columns begin behind gaps of two blanks or more that all lines share. */
  private static List<Integer> gaps(List<String> table) {
    int width = table.stream().mapToInt(String::length).max().orElse(0);
    List<Integer> starts = new ArrayList<>();
    int blank = GAP;
    for (int at = 0; at < width; at++) {
      if (blankInAll(table, at)) {
        blank++;
      } else {
        if (blank >= GAP) {
          starts.add(at);
        }
        blank = 0;
      }
    }
    return starts.size() > 1 ? starts : List.of();
  }

  private static boolean blankInAll(List<String> table, int at) {
    return table.stream().allMatch(line -> at >= line.length() || line.charAt(at) == ' ');
  }

  /** True where a column would begin in the middle of a word, as in a title. */
  private static boolean cuts(String line, int start) {
    return start > 0
        && start < line.length()
        && line.charAt(start - 1) != ' '
        && line.charAt(start) != ' ';
  }

  /** The cells of a line; one that does not keep to the columns is parted at runs of blanks. */
  List<String> cells(String line) {
    if (starts.isEmpty() || starts.stream().anyMatch(start -> cuts(line, start))) {
      return List.of(BLANKS.split(line.strip()));
    }
    List<String> cells = new ArrayList<>(starts.size());
    for (int i = 0; i < starts.size(); i++) {
      int from = Math.min(i == 0 ? 0 : starts.get(i), line.length());
      int to = i + 1 < starts.size() ? Math.min(starts.get(i + 1), line.length()) : line.length();
      cells.add(line.substring(from, to).strip());
    }
    return cells;
  }
}
