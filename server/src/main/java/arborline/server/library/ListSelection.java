package arborline.server.library;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * What a query of an order selects: all entries, or those with, or those without a key that not
 * every tool has.
 *
 * @param part null for all entries
 * @param with whether those with it are meant
 */
record ListSelection(ListPlacing placing, @Nullable ListKey part, boolean with) {

  static ListSelection all(ListPlacing placing) {
    return new ListSelection(placing, null, true);
  }

  static ListSelection part(ListPlacing placing, ListKey part, boolean with) {
    return new ListSelection(placing, part, with);
  }

  private boolean missing(ListPlacing.Key key) {
    return key.of() == part && !with;
  }

  private String expression(ListPlacing.Key key) {
    if (missing(key)) {
      return "''";
    }
    return key.of() == part ? key.of().expression() : key.of().orEmpty();
  }

  /** The values of all keys. */
  String columns() {
    return placing.keys().stream().map(this::expression).collect(Collectors.joining(", "));
  }

  String joins() {
    return placing.keys().stream()
        .filter(key -> !missing(key))
        .map(key -> key.of() == part ? key.of().join() : key.of().joinOrEmpty())
        .collect(Collectors.joining());
  }

  /** SQL that begins with {@code and}, or is empty. */
  String condition() {
    return part == null || with ? "" : " and " + part.missing();
  }

  String order() {
    List<String> order =
        new ArrayList<>(
            placing.keys().stream()
                .filter(key -> !missing(key))
                .map(key -> expression(key) + (key.down() ? " desc" : ""))
                .toList());
    order.add("e.id" + (placing.down() ? " desc" : ""));
    return String.join(", ", order);
  }

  /** What lies behind the end of a page. */
  ListCondition beyond(ListCursor cursor) {
    String sql = "e.id %s ?".formatted(placing.down() ? "<" : ">");
    List<Object> values = new ArrayList<>(List.of(cursor.id()));
    for (int i = placing.keys().size() - 1; i >= 0; i--) {
      ListPlacing.Key key = placing.keys().get(i);
      if (!missing(key)) {
        String beyond = key.down() ? "<" : ">";
        sql = "%1$s %2$s= ? and (%1$s %2$s ? or %3$s)".formatted(expression(key), beyond, sql);
        values.addAll(0, Collections.nCopies(2, cursor.values().get(i)));
      }
    }
    return new ListCondition(" and " + sql, values);
  }
}
