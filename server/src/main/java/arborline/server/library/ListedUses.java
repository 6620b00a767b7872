package arborline.server.library;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** What belongs to the tools of a list: holders, cutting data, pockets. */
@Component
class ListedUses {

  private static final String USES =
      """
      select t.id,
        (select c.code from stack s
          join stack_part p on p.stack_id = s.id and p.place = 0
          join component c on c.id = p.component_id
          where s.tool_id = t.id order by s.id limit 1),
        (select left(group_concat(distinct nullif(c.material, '')
            order by c.material separator ', '), 200)
          from cutting_line c where c.tool_id = t.id),
        (select left(group_concat(concat(m.name, ' ', p.place) order by m.name separator ', '), 200)
          from plan_place p join machine m on m.id = p.machine_id where p.tool_id = t.id)
      from tool t where t.id in (:ids)\
      """;

  private final JdbcClient jdbc;

  ListedUses(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  /**
   * What belongs to a tool; empty texts for nothing.
   *
   * @param holder the part of its first stack that the spindle takes
   * @param materials for which it has cutting data
   * @param planned machines and their pockets
   */
  public record Uses(String holder, String materials, String planned) {

    static final Uses NONE = new Uses("", "", "");
  }

  /** By tool id. */
  Map<Long, Uses> of(List<ListedTool> listed) {
    Map<Long, Uses> uses = new HashMap<>();
    List<Long> ids = listed.stream().map(ListedTool::toolId).distinct().toList();
    if (!ids.isEmpty()) {
      jdbc.sql(USES)
          .param("ids", ids)
          .query(row -> {
            uses.put(
                row.getLong(1),
                new Uses(text(row.getString(2)), text(row.getString(3)), text(row.getString(4))));
          });
    }
    return uses;
  }

  private static String text(@Nullable String found) {
    return Optional.ofNullable(found).orElse("");
  }
}
