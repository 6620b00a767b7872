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
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.RowMapper;

/**
 * Builds the list query of a library, or of all, from its filters: key-set paging, no offset. Why
 * not through Hibernate: docs/decisions/lists-keep-looks.md.
 */
final class ToolQuery {

  /** Which filters to leave out, so that a facet counts what it could be changed to. */
  enum Except {
    NOTHING,
    CLASS_AND_DIAMETER
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
      @Nullable BigDecimal diaMax) {

    /** The same within one library. */
    Filter in(long library) {
      return new Filter(library, q, classes, section, diaMin, diaMax);
    }
  }

  /** How many entries of an order are looked at before the words are asked where they lead. */
  private static final int LOOKED_AT = 3_000;

  /** So many groups are counted to see which of them fill a page. */
  private static final int COUNTED = 16;

  /** Orders that an index keeps, over all libraries and within one. */
  private static final Set<ListOrder> INDEXED = EnumSet.of(ListOrder.CODE, ListOrder.DC);

  private final Filter filter;
  private final List<String> words;
  private final StringBuilder where = new StringBuilder(" where 1 = 1");
  private final List<Object> values = new ArrayList<>();
  private boolean sizes;

  ToolQuery(Filter filter, Except except) {
    this.filter = filter;
    SearchText text = SearchText.parse(filter.q() == null ? "" : filter.q());
    this.words = EntrySource.beginnings(text.words());
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
    if (except == Except.NOTHING && !filter.classes().isEmpty()) {
      add("e.class_id in (%s)".formatted(marks(filter.classes())), filter.classes().toArray());
    }
    if (except == Except.NOTHING) {
      range("e.dc", filter.diaMin(), filter.diaMax());
    }
    search(text);
  }

  private static String marks(Collection<?> values) {
    return String.join(", ", Collections.nCopies(values.size(), "?"));
  }

  private void search(SearchText text) {
    words.forEach(word -> add("e.words like ?", "% " + word + "%"));
    if (words.isEmpty() && !text.words().isEmpty()) {
      add("false");
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
    Optional<Cursor> cursor = Optional.ofNullable(after).map(text -> Cursor.read(text, order));
    Optional<EntrySource> rare = EntrySource.rare(jdbc, words);
    if (words.isEmpty() || rare.isPresent()) {
      return page(jdbc, rare.orElse(EntrySource.ALL), order, cursor, limit);
    }
    if (order.group() != null || !INDEXED.contains(order.sort())) {
      return page(jdbc, EntrySource.ALL, order, cursor, limit);
    }
    List<Placed> first = page(jdbc, first(order, cursor), order, cursor, limit);
    return first.size() > limit
        ? first
        : page(jdbc, EntrySource.both(jdbc, words), order, cursor, limit);
  }

  private List<Placed> page(
      JdbcTemplate jdbc, EntrySource source, Order order, Optional<Cursor> cursor, int limit) {
    String sort = order.sort().expression();
    String group = order.grouping();
    Condition beyond = cursor.map(from -> beyond(from, order)).orElse(Condition.NONE);
    Condition within =
        source == EntrySource.ALL ? within(jdbc, order, beyond, limit) : Condition.NONE;
    String down = order.down() ? " desc" : "";
    String grouped = order.group() == null ? "" : group + ", ";
    List<Object> given = new ArrayList<>(source.values());
    given.addAll(values);
    given.addAll(beyond.values());
    given.addAll(within.values());
    given.add(limit + 1);
    return jdbc.query(
        "select %s, %s, %s from %s%s%s%s%s%s order by %s%s%s, e.id%s limit ?"
            .formatted(
                ListedTool.COLUMNS,
                group,
                sort,
                source.from(),
                joined(),
                order.joins(),
                where,
                beyond.sql(),
                within.sql(),
                grouped,
                sort,
                down,
                down),
        (row, index) ->
            new Placed(
                ListedTool.of(row),
                row.getString(ListedTool.COUNT + 1),
                row.getString(ListedTool.COUNT + 2)),
        given.toArray());
  }

  /**
   * The groups that fill a page, where an index counts them: without that all groups are sorted for
   * the first few.
   */
  private Condition within(JdbcTemplate jdbc, Order order, Condition beyond, int limit) {
    if (order.group() == null || !order.group().counted()) {
      return Condition.NONE;
    }
    String group = order.grouping();
    List<Object> given = new ArrayList<>(values);
    given.addAll(beyond.values());
    List<Counted> first =
        jdbc.query(
            "select %1$s, count(*) from entry e%2$s%3$s%4$s group by %1$s order by %1$s limit %5$d"
                .formatted(group, joined(), where, beyond.sql(), COUNTED),
            (row, index) -> new Counted(row.getObject(1), row.getLong(2)),
            given.toArray());
    long tools = 0;
    for (Counted one : first) {
      tools += one.tools();
      if (tools > limit) {
        return new Condition(" and %s <= ?".formatted(group), List.of(one.group()));
      }
    }
    return Condition.NONE;
  }

  private record Counted(Object group, long tools) {}

  /** The first entries of an order, whatever they are called. */
  private EntrySource first(Order order, Optional<Cursor> cursor) {
    Condition beyond = cursor.map(from -> beyond(from, order)).orElse(Condition.NONE);
    List<Object> given = new ArrayList<>();
    Optional.ofNullable(filter.libraryId()).ifPresent(given::add);
    given.addAll(beyond.values());
    String down = order.down() ? " desc" : "";
    return EntrySource.first(
        "select e.id from entry e where %s%s order by %s%s, e.id%s limit %d"
            .formatted(
                filter.libraryId() == null ? "true" : "e.library_id = ?",
                beyond.sql(),
                order.sort().expression(),
                down,
                down,
                LOOKED_AT),
        given);
  }

  /** SQL that begins with {@code and}, or is empty. */
  private record Condition(String sql, List<Object> values) {
    static final Condition NONE = new Condition("", List.of());
  }

  private static Condition beyond(Cursor cursor, Order order) {
    String beyond = order.down() ? "<" : ">";
    String sort = order.sort().expression();
    String group = order.grouping();
    String within =
        "%s %s= ? and (%s %s ? or e.id %s ?)".formatted(sort, beyond, sort, beyond, beyond);
    return order.group() == null
        ? new Condition(" and " + within, List.of(cursor.sort(), cursor.sort(), cursor.id()))
        : new Condition(
            " and %s >= ? and (%s > ? or %s)".formatted(group, group, within),
            List.of(cursor.group(), cursor.group(), cursor.sort(), cursor.sort(), cursor.id()));
  }

  private String joined() {
    return sizes ? " join tool_version v on v.id = e.version_id" : "";
  }

  /**
   * Groups of the filtered list.
   *
   * @param expressions what to group by, as SQL over {@code entry e}
   * @param row a group from its values and, last, how many tools it has
   */
  <T> List<T> groups(JdbcTemplate jdbc, String expressions, RowMapper<T> row) {
    EntrySource source = EntrySource.rare(jdbc, words).orElse(EntrySource.ALL);
    List<Object> given = new ArrayList<>(source.values());
    given.addAll(values);
    return jdbc.query(
        "select %1$s, count(*) from %2$s%3$s%4$s group by %1$s"
            .formatted(expressions, source.from(), joined(), where),
        row,
        given.toArray());
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
