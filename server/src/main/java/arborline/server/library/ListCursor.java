package arborline.server.library;

import arborline.server.support.Refusal;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;

/**
 * Where a page of a list ended.
 *
 * @param values of its last row, as the database compares them, in the order of the keys
 * @param id of its last entry
 */
record ListCursor(List<Object> values, long id) {

  private static final String APART = "\u001f";

  /** For whoever asks for the next page. */
  static String write(ToolQuery.Placed last) {
    List<String> parts = new ArrayList<>(last.keys());
    parts.add(Long.toString(last.tool().id()));
    return Base64.getUrlEncoder()
        .withoutPadding()
        .encodeToString(String.join(APART, parts).getBytes(StandardCharsets.UTF_8));
  }

  /** Behind a row. */
  static ListCursor behind(ToolQuery.Placed row, ListPlacing placing) {
    List<Object> values = new ArrayList<>();
    for (ListPlacing.Key key : placing.keys()) {
      values.add(key.of().value(row.keys().get(values.size())));
    }
    return new ListCursor(values, row.tool().id());
  }

  static ListCursor read(String text, ListPlacing placing) {
    try {
      String plain = new String(Base64.getUrlDecoder().decode(text), StandardCharsets.UTF_8);
      String[] parts = plain.split(APART, -1);
      List<Object> values = new ArrayList<>();
      for (ListPlacing.Key key : placing.keys()) {
        values.add(key.of().value(parts[values.size()]));
      }
      if (parts.length != values.size() + 1) {
        throw new IllegalArgumentException();
      }
      return new ListCursor(values, Long.parseLong(parts[values.size()]));
    } catch (IllegalArgumentException | IndexOutOfBoundsException broken) {
      throw Refusal.badRequest("the cursor in 'after' is not one that this list gave out");
    }
  }

  /** The same without its first value. */
  ListCursor rest() {
    return new ListCursor(values.subList(1, values.size()), id);
  }
}
