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
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;

/**
 * Builds the list query of a library, or of all, from its filters: key-set paging, no offset. Why
 * not through Hibernate: docs/decisions/lists-keep-looks.md.
 */
final class ToolQuery {

  private static final Map<String, String> SORTS =
      Map.of(
          "code", "code",
          "name", "name",
          "number", "number",
          "dc", "dc",
          "class", "class_id",
          "section", "section");

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

  /** The page after a cursor, one row more than the limit. */
  List<ListedTool> page(
      JdbcTemplate jdbc, String sort, boolean down, @Nullable String after, int limit) {
    String column = SORTS.get(sort);
    if (column == null) {
      throw Refusal.badRequest("sort is one of " + String.join(", ", SORTS.keySet()));
    }
    if (after != null) {
      Cursor cursor = Cursor.read(after, sort);
      String beyond = down ? "<" : ">";
      add(
          "e.%s %s= ? and (e.%s %s ? or e.id %s ?)"
              .formatted(column, beyond, column, beyond, beyond),
          cursor.value(),
          cursor.value(),
          cursor.id());
    }
    String order = down ? " desc" : "";
    values.add(limit + 1);
    return jdbc.query(
        "select %s from entry e%s%s order by e.%s%s, e.id%s limit ?"
            .formatted(ListedTool.COLUMNS, joined(), where, column, order, order),
        (row, index) -> ListedTool.of(row),
        values.toArray());
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
  record Cursor(Object value, long id) {

    static String write(ListedTool last, String sort) {
      Object value =
          switch (sort) {
            case "code" -> last.code();
            case "name" -> last.name();
            case "number" -> last.number();
            case "dc" -> last.dc().toPlainString();
            case "section" -> last.section();
            default -> last.classId();
          };
      return Base64.getUrlEncoder()
          .withoutPadding()
          .encodeToString((last.id() + "|" + value).getBytes(StandardCharsets.UTF_8));
    }

    static Cursor read(String text, String sort) {
      try {
        String plain = new String(Base64.getUrlDecoder().decode(text), StandardCharsets.UTF_8);
        int bar = plain.indexOf('|');
        long id = Long.parseLong(plain.substring(0, bar));
        String value = plain.substring(bar + 1);
        return new Cursor(
            switch (sort) {
              case "number" -> (Object) Integer.valueOf(value);
              case "dc" -> new BigDecimal(value);
              default -> value;
            },
            id);
      } catch (IllegalArgumentException | IndexOutOfBoundsException broken) {
        throw Refusal.badRequest("the cursor in 'after' is not one that this list gave out");
      }
    }
  }
}
