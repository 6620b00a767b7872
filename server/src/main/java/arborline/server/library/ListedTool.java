package arborline.server.library;

import java.math.BigDecimal;

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

  /** Its columns in a query over entries called {@code e}. */
  static final String COLUMNS =
      "e.id, e.toolId, e.versionId, e.code, e.name, e.classId, e.number, e.section, e.dc";
}
