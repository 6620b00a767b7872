package arborline.server.library;

import java.math.BigDecimal;
import java.util.ArrayList;
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
   * @param hidden libraries that are left out of a list of all
   * @param section one whose tools are meant, with those of sections in it; null for all
   */
  record Filter(
      @Nullable Long libraryId,
      @Nullable String q,
      Set<String> classes,
      @Nullable Long section,
      @Nullable BigDecimal diaMin,
      @Nullable BigDecimal diaMax,
      Set<Long> hidden) {

    Filter(
        @Nullable Long libraryId,
        @Nullable String q,
        Set<String> classes,
        @Nullable Long section,
        @Nullable BigDecimal diaMin,
        @Nullable BigDecimal diaMax) {
      this(libraryId, q, classes, section, diaMin, diaMax, Set.of());
    }

    /** The same within one library. */
    Filter in(long library) {
      return new Filter(library, q, classes, section, diaMin, diaMax, Set.of());
    }

    /** The same without some libraries. */
    Filter without(Set<Long> libraries) {
      return new Filter(libraryId, q, classes, section, diaMin, diaMax, libraries);
    }
  }

  /** How many entries of an order are looked at first. */
  private static final int LOOKED_AT = 300;

  /** How many at most, before the words are asked where they lead. */
  private static final int MOST_LOOKED_AT = 12_000;

  /** Where something leads to fewer entries, all of these are looked at. */
  private static final int WORTH_LOOKING = 1_500;

  /** A library with fewer entries is small. */
  private static final int SMALL = 3_000;

  /** So many values are counted to see which of them fill a page; more where those do not. */
  private static final int[] COUNTED = {2, 40};

  private final Filter filter;
  private final ListConditions conditions;

  ToolQuery(Filter filter, Except except) {
    this.filter = filter;
    this.conditions = new ListConditions(filter, except);
  }

  /**
   * A row of a list.
   *
   * @param keys what it is ordered by, as texts
   */
  record Placed(ListedTool tool, List<String> keys) {}

  /** The page after a cursor, one row more than the limit. */
  List<Placed> page(
      JdbcTemplate jdbc, ListPlacing placing, Optional<ListCursor> cursor, int limit) {
    Optional<EntrySource.Rare> rare = EntrySource.rare(jdbc, conditions.terms());
    boolean along =
        !conditions.terms().isEmpty() && placing.indexed() && !conditions.narrowedByMore();
    long most = rare.map(EntrySource.Rare::entries).orElse((long) MOST_LOOKED_AT);
    if (along && most > WORTH_LOOKING) {
      Optional<List<Placed>> found = first(jdbc, rare, most, placing, cursor, limit);
      if (found.isPresent()) {
        return found.get();
      }
    }
    EntrySource source =
        rare.map(EntrySource.Rare::source)
            .orElseGet(() -> along ? EntrySource.both(jdbc, conditions.terms()) : EntrySource.ALL);
    return rows(jdbc, source, placing, cursor, limit);
  }

  /** The page out of the first of thousands; nothing where these do not fill it. */
  private Optional<List<Placed>> first(
      JdbcTemplate jdbc,
      Optional<EntrySource.Rare> rare,
      long most,
      ListPlacing placing,
      Optional<ListCursor> cursor,
      int limit) {
    Optional<EntrySource> led =
        rare.map(EntrySource.Rare::source).filter(source -> ledByCode(source, placing));
    long worth = led.isPresent() ? most * 3 / 4 : most;
    List<Placed> found = among(jdbc, EntrySource.ALL, placing, cursor, limit, worth);
    if (found.size() <= limit && led.isPresent()) {
      found = among(jdbc, led.get(), placing, cursor, limit, most);
    }
    boolean whole = found.size() > limit || rare.isEmpty() && small(jdbc);
    return whole ? Optional.of(found) : Optional.empty();
  }

  /**
   * True where an index tells the codes of what a size leads to; where diameters are sought as well
   * it tells these, and few are left to be read.
   */
  private boolean ledByCode(EntrySource source, ListPlacing placing) {
    return source.exact() != null
        && filter.libraryId() == null
        && placing.byCode()
        && !conditions.byDiameter();
  }

  /**
   * What is found among the first entries that a source leads to, in their order. How many of those
   * looked at are meant says how many more to look at; these are sought behind the last one found.
   *
   * @param most more are not looked at together
   * @return less than a page where that is not worth while, or not full by then
   */
  private List<Placed> among(
      JdbcTemplate jdbc,
      EntrySource source,
      ListPlacing placing,
      Optional<ListCursor> cursor,
      int limit,
      long most) {
    List<Placed> found = new ArrayList<>();
    Optional<ListCursor> begun = cursor;
    int lookedAt = 0;
    int next = LOOKED_AT;
    while (found.size() <= limit && lookedAt < MOST_LOOKED_AT && next <= most) {
      List<Placed> more =
          rows(jdbc, first(source, placing, begun, next), placing, begun, limit - found.size());
      found.addAll(more);
      lookedAt += next;
      begun = more.isEmpty() ? begun : Optional.of(ListCursor.behind(more.getLast(), placing));
      next = more.isEmpty() ? MOST_LOOKED_AT : further(lookedAt, found.size(), limit);
    }
    return found;
  }

  /** How many are looked at next: as many as should do, and a quarter more. */
  private static int further(int lookedAt, int found, int limit) {
    double missing = limit + 1.0 - found;
    return (int) Math.clamp(1.25 * missing * lookedAt / found, LOOKED_AT, MOST_LOOKED_AT);
  }

  private List<Placed> rows(
      JdbcTemplate jdbc,
      EntrySource source,
      ListPlacing placing,
      Optional<ListCursor> cursor,
      int limit) {
    ListCondition beyond = cursor.map(placing::beyond).orElse(ListCondition.NONE);
    ListCondition within =
        source == EntrySource.ALL ? within(jdbc, placing, beyond, limit) : ListCondition.NONE;
    List<ListConditions.SizeCheck> asked = conditions.asked(source);
    List<Object> given = new ArrayList<>(source.values());
    given.addAll(conditions.allValues(asked));
    given.addAll(beyond.values());
    given.addAll(within.values());
    given.add(limit + 1);
    int keys = placing.keys().size();
    return jdbc.query(
        "select %s, %s from %s%s%s%s order by %s limit ?"
            .formatted(
                ListedTool.COLUMNS,
                placing.columns(),
                source.from(),
                conditions.joinedWhere(asked, placing.joins()),
                beyond.sql(),
                within.sql(),
                placing.order()),
        (row, index) -> {
          List<String> texts = new ArrayList<>(keys);
          for (int key = 1; key <= keys; key++) {
            texts.add(row.getString(ListedTool.COUNT + key));
          }
          return new Placed(ListedTool.of(row), texts);
        },
        given.toArray());
  }

  /**
   * The first values of a key that fill a page, where an index counts them: without that all are
   * sorted for the first few.
   */
  private ListCondition within(
      JdbcTemplate jdbc, ListPlacing placing, ListCondition beyond, int limit) {
    ListPlacing.Key first = placing.first();
    if (!first.of().counted() || placing.indexed()) {
      return ListCondition.NONE;
    }
    for (int most : COUNTED) {
      List<Counted> counted = counted(jdbc, first, beyond, most);
      long tools = 0;
      for (int i = 0; i < counted.size(); i++) {
        tools += counted.get(i).tools();
        if (tools > limit) {
          String compared = i == 0 ? "=" : first.down() ? ">=" : "<=";
          return new ListCondition(
              " and %s %s ?".formatted(first.of().expression(), compared),
              List.of(counted.get(i).value()));
        }
      }
      if (counted.size() < most) {
        break;
      }
    }
    return ListCondition.NONE;
  }

  private record Counted(Object value, long tools) {}

  private List<Counted> counted(
      JdbcTemplate jdbc, ListPlacing.Key key, ListCondition beyond, int most) {
    List<Object> given = conditions.allValues(conditions.sizes());
    given.addAll(beyond.values());
    return jdbc.query(
        "select %1$s, count(*) from entry e%2$s%3$s group by %1$s order by %1$s%4$s limit %5$d"
            .formatted(
                key.of().expression(),
                conditions.joinedWhere(conditions.sizes(), ""),
                beyond.sql(),
                key.down() ? " desc" : "",
                most),
        (row, index) -> new Counted(row.getObject(1), row.getLong(2)),
        given.toArray());
  }

  /**
   * The first entries of a source in an order, whatever they are called; over all libraries those
   * of the diameter that is sought, where an index keeps them in this order.
   */
  private EntrySource first(
      EntrySource source, ListPlacing placing, Optional<ListCursor> cursor, int most) {
    ListCondition beyond = cursor.map(placing::beyond).orElse(ListCondition.NONE);
    List<Object> given = new ArrayList<>(source.values());
    String condition = "true";
    if (filter.libraryId() != null) {
      condition = "e.library_id = ?";
      given.add(filter.libraryId());
    } else if (source == EntrySource.ALL && conditions.diameter() != null && placing.byCode()) {
      condition = "e.dc = ?";
      given.add(conditions.diameter());
    }
    given.addAll(beyond.values());
    return EntrySource.first(
        "select e.id from %s where %s%s order by %s limit %d"
            .formatted(source.from(), condition, beyond.sql(), placing.order(), most),
        given);
  }

  /** True for a library of which the first entries of an order are all. */
  private boolean small(JdbcTemplate jdbc) {
    if (filter.libraryId() == null) {
      return false;
    }
    Long entries =
        jdbc.queryForObject(
            "select count(*) from (select 1 from entry where library_id = ? limit %d) n"
                .formatted(SMALL),
            Long.class,
            filter.libraryId());
    return entries != null && entries < SMALL;
  }

  /** Where all that is sought is common, and all of it is counted. */
  private EntrySource whole(JdbcTemplate jdbc) {
    if (conditions.terms().isEmpty() || small(jdbc)) {
      return EntrySource.ALL;
    }
    return !conditions.sizes().isEmpty() && conditions.terms().size() > 1
        ? EntrySource.both(jdbc, conditions.terms())
        : EntrySource.READ;
  }

  /**
   * Groups of the filtered list.
   *
   * @param expressions what to group by, as SQL over {@code entry e}
   * @param row a group from its values and, last, how many tools it has
   */
  <T> List<T> groups(JdbcTemplate jdbc, String expressions, RowMapper<T> row) {
    EntrySource source =
        EntrySource.rare(jdbc, conditions.terms())
            .map(EntrySource.Rare::source)
            .orElseGet(() -> whole(jdbc));
    List<ListConditions.SizeCheck> asked = conditions.asked(source);
    List<Object> given = new ArrayList<>(source.values());
    given.addAll(conditions.allValues(asked));
    return jdbc.query(
        "select %1$s, count(*) from %2$s%3$s group by %1$s"
            .formatted(expressions, source.from(), conditions.joinedWhere(asked, "")),
        row,
        given.toArray());
  }
}
