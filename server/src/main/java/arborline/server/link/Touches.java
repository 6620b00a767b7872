package arborline.server.link;

import arborline.server.right.LibraryGuard;
import arborline.server.support.Refusal;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What a change of something would touch. */
@Service
class Touches {

  private static final int SHOWN = 100;

  /** No library has this number. */
  private static final Set<Long> NONE = Set.of(0L);

  private final JdbcClient jdbc;
  private final LibraryGuard guard;
  private final List<TouchedSubject> subjects;

  Touches(JdbcClient jdbc, LibraryGuard guard, List<TouchedSubject> subjects) {
    this.jdbc = jdbc;
    this.guard = guard;
    this.subjects = subjects;
  }

  /**
   * Things of one kind that would be touched.
   *
   * @param relation how they hang on it
   * @param count of all, also of those that are not listed
   */
  record TouchedGroup(LinkKind kind, String relation, long count, List<LinkEnd> items) {}

  private record Row(String id, String name, String href) {}

  /** What a change of something touches, kind by kind; without what whoever asks does not see. */
  @Transactional(readOnly = true)
  List<TouchedGroup> of(LinkKind kind, String id) {
    TouchedSubject subject =
        subjects.stream()
            .filter(one -> one.kind() == kind)
            .findFirst()
            .orElseThrow(() ->
                Refusal.badRequest(
                    "kind: ask of TOOL, HOLDER, LIBRARY, POST or MACHINE what a change touches"));
    Object known = subject.need(id);
    Set<Long> hidden = guard.hidden();
    return subject.touching().stream()
        .map(touching -> group(touching, known, hidden))
        .filter(group -> group.count() > 0)
        .toList();
  }

  /** Counts them only where there are more than are listed: they are found by the same reading. */
  private TouchedGroup group(Touching touching, Object id, Set<Long> hidden) {
    TouchedEnd end = touching.end();
    boolean some = !hidden.isEmpty();
    Set<Long> unseen = hidden.isEmpty() ? NONE : hidden;
    List<Row> rows =
        jdbc.sql(touching.query(end.columns(), some) + " limit " + SHOWN)
            .param("id", id)
            .param("hidden", unseen)
            .query(Row.class)
            .list();
    long count =
        rows.size() < SHOWN
            ? rows.stream().map(Row::id).distinct().count()
            : jdbc.sql(touching.count(some))
                .param("id", id)
                .param("hidden", unseen)
                .query(Long.class)
                .single();
    List<LinkEnd> items =
        rows.stream()
            .sorted(Comparator.comparing(Row::name))
            .map(row -> new LinkEnd(end.kind(), row.id(), row.name(), row.href()))
            .toList();
    return new TouchedGroup(end.kind(), touching.words(count), count, items);
  }
}
