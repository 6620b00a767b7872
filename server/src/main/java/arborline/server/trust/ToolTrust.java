package arborline.server.trust;

import arborline.core.finding.Finding;
import arborline.core.finding.Severity;
import arborline.core.library.Standing;
import arborline.core.tool.RuleBook;
import arborline.core.tool.Tool;
import arborline.server.tool.Tools;
import java.sql.Timestamp;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Gathers why a tool can be trusted. */
@Service
class ToolTrust {

  private static final int MOST_VERSIONS = 100;

  private final Tools tools;
  private final JdbcClient jdbc;

  ToolTrust(Tools tools, JdbcClient jdbc) {
    this.tools = tools;
    this.jdbc = jdbc;
  }

  /** A version that came after the tool was last brought to its standing. */
  record ChangedSince(int version, Instant at, String by) {}

  /**
   * Cutting data that proved good at a machine.
   *
   * @param machine as whoever proved it wrote it; blank where he did not say
   * @param times how many lines are proven there
   * @param last when the newest was
   */
  record ProvenAt(String machine, int times, Instant last, String by) {}

  /** When a measure of the tool was last typed or read at a machine. */
  record Measured(String machine, Instant at, String by) {}

  /**
   * Why a tool can be trusted, or not.
   *
   * @param by who brought it to its standing; null where it never had another one
   * @param changedSince the newest first
   * @param measured null where it never was
   * @param asked how many rules of its class and of all tools it was asked
   * @param open what they object to
   */
  record Trust(
      Standing standing,
      @Nullable String by,
      @Nullable Instant at,
      List<ChangedSince> changedSince,
      List<ProvenAt> proven,
      @Nullable Measured measured,
      int asked,
      List<Finding> open) {}

  private record Standee(int standing, @Nullable String by, @Nullable Instant at) {}

  @Transactional(readOnly = true)
  Trust of(long id) {
    Tool tool = tools.get(id).tool();
    Standee standee =
        jdbc.sql("select standing, standing_by, standing_at from tool where id = ?")
            .param(id)
            .query((row, index) ->
                new Standee(row.getInt(1), row.getString(2), instant(row.getTimestamp(3))))
            .single();
    return new Trust(
        Standing.at(standee.standing()),
        standee.by(),
        standee.at(),
        standee.at() == null ? List.of() : changedSince(id, standee.at()),
        proven(id),
        measured(tool.code()).orElse(null),
        RuleBook.asked(tool.toolClass()),
        RuleBook.judge(tool).stream()
            .filter(finding -> finding.severity() != Severity.NOTE)
            .toList());
  }

  private static @Nullable Instant instant(@Nullable Timestamp moment) {
    return moment == null ? null : moment.toInstant();
  }

  private List<ChangedSince> changedSince(long id, Instant at) {
    return jdbc.sql(
            """
            select version_no, created_at, created_by from tool_version
            where tool_id = ? and created_at > ? order by version_no desc limit ?\
            """)
        .params(id, Timestamp.from(at), MOST_VERSIONS)
        .query((row, index) ->
            new ChangedSince(row.getInt(1), row.getTimestamp(2).toInstant(), row.getString(3)))
        .list();
  }

  private List<ProvenAt> proven(long id) {
    return jdbc.sql(
            """
            select machine, count(*) as times, max(said_at) as last,
              substring_index(group_concat(said_by order by said_at desc separator '\\n'), '\\n', 1)
                as who
            from cutting_line where tool_id = ? and origin = 'PROVEN' group by machine
            order by last desc\
            """)
        .param(id)
        .query((row, index) ->
            new ProvenAt(
                row.getString(1), row.getInt(2), row.getTimestamp(3).toInstant(), row.getString(4)))
        .list();
  }

  /** The newest line of the trail that says so. */
  private Optional<Measured> measured(String code) {
    return jdbc.sql(
            """
            select coalesce(m.name, t.subject_id) as machine, t.happened_at, t.who
            from trail_entry t left join machine m on m.id = t.subject_id
            where t.subject_kind = 'machine' and t.undone_by is null and t.text like ?
            order by t.happened_at desc, t.id desc limit 1\
            """)
        .param("measured %s in %%".formatted(code.replaceAll("([%_\\\\])", "\\\\$1")))
        .query((row, index) ->
            new Measured(row.getString(1), row.getTimestamp(2).toInstant(), row.getString(3)))
        .optional();
  }
}
