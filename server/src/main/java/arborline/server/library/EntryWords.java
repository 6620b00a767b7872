package arborline.server.library;

import arborline.core.library.SearchWords;
import arborline.server.support.PassingFault;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Keeps the tables that lead from words and sizes to entries in step, behind those who change
 * entries. Until then a search looks at such entries one by one; why: docs/decisions/search.md.
 */
@Component
class EntryWords {

  private static final int BATCH = 1000;
  private static final int SWEPT = 20_000;

  private final JdbcTemplate jdbc;
  private final HoldingWords holding;
  private final VersionSizes sizes;
  private final TransactionTemplate transaction;

  EntryWords(
      JdbcTemplate jdbc,
      HoldingWords holding,
      VersionSizes sizes,
      TransactionTemplate transaction) {
    this.jdbc = jdbc;
    this.holding = holding;
    this.sizes = sizes;
    this.transaction = transaction;
  }

  private record Named(long id, long toolId, long versionId, String code, String name) {}

  private record Leading(String word, long entryId) {}

  /**
   * Leads to some entries more. Others wait for the thread of what is done by the clock, so it is
   * given back after each batch.
   */
  @Scheduled(fixedDelay = 100)
  void follow() {
    try {
      transaction.executeWithoutResult(status -> some());
    } catch (RuntimeException fault) {
      if (!PassingFault.is(fault)) {
        throw fault;
      }
    }
  }

  /** Entries that somebody is changing come with a later round: nobody is waited for. */
  private void some() {
    List<Named> behind =
        jdbc.query(
            """
            select id, tool_id, version_id, code, name from entry where worded = false
            order by id limit %d for update skip locked\
            """
                .formatted(BATCH),
            (row, index) ->
                new Named(
                    row.getLong(1),
                    row.getLong(2),
                    row.getLong(3),
                    row.getString(4),
                    row.getString(5)));
    if (behind.isEmpty()) {
      return;
    }
    List<Leading> leading = new ArrayList<>();
    List<Object[]> texts = new ArrayList<>();
    sizes.index(behind.stream().map(Named::versionId).distinct().toList());
    Map<Long, String> held = holding.of(behind.stream().map(Named::toolId).distinct().toList());
    for (Named one : behind) {
      Set<String> words = SearchWords.of(one.code(), one.name());
      String holders = held.getOrDefault(one.toolId(), "");
      Set<String> all = new HashSet<>(words);
      all.addAll(SearchWords.parts(holders));
      all.forEach(word -> leading.add(new Leading(word, one.id())));
      texts.add(new Object[] {SearchWords.text(words), holders, one.id()});
    }
    leading.sort(Comparator.comparing(Leading::word).thenComparing(Leading::entryId));
    jdbc.batchUpdate(
        "insert ignore into entry_word (word, entry_id) values (?, ?)",
        leading.stream().map(one -> new Object[] {one.word(), one.entryId()}).toList());
    jdbc.batchUpdate(
        "update entry set words = ?, held_words = ?, worded = true where id = ?", texts);
  }

  @Scheduled(cron = "0 30 3 * * *", zone = "UTC")
  void sweepAtNight() {
    Thread.startVirtualThread(this::sweep);
  }

  /** Forgets what leads to entries that are gone, called otherwise or of another size by now. */
  void sweep() {
    sizes.sweep();
    Leading last = new Leading("", 0);
    while (last != null) {
      last = sweep(last);
    }
  }

  private Leading sweep(Leading after) {
    List<Leading> end =
        jdbc.query(
            """
            select word, entry_id from entry_word
            where word >= ? and (word > ? or entry_id > ?) order by word, entry_id limit %d, 1\
            """
                .formatted(SWEPT),
            (row, index) -> new Leading(row.getString(1), row.getLong(2)),
            after.word(),
            after.word(),
            after.entryId());
    String until = end.isEmpty() ? "" : " and w.word <= ?";
    List<Object> values = new ArrayList<>(List.of(after.word()));
    end.forEach(last -> values.add(last.word()));
    transaction.executeWithoutResult(status ->
        jdbc.update(
            """
            delete w from entry_word w left join entry e on e.id = w.entry_id
            where w.word >= ?%s
              and (e.id is null or e.worded and concat(e.words, e.held_words) not like concat('%% ', w.word, '%%'))\
            """
                .formatted(until),
            values.toArray()));
    return end.isEmpty() ? null : end.getFirst();
  }
}
