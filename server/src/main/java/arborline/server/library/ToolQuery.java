package arborline.server.library;

import arborline.core.library.SearchText;
import arborline.server.support.Refusal;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Base64;
import java.util.Collection;
import java.util.Collections;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;

/**
 * Builds the list query of a library, or of all, from its filters: key-set paging, no offset. Why
 * not through Hibernate: docs/decisions/lists-keep-looks.md.
 */
final class ToolQuery {

  /** Which filters to leave out, so that a facet counts what it could be changed to. */
  enum Except {
    NOTHING,
    CLASS,
    DIAMETER
  }

  /**
   * The filters of a list.
   *
   * @param libraryId null for all libraries
   * @param q words and conditions
   * @param classes class ids; empty for all
   * @param section one whose tools are meant, with those of sections in it; null for all
   */
  record Filter(
      @Nullable Long libraryId,
      @Nullable String q,
      Set<String> classes,
      @Nullable Long section,
      @Nullable BigDecimal diaMin,
      @Nullable BigDecimal diaMax) {}

  /** How many tools lie behind a value that they are grouped by. */
  record Group<T>(T value, long count) {}

  private final StringBuilder where = new StringBuilder(" where 1 = 1");
  private final List<Object> values = new ArrayList<>();
  private boolean sizes;

  ToolQuery(Filter filter, Except except) {
    if (filter.libraryId() != null) {
      add("e.library_id = ?", filter.libraryId());
    }
    if (filter.section() != null) {
      add(
          """
          exists (select 1 from entry_section es join section s on s.id = es.section_id
            where es.entry_id = e.id and (s.id = ? or s.parent_id = ?))\
          """,
          filter.section(),
          filter.section());
    }
    if (except != Except.CLASS && !filter.classes().isEmpty()) {
      add("e.class_id in (%s)".formatted(marks(filter.classes())), filter.classes().toArray());
    }
    if (except != Except.DIAMETER) {
      range("e.dc", filter.diaMin(), filter.diaMax());
    }
    search(SearchText.parse(filter.q() == null ? "" : filter.q()));
  }

  private static String marks(Collection<?> values) {
    return String.join(", ", Collections.nCopies(values.size(), "?"));
  }

  private void search(SearchText text) {
    for (String word : text.words()) {
      String pattern = "%" + word.replaceAll("([%_\\\\])", "\\\\$1") + "%";
      add("(e.code like ? or e.name like ?)", pattern, pattern);
    }
    for (SearchText.Condition condition : text.conditions()) {
      boolean diameter = condition.symbol().equals("DC");
      sizes |= !diameter;
      String size =
          diameter
              ? "e.dc"
              : "cast(json_value(v.sizes, '$.%s') as decimal(30, 10))"
                  .formatted(condition.symbol());
      range(size, condition.least().orElse(null), condition.most().orElse(null));
    }
  }

  private void range(String size, @Nullable BigDecimal least, @Nullable BigDecimal most) {
    if (least != null) {
      add(size + " >= ?", least);
    }
    if (most != null) {
      add(size + " <= ?", most);
    }
  }

  private void add(String condition, Object... given) {
    where.append(" and ").append(condition);
    values.addAll(Arrays.asList(given));
  }

  /**
   * How a list is ordered.
   *
   * @param group null where it is not grouped
   * @param down true for the last of each group first
   */
  record Order(@Nullable ListOrder group, ListOrder sort, boolean down) {

    /** From words; an empty group is none. */
    static Order of(@Nullable String group, String sort, boolean down) {
      return new Order(
          group == null || group.isEmpty() ? null : ListOrder.grouping(group),
          ListOrder.sorting(sort),
          down);
    }

    private String joins() {
      return (group == null ? "" : group.join())
          + (group == sort || group != null && group.join().equals(sort.join()) ? "" : sort.join());
    }

    private String grouping() {
      return group == null ? "''" : group.expression();
    }

    /** A place in the list; its group is an empty text where there is none. */
    private Object value(@Nullable ListOrder by, String text) {
      return by == null ? "" : by.value(text);
    }
  }

  /** A row of a list and what it stands under and is sorted by, as texts. */
  record Placed(ListedTool tool, String group, String sort) {}

  /** The page after a cursor, one row more than the limit. */
  List<Placed> page(JdbcTemplate jdbc, Order order, @Nullable String after, int limit) {
    String sort = order.sort().expression();
    String group = order.grouping();
    if (after != null) {
      beyond(Cursor.read(after, order), order, order.down() ? "<" : ">");
    }
    String down = order.down() ? " desc" : "";
    String grouped = order.group == null ? "" : group + ", ";
    values.add(limit + 1);
    return jdbc.query(
        "select %s, %s, %s from entry e%s%s%s order by %s%s%s, e.id%s limit ?"
            .formatted(
                ListedTool.COLUMNS,
                group,
                sort,
                joined(),
                order.joins(),
                where,
                grouped,
                sort,
                down,
                down),
        (row, index) ->
            new Placed(
                ListedTool.of(row),
                row.getString(ListedTool.COUNT + 1),
                row.getString(ListedTool.COUNT + 2)),
        values.toArray());
  }

  private void beyond(Cursor cursor, Order order, String beyond) {
    String sort = order.sort().expression();
    String group = order.grouping();
    String within =
        "%s %s= ? and (%s %s ? or e.id %s ?)".formatted(sort, beyond, sort, beyond, beyond);
    if (order.group() == null) {
      add(within, cursor.sort(), cursor.sort(), cursor.id());
    } else {
      add(
          "%s >= ? and (%s > ? or %s)".formatted(group, group, within),
          cursor.group(),
          cursor.group(),
          cursor.sort(),
          cursor.sort(),
          cursor.id());
    }
  }

  private String joined() {
    return sizes ? " join tool_version v on v.id = e.version_id" : "";
  }

  /**
   * Groups of the filtered list in their order.
   *
   * @param expression what to group by, as SQL over {@code entry e}
   */
  <T> List<Group<T>> groups(JdbcTemplate jdbc, String expression, Class<T> type) {
    return jdbc.query(
        "select %1$s, count(*) from entry e%2$s%3$s group by %1$s order by %1$s"
            .formatted(expression, joined(), where),
        (row, index) -> new Group<>(row.getObject(1, type), row.getLong(2)),
        values.toArray());
  }

  /** Where a page ended. */
  record Cursor(Object group, Object sort, long id) {

    private static final String APART = "\n";

    static String write(Placed last) {
      return Base64.getUrlEncoder()
          .withoutPadding()
          .encodeToString(
              String.join(APART, Long.toString(last.tool().id()), last.group(), last.sort())
                  .getBytes(StandardCharsets.UTF_8));
    }

    static Cursor read(String text, Order order) {
      try {
        String plain = new String(Base64.getUrlDecoder().decode(text), StandardCharsets.UTF_8);
        String[] parts = plain.split(APART, 3);
        return new Cursor(
            order.value(order.group, parts[1]),
            order.value(order.sort, parts[2]),
            Long.parseLong(parts[0]));
      } catch (IllegalArgumentException | IndexOutOfBoundsException broken) {
        throw Refusal.badRequest("the cursor in 'after' is not one that this list gave out");
      }
    }
  }
}
