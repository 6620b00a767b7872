package arborline.server.library;

import java.math.BigDecimal;
import java.sql.ResultSet;
import java.sql.SQLException;

/** What a list needs of an entry; read without the care that a change would need. */
record ListedTool(
    long id,
    long toolId,
    long versionId,
    String code,
    String name,
    String classId,
    int number,
    String section,
    BigDecimal dc) {

  /** Its columns in a query over {@code entry e}. */
  static final String COLUMNS =
      "e.id, e.tool_id, e.version_id, e.code, e.name, e.class_id, e.number, e.section, e.dc";

  /** From a row of {@link #COLUMNS}. */
  static ListedTool of(ResultSet row) throws SQLException {
    return new ListedTool(
        row.getLong(1),
        row.getLong(2),
        row.getLong(3),
        row.getString(4),
        row.getString(5),
        row.getString(6),
        row.getInt(7),
        row.getString(8),
        row.getBigDecimal(9));
  }
}
