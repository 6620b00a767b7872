package arborline.server.library;

import arborline.server.library.ToolQuery.Placed;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.JdbcTemplate;

/**
 * A page of the tools of all libraries in the order of these: one after another is asked until the
 * page is full, so that the others are not sorted for it.
 */
final class LibraryByLibrary {

  /** Of more libraries than these all are sorted at once. */
  private static final int MOST = 200;

  private LibraryByLibrary() {}

  private record Named(long id, String name) {}

  static List<Placed> page(
      JdbcTemplate jdbc,
      ToolQuery.Filter filter,
      ListPlacing placing,
      Optional<ListCursor> cursor,
      int limit) {
    List<Named> libraries = libraries(jdbc, placing.first().down(), cursor);
    if (libraries.size() > MOST) {
      return new ToolQuery(filter, ToolQuery.Except.NOTHING).page(jdbc, placing, cursor, limit);
    }
    List<Placed> page = new ArrayList<>();
    for (Named library : libraries) {
      if (page.size() > limit) {
        break;
      }
      if (filter.hidden().contains(library.id())) {
        continue;
      }
      Optional<ListCursor> begun =
          cursor
              .filter(from -> from.values().getFirst().equals(library.name()))
              .map(ListCursor::rest);
      new ToolQuery(filter.in(library.id()), ToolQuery.Except.NOTHING)
          .page(jdbc, placing.rest(), begun, limit - page.size()).stream()
              .map(placed -> new Placed(placed.tool(), keys(library.name(), placed.keys())))
              .forEach(page::add);
    }
    return page;
  }

  /** Those from the cursor on, in their order. */
  private static List<Named> libraries(
      JdbcTemplate jdbc, boolean down, Optional<ListCursor> cursor) {
    List<Object> from = cursor.stream().map(end -> end.values().getFirst()).toList();
    return jdbc.query(
        "select id, name from library%s order by name%s limit %d"
            .formatted(
                from.isEmpty() ? "" : down ? " where name <= ?" : " where name >= ?",
                down ? " desc" : "",
                MOST + 1),
        (row, index) -> new Named(row.getLong(1), row.getString(2)),
        from.toArray());
  }

  private static List<String> keys(String library, List<String> others) {
    List<String> keys = new ArrayList<>(List.of(library));
    keys.addAll(others);
    return keys;
  }
}
