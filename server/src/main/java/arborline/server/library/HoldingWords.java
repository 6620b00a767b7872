package arborline.server.library;

import arborline.core.library.SearchWords;
import java.util.Collection;
import java.util.HashMap;
import java.util.Map;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** By what words a tool is found besides its own: those of all that holds it in its stacks. */
@Component
class HoldingWords {

  private static final String PARTS =
      """
      select s.tool_id, group_concat(distinct concat(c.code, ' ', c.name) order by c.code
        separator ' ') as parts
      from stack s
      join stack_part p on p.stack_id = s.id
      join component c on c.id = p.component_id
      where s.tool_id in (:ids) group by s.tool_id\
      """;

  private final JdbcClient jdbc;

  HoldingWords(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  /** As {@link SearchWords#text}, by tool id; tools that nothing holds are left out. */
  Map<Long, String> of(Collection<Long> toolIds) {
    Map<Long, String> words = new HashMap<>();
    if (!toolIds.isEmpty()) {
      jdbc.sql(PARTS)
          .param("ids", toolIds)
          .query(row -> {
            words.put(
                row.getLong("tool_id"),
                SearchWords.text(SearchWords.of(row.getString("parts"), "")));
          });
    }
    return words;
  }
}
