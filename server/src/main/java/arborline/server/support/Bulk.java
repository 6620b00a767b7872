package arborline.server.support;

import java.math.BigDecimal;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.sql.Types;
import java.util.Collection;
import java.util.List;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/**
 * Writes many rows in the driver's bulk protocol inside the running transaction, without keeping
 * them in a session. Why not through Hibernate: docs/decisions/bulk-inserts.md.
 */
@Component
public class Bulk {

  private final JdbcTemplate template;

  Bulk(JdbcTemplate template) {
    this.template = template;
  }

  /**
   * A table as a target of bulk inserts.
   *
   * @param row the values of an item, in the order of the columns
   */
  public record Target<T>(String table, List<String> columns, Function<T, Object[]> row) {

    String sql() {
      return "insert into %s (%s) values (%s)"
          .formatted(table, String.join(", ", columns), "?, ".repeat(columns.size() - 1) + "?");
    }
  }

  public <T> void insert(Target<T> target, List<T> items) {
    if (!items.isEmpty()) {
      template.batchUpdate(
          target.sql(),
          items,
          items.size(),
          (statement, item) -> {
            Object[] row = target.row().apply(item);
            for (int column = 0; column < row.length; column++) {
              set(statement, column + 1, row[column]);
            }
          });
    }
  }

  /** As the statement's own setObject, which searches for the type of each value anew. */
  private static void set(PreparedStatement statement, int place, @Nullable Object value)
      throws SQLException {
    switch (value) {
      case String text -> statement.setString(place, text);
      case Long whole -> statement.setLong(place, whole);
      case Integer whole -> statement.setInt(place, whole);
      case Boolean yes -> statement.setBoolean(place, yes);
      case BigDecimal exact -> statement.setBigDecimal(place, exact);
      case null -> statement.setNull(place, Types.VARCHAR);
      default -> statement.setObject(place, value);
    }
  }

  /**
   * Does one statement for each of some rows. A long list of ids in one statement may be answered
   * by reading the whole table, which waits for rows that others hold.
   *
   * @param sql with one place for an id
   */
  public void each(String sql, Collection<Long> ids) {
    if (!ids.isEmpty()) {
      template.batchUpdate(sql, ids, ids.size(), (statement, id) -> statement.setLong(1, id));
    }
  }
}
