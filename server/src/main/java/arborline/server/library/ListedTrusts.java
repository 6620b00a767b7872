package arborline.server.library;

import arborline.core.finding.Severity;
import arborline.core.tool.RuleBook;
import arborline.server.tool.Tools;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Why the tools of a list can be trusted, or not. */
@Component
class ListedTrusts {

  private static final String TRUSTS =
      """
      select t.id, t.standing_by, t.standing_at,
        (select count(*) from tool_version v
          where v.tool_id = t.id and v.created_at > t.standing_at) as later,
        (select count(*) from cutting_line c
          where c.tool_id = t.id and c.origin = 'PROVEN') as proven,
        (select left(group_concat(distinct nullif(c.machine, '')
            order by c.machine separator ', '), 200)
          from cutting_line c where c.tool_id = t.id and c.origin = 'PROVEN') as machines
      from tool t where t.id in (:ids)\
      """;

  private final JdbcClient jdbc;
  private final ObjectProvider<Tools> tools;

  ListedTrusts(JdbcClient jdbc, ObjectProvider<Tools> tools) {
    this.jdbc = jdbc;
    this.tools = tools;
  }

  /**
   * Why a tool can be trusted.
   *
   * @param by who brought it to its standing; null where it never had another one
   * @param later how many versions came after that
   * @param proven how many lines of its cutting data were proven
   * @param machines where, in words; empty for none
   * @param open how many of its rules object to the version that the library holds
   */
  public record ListedTrust(
      @Nullable String by,
      @Nullable Instant at,
      int later,
      int proven,
      String machines,
      int open) {}

  private record Known(
      @Nullable String by, @Nullable Instant at, int later, int proven, String machines) {

    static Known of(ResultSet row) throws SQLException {
      Timestamp at = row.getTimestamp("standing_at");
      return new Known(
          row.getString("standing_by"),
          at == null ? null : at.toInstant(),
          row.getInt("later"),
          row.getInt("proven"),
          Optional.ofNullable(row.getString("machines")).orElse(""));
    }
  }

  /** By entry. */
  Map<Long, ListedTrust> of(List<ListedTool> listed) {
    Map<Long, ListedTrust> trusts = new HashMap<>();
    if (listed.isEmpty()) {
      return trusts;
    }
    Map<Long, Known> known = new HashMap<>();
    jdbc.sql(TRUSTS)
        .param("ids", listed.stream().map(ListedTool::toolId).distinct().toList())
        .query(row -> {
          known.put(row.getLong("id"), Known.of(row));
        });
    Map<Long, Long> open = new HashMap<>();
    tools
        .getObject()
        .versions(listed.stream().map(ListedTool::versionId).distinct().toList())
        .forEach((version, tool) ->
            open.put(
                version,
                RuleBook.judge(tool).stream()
                    .filter(finding -> finding.severity() != Severity.NOTE)
                    .count()));
    for (ListedTool tool : listed) {
      Known one = known.get(tool.toolId());
      trusts.put(
          tool.id(),
          new ListedTrust(
              one.by(),
              one.at(),
              one.later(),
              one.proven(),
              one.machines(),
              open.getOrDefault(tool.versionId(), 0L).intValue()));
    }
    return trusts;
  }
}
