package arborline.server.library;

import arborline.core.library.SearchText;
import java.util.ArrayList;
import java.util.List;
import org.springframework.jdbc.core.JdbcTemplate;

/**
 * What a search asks for, the beginning of a word or a range of a size: each leads to entries
 * through a table of its own.
 *
 * @param table of which the rows are counted
 * @param entries SQL for the ids of entries, before the condition
 * @param condition on the table
 * @param values of it
 * @param behind a condition on entries that the table may not lead to yet
 * @param behindValues of that
 * @param join the table joined to {@code entry e}, where each of its rows leads to other entries;
 *     empty for others
 */
record SearchTerm(
    String table,
    String entries,
    String condition,
    List<Object> values,
    String behind,
    List<Object> behindValues,
    String join) {

  /** An index tells up to about twice or half as many rows as there are. */
  private static final int SURELY = 4;

  static SearchTerm word(String beginning) {
    return new SearchTerm(
        "entry_word w",
        "select w.entry_id as id from entry_word w",
        "w.word like ?",
        List.of(beginning + "%"),
        "concat(words, held_words) like ?",
        List.of("% " + beginning + "%"),
        "");
  }

  static SearchTerm size(SearchText.Condition condition) {
    List<Object> bounds = new ArrayList<>();
    condition.least().ifPresent(bounds::add);
    condition.most().ifPresent(bounds::add);
    if (condition.symbol().equals("DC")) {
      String range = range("dc", condition);
      return new SearchTerm("entry", "select id from entry", range, bounds, range, bounds, "");
    }
    List<Object> values = new ArrayList<>(List.of(condition.symbol()));
    values.addAll(bounds);
    String led = "s.symbol = ? and " + range("s.size", condition);
    return new SearchTerm(
        "version_size s",
        """
        select f.id from version_size s
        straight_join entry f on f.tool_id = s.tool_id and f.version_id = s.version_id\
        """,
        led,
        values,
        "true",
        List.of(),
        """
        version_size s straight_join entry e
          on %s and e.tool_id = s.tool_id and e.version_id = s.version_id\
        """
            .formatted(led));
  }

  private static String range(String column, SearchText.Condition condition) {
    List<String> range = new ArrayList<>();
    condition.least().ifPresent(least -> range.add(column + " >= ?"));
    condition.most().ifPresent(most -> range.add(column + " <= ?"));
    return String.join(" and ", range);
  }

  /** SQL for the ids of the entries that it leads to. */
  String ids() {
    return entries + " where " + condition;
  }

  /** How many rows lead there, as far as that is asked. */
  long count(JdbcTemplate jdbc, long most) {
    if (estimate(jdbc) >= SURELY * most) {
      return most;
    }
    Long count =
        jdbc.queryForObject(
            "select count(*) from (select 1 from %s where %s limit %d) n"
                .formatted(table, condition, most),
            Long.class,
            values.toArray());
    return count == null ? 0 : count;
  }

  /** About how many rows lead there, as their index tells without being read. */
  private long estimate(JdbcTemplate jdbc) {
    Long rows =
        jdbc.query(
            "explain select 1 from %s where %s".formatted(table, condition),
            row -> row.next() ? row.getLong("rows") : 0,
            values.toArray());
    return rows == null ? 0 : rows;
  }
}
