package arborline.shop;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * What a router remembers: its files, each as it was saved last.
 *
 * @param files by name
 */
public record SavedState(TreeMap<String, File> files) {

  public SavedState {
    files = new TreeMap<>(files == null ? Map.of() : files);
  }

  /**
   * One file.
   *
   * @param save number of its save
   * @param rows lines, cells divided by tabs
   */
  public record File(long save, List<String> rows) {

    public File {
      rows = List.copyOf(rows);
    }

    /** The next save of it, with the row of this number changed, or added. */
    File with(String number, String row) {
      List<String> changed = new ArrayList<>(rows);
      changed.removeIf(line -> line.startsWith(number + "\t"));
      changed.add(row);
      return new File(save + 1, changed);
    }

    String text() {
      StringBuilder text = new StringBuilder("SAVE %d %d\r\n".formatted(save, rows.size()));
      rows.forEach(row -> text.append(row).append("\r\n"));
      return text.append("END %d\r\n".formatted(save)).toString();
    }
  }
}
