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
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** The filters of a list as SQL over {@code entry e}, and what of them leads to entries. */
final class ListConditions {

  private static final int MOST_WORDS = 20;

  private final ToolQuery.Filter filter;
  private final List<SearchTerm> terms;
  private final StringBuilder where = new StringBuilder(" where 1 = 1");
  private final List<Object> values = new ArrayList<>();
  private final List<SizeCheck> sizes = new ArrayList<>();

  /** True where diameters are sought. */
  private boolean byDiameter;

  /** The one diameter that is sought, mm; null for none or several. */
  private @Nullable BigDecimal diameter;

  ListConditions(ToolQuery.Filter filter, ToolQuery.Except except) {
    this.filter = filter;
    SearchText text = SearchText.parse(filter.q() == null ? "" : filter.q());
    List<String> words = EntrySource.beginnings(text.words());
    if (words.size() + text.conditions().size() > MOST_WORDS) {
      throw Refusal.badRequest("at most %d words can be sought at once".formatted(MOST_WORDS));
    }
    if (filter.libraryId() != null) {
      add("e.library_id = ?", filter.libraryId());
    }
    if (filter.libraryId() == null && !filter.hidden().isEmpty()) {
      add("e.library_id not in (%s)".formatted(marks(filter.hidden())), filter.hidden().toArray());
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
    if (except == ToolQuery.Except.NOTHING && !filter.classes().isEmpty()) {
      add("e.class_id in (%s)".formatted(marks(filter.classes())), filter.classes().toArray());
    }
    if (except == ToolQuery.Except.NOTHING) {
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
  record SizeCheck(SearchTerm term, String sql, List<Object> values) {

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
  List<SizeCheck> asked(EntrySource source) {
    return sizes.stream().filter(check -> !check.term().equals(source.exact())).toList();
  }

  /** The tables of a query, with all conditions on them. */
  String joinedWhere(List<SizeCheck> asked, String joins) {
    return (asked.isEmpty() ? "" : " join tool_version v on v.id = e.version_id")
        + joins
        + where
        + asked.stream().map(SizeCheck::sql).collect(Collectors.joining());
  }

  List<Object> allValues(List<SizeCheck> asked) {
    List<Object> all = new ArrayList<>(values);
    asked.forEach(check -> all.addAll(check.values()));
    return all;
  }

  private void diameter(@Nullable BigDecimal least, @Nullable BigDecimal most) {
    byDiameter |= least != null || most != null;
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
   * True where something else than one common word or size narrows the list, which the database is
   * good at.
   */
  boolean narrowedByMore() {
    return terms.size() == 1
        && (!filter.classes().isEmpty()
            || filter.section() != null
            || filter.diaMin() != null
            || filter.diaMax() != null);
  }

  /** What leads to entries, what is rare by its nature first. */
  List<SearchTerm> terms() {
    return terms;
  }

  /** The sizes that are asked of versions. */
  List<SizeCheck> sizes() {
    return sizes;
  }

  /** The one diameter that is sought, mm; null for none or several. */
  @Nullable BigDecimal diameter() {
    return diameter;
  }

  /** True where diameters are sought. */
  boolean byDiameter() {
    return byDiameter;
  }
}
