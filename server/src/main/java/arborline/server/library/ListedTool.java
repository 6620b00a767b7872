package arborline.server.library;

import arborline.core.library.Standing;
import java.math.BigDecimal;
import java.sql.ResultSet;
import java.sql.SQLException;

/** What a list needs of an entry; read without the care that a change would need. */
record ListedTool(
    long id,
    long libraryId,
    long toolId,
    long versionId,
    boolean pinned,
    String code,
    String name,
    String classId,
    int number,
    String section,
    BigDecimal dc,
    Standing standing) {

  /** Its columns in a query over {@code entry e}. */
  static final String COLUMNS =
      "e.id, e.library_id, e.tool_id, e.version_id, e.pinned, e.code, e.name, e.class_id,"
          + " e.number, e.section, e.dc, e.standing";

  /** How many these are. */
  static final int COUNT = 12;

  /** From a row of {@link #COLUMNS}. */
  static ListedTool of(ResultSet row) throws SQLException {
    return new ListedTool(
        row.getLong(1),
        row.getLong(2),
        row.getLong(3),
        row.getLong(4),
        row.getBoolean(5),
        row.getString(6),
        row.getString(7),
        row.getString(8),
        row.getInt(9),
        row.getString(10),
        row.getBigDecimal(11),
        Standing.at(row.getInt(12)));
  }
}
