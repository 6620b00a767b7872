package arborline.server.library;

import arborline.core.library.SearchWords;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;

/**
 * Where a list query begins: at all entries, at those that a rare word or size leads to, or at the
 * first of an order. It only narrows what is looked at; the conditions of the query decide. Why:
 * docs/decisions/search.md.
 *
 * @param from SQL that ends with {@code entry e}, or with its join
 * @param values of it
 * @param exact what all entries of it have, so that it need not be asked again; null for nothing
 */
record EntrySource(String from, List<Object> values, @Nullable SearchTerm exact) {

  static final EntrySource ALL = new EntrySource("entry e", List.of(), null);

  /** All entries as they lie: where most are looked at, no index is quicker. */
  static final EntrySource READ = new EntrySource("entry e use index ()", List.of(), null);

  /** What leads to more entries than this is common. */
  private static final int FEW = 12_000;

  /** No more are counted to see which of two common ones is the rarer. */
  private static final int MANY = 100_000;

  private static final String LED =
      """
      (%s union select id from entry where worded = false and %s) c
       straight_join entry e on e.id = c.id\
      """;

  /**
   * Where the rarest of what is sought leads.
   *
   * @param entries how many rows lead there
   */
  record Rare(EntrySource source, long entries) {}

  /**
   * The rarest of what is sought.
   *
   * @return nothing where all are common, or there are none
   */
  static Optional<Rare> rare(JdbcTemplate jdbc, List<SearchTerm> terms) {
    Counted rarest = null;
    for (SearchTerm term : terms) {
      long most = rarest == null ? FEW + 1L : rarest.entries();
      long entries = term.count(jdbc, most);
      if (entries < most) {
        rarest = new Counted(term, entries);
      }
    }
    return Optional.ofNullable(rarest)
        .map(found -> new Rare(leads(jdbc, found.term()), found.entries()));
  }

  /**
   * The entries that the two rarest lead to both, however many; those of the rarest alone where the
   * other leads nearly everywhere.
   */
  static EntrySource both(JdbcTemplate jdbc, List<SearchTerm> terms) {
    List<Counted> rarest = counted(jdbc, terms, MANY);
    Counted first = rarest.getFirst();
    boolean narrows =
        rarest.size() > 1 && (rarest.get(1).entries() < MANY || first.entries() >= MANY);
    return led(first.term(), narrows ? rarest.get(1).term() : null);
  }

  private record Counted(SearchTerm term, long entries) {}

  /** The rarest first, as far as they are counted. */
  private static List<Counted> counted(JdbcTemplate jdbc, List<SearchTerm> terms, int most) {
    return terms.stream()
        .distinct()
        .map(term -> new Counted(term, term.count(jdbc, most)))
        .sorted(Comparator.comparingLong(Counted::entries))
        .toList();
  }

  private static EntrySource led(SearchTerm term, @Nullable SearchTerm other) {
    List<Object> values = new ArrayList<>(term.values());
    String ids = term.ids();
    if (other != null) {
      ids = "select a.id from (%s) a where a.id in (%s)".formatted(ids, other.ids());
      values.addAll(other.values());
    }
    values.addAll(term.behindValues());
    return new EntrySource(LED.formatted(ids, term.behind()), values, null);
  }

  private static EntrySource leads(JdbcTemplate jdbc, SearchTerm term) {
    return term.join().isEmpty() || behind(jdbc) ? led(term, null) : joined(term);
  }

  private static EntrySource joined(SearchTerm term) {
    return new EntrySource(term.join(), term.values(), term);
  }

  /** True while the tables do not lead to some entry yet. */
  private static boolean behind(JdbcTemplate jdbc) {
    return Boolean.TRUE.equals(
        jdbc.queryForObject(
            "select exists(select 1 from entry where worded = false)", Boolean.class));
  }

  /** The first entries of an order, as a query over {@code entry e} gives their ids. */
  static EntrySource first(String query, List<Object> values) {
    return new EntrySource(
        "(%s) c straight_join entry e on e.id = c.id".formatted(query), List.copyOf(values), null);
  }

  /** The beginnings that typed words ask for; signs alone ask for none. */
  static List<String> beginnings(List<String> typed) {
    return typed.stream().flatMap(word -> SearchWords.beginnings(word).stream()).toList();
  }
}
