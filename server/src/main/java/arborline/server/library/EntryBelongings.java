package arborline.server.library;

import arborline.server.live.Live;
import arborline.server.tool.BelongingsChanged;
import arborline.server.tool.StandingChanged;
import jakarta.persistence.EntityManager;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.SortedSet;
import java.util.TreeSet;
import java.util.function.Consumer;
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
 * has cutting data, and how far it is trusted. Each transaction brings the entries that it touched
 * into step once, at its end.
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

  private static final String STANDING = "(select t.standing from tool t where t.id = e.tool_id)";

  private final JdbcClient jdbc;
  private final HoldingWords holding;
  private final EntityManager entities;
  private final Live live;

  EntryBelongings(JdbcClient jdbc, HoldingWords holding, EntityManager entities, Live live) {
    this.jdbc = jdbc;
    this.holding = holding;
    this.entities = entities;
    this.live = live;
  }

  /** All entries of tools to which something else belongs now. */
  @EventListener
  void follow(BelongingsChanged changed) {
    behind().toolIds.addAll(changed.toolIds());
  }

  /** All entries of tools that are trusted otherwise now. */
  @EventListener
  void follow(StandingChanged changed) {
    inChunks(changed.toolIds(), this::trusted);
  }

  private void trusted(List<Long> toolIds) {
    jdbc.sql("update entry e set e.standing = %s where e.tool_id in (:ids)".formatted(STANDING))
        .param("ids", toolIds)
        .update();
    jdbc.sql("select distinct library_id from entry where tool_id in (:ids)")
        .param("ids", toolIds)
        .query(Long.class)
        .list()
        .forEach(id -> live.say("library", id, ""));
  }

  /** Entries that were added for tools to which something may belong. */
  void follow(Collection<Long> entryIds) {
    behind().entryIds.addAll(entryIds);
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

  /** What is behind in a transaction. */
  private final class Behind implements TransactionSynchronization {

    private final SortedSet<Long> toolIds = new TreeSet<>();
    private final SortedSet<Long> entryIds = new TreeSet<>();

    @Override
    public void beforeCommit(boolean readOnly) {
      entities.flush();
      inChunks(toolIds, some -> bring("e.tool_id in (:ids)", some, some));
      inChunks(entryIds, some -> bring("e.id in (:ids)", some, toolsOf(some)));
    }
  }

  private static void inChunks(Collection<Long> ids, Consumer<List<Long>> each) {
    List<Long> all = List.copyOf(ids);
    for (int from = 0; from < all.size(); from += CHUNK) {
      each.accept(all.subList(from, Math.min(all.size(), from + CHUNK)));
    }
  }

  private List<Long> toolsOf(List<Long> entryIds) {
    return jdbc.sql("select distinct tool_id from entry where id in (:ids)")
        .param("ids", entryIds)
        .query(Long.class)
        .list();
  }

  /**
   * Brings some entries into step; no others are locked.
   *
   * @param which condition on them, with {@code :ids}
   * @param toolIds their tools
   */
  private void bring(String which, List<Long> ids, List<Long> toolIds) {
    jdbc.sql(
            "update entry e set e.holder = %s, e.materials = %s, e.standing = %s where %s"
                .formatted(HOLDER, MATERIALS, STANDING, which))
        .param("ids", ids)
        .update();
    Map<Long, String> words = holding.of(toolIds);
    words.forEach((toolId, text) -> found(which, ids, List.of(toolId), text));
    List<Long> bare = toolIds.stream().filter(id -> !words.containsKey(id)).toList();
    if (!bare.isEmpty()) {
      found(which, ids, bare, "");
    }
  }

  private void found(String which, List<Long> ids, List<Long> toolIds, String words) {
    jdbc.sql(
            """
            update entry e set e.held_words = :words, e.worded = false
            where %s and e.tool_id in (:tools) and e.held_words <> :words\
            """
                .formatted(which))
        .param("words", words)
        .param("ids", ids)
        .param("tools", toolIds)
        .update();
  }
}
