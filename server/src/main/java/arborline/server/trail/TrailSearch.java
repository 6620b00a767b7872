package arborline.server.trail;

import arborline.server.right.LibraryGuard;
import arborline.server.trail.TrailController.TrailLine;
import java.sql.Timestamp;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Finds lines of the trail, newest first. */
@Component
@Transactional(readOnly = true)
class TrailSearch {

  private static final int MOST_PEOPLE = 200;

  private final JdbcTemplate jdbc;
  private final LibraryGuard libraries;

  TrailSearch(JdbcTemplate jdbc, LibraryGuard libraries) {
    this.jdbc = jdbc;
    this.libraries = libraries;
  }

  /**
   * Which lines somebody wants; null members want all.
   *
   * @param library what changed the library itself, and the tools that it holds now
   */
  record Wanted(
      @Nullable String who,
      @Nullable String kind,
      @Nullable String subject,
      @Nullable Long library,
      @Nullable String text,
      @Nullable Instant from,
      @Nullable Instant to) {}

  /** Lines before a moment, of one moment those before an id. */
  List<TrailLine> before(Wanted wanted, Instant at, long id, int limit) {
    StringBuilder where =
        new StringBuilder(" where (happened_at < ? or happened_at = ? and id < ?)");
    List<Object> values = new ArrayList<>(List.of(Timestamp.from(at), Timestamp.from(at), id));
    add(where, values, " and who = ?", wanted.who());
    add(where, values, " and subject_kind = ?", wanted.kind());
    add(where, values, " and subject_id = ?", wanted.subject());
    add(where, values, " and text like ?", pattern(wanted.text()));
    add(where, values, " and happened_at >= ?", timestamp(wanted.from()));
    add(where, values, " and happened_at < ?", timestamp(wanted.to()));
    if (wanted.library() != null) {
      where.append(
          """
           and (subject_kind = 'library' and subject_id = ? or subject_kind = 'tool' and exists (
            select 1 from entry e where e.library_id = ?
              and e.tool_id = cast(subject_id as unsigned))
            or exists (select 1 from trail_library l
              where l.library_id = ? and l.trail_id = trail_entry.id))\
          """);
      values.add(wanted.library().toString());
      values.add(wanted.library());
      values.add(wanted.library());
    }
    leaveOut(where, values, libraries.hidden());
    values.add(limit);
    return jdbc.query(
        """
        select id, happened_at, who, subject_kind, subject_id, text, undo_kind, undone_by
        from trail_entry\
        """
            + where
            + " order by happened_at desc, id desc limit ?",
        (row, index) ->
            new TrailLine(
                row.getLong(1),
                row.getTimestamp(2).toInstant(),
                row.getString(3),
                row.getString(4),
                row.getString(5),
                row.getString(6),
                undo(row.getString(7), row.getObject(8) != null)),
        values.toArray());
  }

  /** Leaves out what was done only in libraries that whoever asks does not see. */
  private static void leaveOut(StringBuilder where, List<Object> values, Set<Long> hidden) {
    if (hidden.isEmpty()) {
      return;
    }
    String marks = String.join(", ", Collections.nCopies(hidden.size(), "?"));
    where.append(
        """
         and not (exists (select 1 from trail_library l
             where l.trail_id = trail_entry.id and l.library_id in (%1$s))
           and not exists (select 1 from trail_library l
             where l.trail_id = trail_entry.id and l.library_id not in (%1$s)))
         and not (subject_kind = 'library' and subject_id in (%1$s))
         and not (subject_kind = 'tool'
           and exists (select 1 from entry e where e.tool_id = cast(subject_id as unsigned))
           and not exists (select 1 from entry e where e.tool_id = cast(subject_id as unsigned)
             and e.library_id not in (%1$s)))\
        """
            .formatted(marks));
    for (int times = 0; times < 4; times++) {
      values.addAll(hidden);
    }
  }

  private static void add(
      StringBuilder where, List<Object> values, String condition, @Nullable Object value) {
    if (value != null) {
      where.append(condition);
      values.add(value);
    }
  }

  private static @Nullable String pattern(@Nullable String text) {
    return text == null || text.isBlank()
        ? null
        : "%" + text.strip().replaceAll("([%_\\\\])", "\\\\$1") + "%";
  }

  private static @Nullable Timestamp timestamp(@Nullable Instant moment) {
    return moment == null ? null : Timestamp.from(moment);
  }

  private static String undo(@Nullable String kind, boolean undone) {
    return kind == null ? "none" : undone ? "done" : "possible";
  }

  List<String> people() {
    return jdbc.queryForList(
        "select distinct who from trail_entry order by who limit " + MOST_PEOPLE, String.class);
  }
}
