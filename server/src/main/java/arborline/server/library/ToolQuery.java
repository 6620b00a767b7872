package arborline.server.library;

import arborline.core.library.SearchText;
import arborline.server.support.Refusal;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
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

  private static final int MOST_WORDS = 20;

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
  private final List<SearchTerm> terms;
  private final StringBuilder where = new StringBuilder(" where 1 = 1");
  private final List<Object> values = new ArrayList<>();
  private final List<SizeCheck> sizes = new ArrayList<>();

  /** The one diameter that is sought, mm; null for none or several. */
  private @Nullable BigDecimal diameter;

  ToolQuery(Filter filter, Except except) {
    this.filter = filter;
    SearchText text = SearchText.parse(filter.q() == null ? "" : filter.q());
    List<String> words = EntrySource.beginnings(text.words());
    if (words.size() + text.conditions().size() > MOST_WORDS) {
      throw Refusal.badRequest("at most %d words can be sought at once".formatted(MOST_WORDS));
    }
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
      diameter(filter.diaMin(), filter.diaMax());
    }
    search(text, words);
    Stream<SearchTerm> led =
        Stream.concat(
            text.conditions().stream().map(SearchTerm::size), words.stream().map(SearchTerm::word));
    // What is rare by its nature is counted first: of others no more are counted then.
    this.terms = led.sorted(Comparator.comparing(term -> term.join().isEmpty())).toList();
  }

  private static String marks(Collection<?> values) {
    return String.join(", ", Collections.nCopies(values.size(), "?"));
  }

  private void search(SearchText text, List<String> words) {
    words.forEach(word -> {
      String begun = "% " + word + "%";
      add("(e.words like ? or e.held_words like ?)", begun, begun);
    });
    if (words.isEmpty() && !text.words().isEmpty()) {
      add("false");
    }
    for (SearchText.Condition condition : text.conditions()) {
      if (condition.symbol().equals("DC")) {
        diameter(condition.least().orElse(null), condition.most().orElse(null));
      } else {
        sizes.add(SizeCheck.of(condition));
      }
    }
  }

  /** A condition on a size that stands with the version of an entry. */
  private record SizeCheck(SearchTerm term, String sql, List<Object> values) {

    static SizeCheck of(SearchText.Condition condition) {
      String size =
          "cast(json_value(v.sizes, '$.%s') as decimal(30, 10))".formatted(condition.symbol());
      List<Object> values = new ArrayList<>();
      condition.least().ifPresent(values::add);
      condition.most().ifPresent(values::add);
      String compared =
          values.size() == 2 ? "between ? and ?" : condition.least().isPresent() ? ">= ?" : "<= ?";
      return new SizeCheck(
          SearchTerm.size(condition), " and %s %s".formatted(size, compared), values);
    }
  }

  /** The sizes that are still to be asked of the entries of a source. */
  private List<SizeCheck> asked(EntrySource source) {
    return sizes.stream().filter(check -> !check.term().equals(source.exact())).toList();
  }

  /** The tables of a query, with all conditions on them. */
  private String joinedWhere(List<SizeCheck> asked, String joins) {
    return (asked.isEmpty() ? "" : " join tool_version v on v.id = e.version_id")
        + joins
        + where
        + asked.stream().map(SizeCheck::sql).collect(Collectors.joining());
  }

  private List<Object> allValues(List<SizeCheck> asked) {
    List<Object> all = new ArrayList<>(values);
    asked.forEach(check -> all.addAll(check.values()));
    return all;
  }

  private void diameter(@Nullable BigDecimal least, @Nullable BigDecimal most) {
    if (least != null && most != null && least.compareTo(most) == 0) {
      add("e.dc = ?", least);
      diameter = least;
      return;
    }
    if (least != null) {
      add("e.dc >= ?", least);
    }
    if (most != null) {
      add("e.dc <= ?", most);
    }
  }

  private void add(String condition, Object... given) {
    where.append(" and ").append(condition);
    values.addAll(Arrays.asList(given));
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
    Optional<EntrySource.Rare> rare = EntrySource.rare(jdbc, terms);
    boolean along = !terms.isEmpty() && placing.indexed() && !narrowedByMore();
    long most = rare.map(EntrySource.Rare::entries).orElse((long) MOST_LOOKED_AT);
    if (along && most > WORTH_LOOKING) {
      List<Placed> found = among(jdbc, placing, cursor, limit, most);
      if (found.size() > limit || rare.isEmpty() && small(jdbc)) {
        return found;
      }
    }
    EntrySource source =
        rare.map(EntrySource.Rare::source)
            .orElseGet(() -> along ? EntrySource.both(jdbc, terms) : EntrySource.ALL);
    return rows(jdbc, source, placing, cursor, limit);
  }

  /**
   * What is found among the first entries of an order. How many of those looked at are meant says
   * how many more to look at; these are sought behind the last one found.
   *
   * @param most more are not looked at together
   * @return less than a page where that is not worth while, or not full by then
   */
  private List<Placed> among(
      JdbcTemplate jdbc, ListPlacing placing, Optional<ListCursor> cursor, int limit, long most) {
    List<Placed> found = new ArrayList<>();
    Optional<ListCursor> begun = cursor;
    int lookedAt = 0;
    int next = LOOKED_AT;
    while (found.size() <= limit && lookedAt < MOST_LOOKED_AT && next <= most) {
      List<Placed> more =
          rows(jdbc, first(placing, begun, next), placing, begun, limit - found.size());
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

  /**
   * True where something else than one common word or size narrows the list, which the database is
   * good at.
   */
  private boolean narrowedByMore() {
    return terms.size() == 1
        && (!filter.classes().isEmpty()
            || filter.section() != null
            || filter.diaMin() != null
            || filter.diaMax() != null);
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
    List<SizeCheck> asked = asked(source);
    List<Object> given = new ArrayList<>(source.values());
    given.addAll(allValues(asked));
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
                joinedWhere(asked, placing.joins()),
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
    List<Object> given = allValues(sizes);
    given.addAll(beyond.values());
    return jdbc.query(
        "select %1$s, count(*) from entry e%2$s%3$s group by %1$s order by %1$s%4$s limit %5$d"
            .formatted(
                key.of().expression(),
                joinedWhere(sizes, ""),
                beyond.sql(),
                key.down() ? " desc" : "",
                most),
        (row, index) -> new Counted(row.getObject(1), row.getLong(2)),
        given.toArray());
  }

  /**
   * The first entries of an order, whatever they are called; over all libraries those of the
   * diameter that is sought, where an index keeps them in this order.
   */
  private EntrySource first(ListPlacing placing, Optional<ListCursor> cursor, int most) {
    ListCondition beyond = cursor.map(placing::beyond).orElse(ListCondition.NONE);
    List<Object> given = new ArrayList<>();
    String condition = "true";
    if (filter.libraryId() != null) {
      condition = "e.library_id = ?";
      given.add(filter.libraryId());
    } else if (diameter != null && placing.byCode()) {
      condition = "e.dc = ?";
      given.add(diameter);
    }
    given.addAll(beyond.values());
    return EntrySource.first(
        "select e.id from entry e where %s%s order by %s limit %d"
            .formatted(condition, beyond.sql(), placing.order(), most),
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
    if (terms.isEmpty() || small(jdbc)) {
      return EntrySource.ALL;
    }
    return !sizes.isEmpty() && terms.size() > 1 ? EntrySource.both(jdbc, terms) : EntrySource.READ;
  }

  /**
   * Groups of the filtered list.
   *
   * @param expressions what to group by, as SQL over {@code entry e}
   * @param row a group from its values and, last, how many tools it has
   */
  <T> List<T> groups(JdbcTemplate jdbc, String expressions, RowMapper<T> row) {
    EntrySource source =
        EntrySource.rare(jdbc, terms).map(EntrySource.Rare::source).orElseGet(() -> whole(jdbc));
    List<SizeCheck> asked = asked(source);
    List<Object> given = new ArrayList<>(source.values());
    given.addAll(allValues(asked));
    return jdbc.query(
        "select %1$s, count(*) from %2$s%3$s group by %1$s"
            .formatted(expressions, source.from(), joinedWhere(asked, "")),
        row,
        given.toArray());
  }
}
