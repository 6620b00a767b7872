package arborline.core.recipe;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * By what the columns of a table are known, no two by the same: by the header; a second one with
 * the same header by {@code Vc (2)}; one without a header by its place, {@code column 4}.
 */
public final class ColumnNames {

  private ColumnNames() {}

  /** A name for each column. */
  public static List<String> of(List<String> headers) {
    Map<String, Integer> times = new HashMap<>();
    List<String> names = new ArrayList<>(headers.size());
    for (int place = 0; place < headers.size(); place++) {
      String header = headers.get(place).strip();
      int time = times.merge(compared(header), 1, Integer::sum);
      names.add(
          header.isEmpty()
              ? atPlace(place)
              : time == 1 ? header : "%s (%d)".formatted(header, time));
    }
    return names;
  }

  /** A name as it is compared: without accents and signs, unless it is nothing but signs. */
  static String compared(String name) {
    String words = Words.normal(name);
    return words.isEmpty() ? name.strip() : words;
  }

  /**
   * The name of a column without a header.
   *
   * @param place from 0
   */
  public static String atPlace(int place) {
    return "column " + (place + 1);
  }
}
