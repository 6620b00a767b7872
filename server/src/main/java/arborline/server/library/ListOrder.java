package arborline.server.library;

import arborline.server.support.Refusal;
import java.math.BigDecimal;
import java.util.Arrays;
import java.util.Locale;
import java.util.stream.Collectors;

/**
 * By what a list of tools can be sorted and grouped.
 *
 * <p>Holders and materials stand in tables of their own; a tool without one comes first.
 */
enum ListOrder {
  CODE("e.code", "", false),
  NAME("e.name", "", false),
  NUMBER("e.number", "", false),
  DC("e.dc", "", false),
  CLASS("e.class_id", "", true),
  SECTION("e.section", "", true),
  LIBRARY("l.name", " join library l on l.id = e.library_id", true),
  DIAMETER("e.dc", "", true),
  /** The parts of the stack that was kept first, from the spindle. */
  HOLDER(
      "coalesce(h.holder, '')",
      """
       left join (
        select s.tool_id, min(c.code) as holder from stack s
        join stack_part p on p.stack_id = s.id and p.place = 0
        join component c on c.id = p.component_id
        where s.id = (select min(f.id) from stack f where f.tool_id = s.tool_id)
        group by s.tool_id) h on h.tool_id = e.tool_id\
      """,
      true),
  /** The materials for which it has cutting data. */
  MATERIAL(
      "coalesce(m.materials, '')",
      """
       left join (
        select tool_id,
          left(group_concat(distinct nullif(material, '') order by material separator ', '), 200)
            as materials
        from cutting_line group by tool_id) m on m.tool_id = e.tool_id\
      """,
      true);

  private final String expression;
  private final String join;
  private final boolean groups;

  ListOrder(String expression, String join, boolean groups) {
    this.expression = expression;
    this.join = join;
    this.groups = groups;
  }

  /** In SQL, over {@code entry e} and {@link #join}. */
  String expression() {
    return expression;
  }

  /** What a query needs for it; empty for nothing. */
  String join() {
    return join;
  }

  /** A value as the database compares it. */
  Object value(String text) {
    return switch (this) {
      case NUMBER -> Integer.valueOf(text);
      case DC, DIAMETER -> new BigDecimal(text);
      default -> text;
    };
  }

  /** True for a group whose tools an index counts. */
  boolean counted() {
    return this == DIAMETER || this == CLASS;
  }

  private String word() {
    return name().toLowerCase(Locale.ROOT);
  }

  /** What a list is sorted by. */
  static ListOrder sorting(String word) {
    return Arrays.stream(values())
        .filter(order -> order.word().equals(word))
        .findFirst()
        .orElseThrow(() ->
            Refusal.badRequest(
                "sort is one of "
                    + Arrays.stream(values())
                        .map(ListOrder::word)
                        .collect(Collectors.joining(", "))));
  }

  /** What a list is grouped by. */
  static ListOrder grouping(String word) {
    return Arrays.stream(values())
        .filter(order -> order.groups && order.word().equals(word))
        .findFirst()
        .orElseThrow(() ->
            Refusal.badRequest(
                "group is one of "
                    + Arrays.stream(values())
                        .filter(order -> order.groups)
                        .map(ListOrder::word)
                        .collect(Collectors.joining(", "))));
  }
}
