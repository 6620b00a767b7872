package arborline.server.library;

import arborline.server.library.ToolQuery.Placed;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;

/**
 * A page of the tools of all libraries, grouped by them: one library after another is asked until
 * the page is full, so that the others are not sorted for it.
 */
final class LibraryByLibrary {

  /** Of more libraries than these all are sorted at once. */
  private static final int MOST = 200;

  private LibraryByLibrary() {}

  private record Named(long id, String name) {}

  static List<Placed> page(
      JdbcTemplate jdbc,
      ToolQuery.Filter filter,
      ToolQuery.Order order,
      @Nullable String after,
      int limit) {
    String from = after == null ? "" : ToolQuery.Cursor.read(after, order).group().toString();
    List<Named> libraries =
        jdbc.query(
            "select id, name from library where name >= ? order by name limit " + (MOST + 1),
            (row, index) -> new Named(row.getLong(1), row.getString(2)),
            from);
    if (libraries.size() > MOST) {
      return new ToolQuery(filter, ToolQuery.Except.NOTHING).page(jdbc, order, after, limit);
    }
    ToolQuery.Order within = new ToolQuery.Order(null, order.sort(), order.down());
    List<Placed> page = new ArrayList<>();
    for (Named library : libraries) {
      int missing = limit + 1 - page.size();
      if (missing <= 0) {
        break;
      }
      String begun = library.name().equals(from) ? after : null;
      new ToolQuery(filter.in(library.id()), ToolQuery.Except.NOTHING)
          .page(jdbc, within, begun, missing - 1).stream()
              .map(placed -> new Placed(placed.tool(), library.name(), placed.sort()))
              .forEach(page::add);
    }
    return page;
  }
}
