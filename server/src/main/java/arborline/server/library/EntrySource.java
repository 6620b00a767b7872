package arborline.server.library;

import arborline.core.library.SearchWords;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;

/**
 * Where a list query begins: at all entries, at those that a rare word leads to, or at the first of
 * an order. It only narrows what is looked at; the conditions of the query decide. Why:
 * docs/decisions/search.md.
 *
 * @param from SQL that ends with {@code entry e}
 * @param values of it
 */
record EntrySource(String from, List<Object> values) {

  static final EntrySource ALL = new EntrySource("entry e", List.of());

  /** All entries as they lie: where most are looked at, no index is quicker. */
  static final EntrySource READ = new EntrySource("entry e use index ()", List.of());

  /** A word that leads to more entries than this is common. */
  private static final int FEW = 10_000;

  private static final String LED =
      """
      (select entry_id as id from entry_word where word like ?%s
       union select id from entry where worded = false and concat(words, held_words) like ?) c
       straight_join entry e on e.id = c.id\
      """;

  /**
   * The entries that the rarest of some beginnings of words leads to.
   *
   * @return nothing where all are common, or there are none
   */
  static Optional<EntrySource> rare(JdbcTemplate jdbc, List<String> beginnings) {
    return counted(jdbc, beginnings).stream()
        .findFirst()
        .filter(rarest -> rarest.entries() <= FEW)
        .map(rarest -> led(rarest.word(), null));
  }

  /** The entries that the two rarest lead to both, however many. */
  static EntrySource both(JdbcTemplate jdbc, List<String> beginnings) {
    List<Counted> rarest = counted(jdbc, beginnings);
    return led(rarest.getFirst().word(), rarest.size() > 1 ? rarest.get(1).word() : null);
  }

  private record Counted(String word, long entries) {}

  private static List<Counted> counted(JdbcTemplate jdbc, List<String> beginnings) {
    return beginnings.stream()
        .distinct()
        .map(word -> new Counted(word, count(jdbc, word)))
        .sorted(Comparator.comparingLong(Counted::entries))
        .toList();
  }

  private static long count(JdbcTemplate jdbc, String word) {
    Long count =
        jdbc.queryForObject(
            "select count(*) from (select 1 from entry_word where word like ? limit %d) n"
                .formatted(FEW + 1),
            Long.class,
            word + "%");
    return count == null ? 0 : count;
  }

  private static EntrySource led(String word, @Nullable String other) {
    List<Object> values = new ArrayList<>(List.of(word + "%"));
    String also = "";
    if (other != null) {
      also = " and entry_id in (select entry_id from entry_word where word like ?)";
      values.add(other + "%");
    }
    values.add("% " + word + "%");
    return new EntrySource(LED.formatted(also), values);
  }

  /** The first entries of an order, as a query over {@code entry e} gives their ids. */
  static EntrySource first(String query, List<Object> values) {
    return new EntrySource(
        "(%s) c straight_join entry e on e.id = c.id".formatted(query), List.copyOf(values));
  }

  /** The beginnings that typed words ask for; signs alone ask for none. */
  static List<String> beginnings(List<String> typed) {
    return typed.stream().flatMap(word -> SearchWords.beginnings(word).stream()).toList();
  }
}
