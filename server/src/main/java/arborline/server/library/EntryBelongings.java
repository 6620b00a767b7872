package arborline.server.library;

import arborline.server.tool.BelongingsChanged;
import jakarta.persistence.EntityManager;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.SortedSet;
import java.util.TreeSet;
import org.springframework.context.event.EventListener;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * Keeps beside the entries of a tool what lists are ordered by and find it by: the holder of the
 * stack that was kept first, the words of all that holds it, and the work materials for which it
 * has cutting data. Each transaction brings the entries that it touched into step once, at its end.
 */
@Component
@Transactional(propagation = Propagation.MANDATORY)
class EntryBelongings {

  private static final int CHUNK = 500;

  private static final String HOLDER =
      """
      coalesce((
        select c.code from stack s
        join stack_part p on p.stack_id = s.id and p.place = 0
        join component c on c.id = p.component_id
        where s.tool_id = e.tool_id order by s.id limit 1), '')\
      """;

  private static final String MATERIALS =
      """
      coalesce((
        select left(group_concat(distinct d.material order by d.material separator ', '), 200)
        from cutting_line d where d.tool_id = e.tool_id and d.material <> ''), '')\
      """;

  private final JdbcClient jdbc;
  private final HoldingWords holding;
  private final EntityManager entities;

  EntryBelongings(JdbcClient jdbc, HoldingWords holding, EntityManager entities) {
    this.jdbc = jdbc;
    this.holding = holding;
    this.entities = entities;
  }

  @EventListener
  void follow(BelongingsChanged changed) {
    follow(changed.toolIds());
  }

  /** All entries of some tools, those of the running transaction too. */
  void follow(Collection<Long> toolIds) {
    behind().toolIds.addAll(toolIds);
  }

  private Behind behind() {
    return TransactionSynchronizationManager.getSynchronizations().stream()
        .filter(Behind.class::isInstance)
        .map(Behind.class::cast)
        .findFirst()
        .orElseGet(() -> {
          Behind begun = new Behind();
          TransactionSynchronizationManager.registerSynchronization(begun);
          return begun;
        });
  }

  private void bring(List<Long> toolIds) {
    jdbc.sql(
            "update entry e set e.holder = %s, e.materials = %s where e.tool_id in (:ids)"
                .formatted(HOLDER, MATERIALS))
        .param("ids", toolIds)
        .update();
    Map<Long, String> words = holding.of(toolIds);
    words.forEach((toolId, text) -> found(List.of(toolId), text));
    List<Long> bare = toolIds.stream().filter(id -> !words.containsKey(id)).toList();
    if (!bare.isEmpty()) {
      found(bare, "");
    }
  }

  private void found(List<Long> toolIds, String words) {
    jdbc.sql(
            """
            update entry set held_words = :words, worded = false
            where tool_id in (:ids) and held_words <> :words\
            """)
        .param("words", words)
        .param("ids", toolIds)
        .update();
  }

  /** The tools whose entries are behind in a transaction. */
  private final class Behind implements TransactionSynchronization {

    private final SortedSet<Long> toolIds = new TreeSet<>();

    @Override
    public void beforeCommit(boolean readOnly) {
      entities.flush();
      List<Long> all = List.copyOf(toolIds);
      for (int from = 0; from < all.size(); from += CHUNK) {
        bring(all.subList(from, Math.min(all.size(), from + CHUNK)));
      }
    }
  }
}
