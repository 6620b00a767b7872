package arborline.server.library;

import java.math.BigDecimal;

/** A value of an entry that lists are ordered by, as SQL over {@code entry e}. */
enum ListKey {
  CODE("e.code"),
  NAME("e.name"),
  NUMBER("e.number"),
  DIAMETER("e.dc"),
  CLASS("e.class_id"),
  SECTION("e.section"),
  LIBRARY("l.name", " join library l on l.id = e.library_id", ""),

  /** The part that the spindle takes of the stack that was kept first. */
  HOLDER(
      "h.holder",
      """
       join (
        select s.tool_id, min(c.code) as holder from stack s
        join stack_part p on p.stack_id = s.id and p.place = 0
        join component c on c.id = p.component_id
        where s.id = (select min(f.id) from stack f
          join stack_part fp on fp.stack_id = f.id and fp.place = 0 where f.tool_id = s.tool_id)
        group by s.tool_id) h on h.tool_id = e.tool_id\
      """,
      """
      not exists (select 1 from stack n join stack_part np on np.stack_id = n.id and np.place = 0
        where n.tool_id = e.tool_id)\
      """),

  /** The materials for which it has cutting data. */
  MATERIAL(
      "m.materials",
      """
       join (
        select tool_id,
          left(group_concat(distinct material order by material separator ', '), 200) as materials
        from cutting_line where material <> '' group by tool_id) m on m.tool_id = e.tool_id\
      """,
      """
      not exists (select 1 from cutting_line n where n.tool_id = e.tool_id and n.material <> '')\
      """);

  private final String expression;
  private final String join;
  private final String missing;

  ListKey(String expression) {
    this(expression, "", "");
  }

  ListKey(String expression, String join, String missing) {
    this.expression = expression;
    this.join = join;
    this.missing = missing;
  }

  /** Of entries that have it. */
  String expression() {
    return expression;
  }

  /** Of all entries; an empty text for those without it. */
  String orEmpty() {
    return optional() ? "coalesce(%s, '')".formatted(expression) : expression;
  }

  /** What a query needs for {@link #expression}: entries without it are left out. */
  String join() {
    return join;
  }

  /** What a query needs for {@link #orEmpty}. */
  String joinOrEmpty() {
    return optional() ? " left" + join : join;
  }

  /** A condition that entries without it meet. */
  String missing() {
    return missing;
  }

  /** True where it stands in tables that not every tool is in. */
  boolean optional() {
    return !missing.isEmpty();
  }

  /** True where an index counts entries by it. */
  boolean counted() {
    return this == DIAMETER || this == CLASS || this == SECTION;
  }

  /** A value as the database compares it. */
  Object value(String text) {
    return switch (this) {
      case NUMBER -> Integer.valueOf(text);
      case DIAMETER -> new BigDecimal(text);
      default -> text;
    };
  }
}
