package arborline.server.library;

import arborline.server.right.ToolGuard;
import arborline.server.support.Refusal;
import arborline.server.tool.CurrentTool;
import arborline.server.tool.Tools;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Finds what somebody picked: tools as libraries hold them, or as they stand in the shop. */
@Component
class CopySource {

  private static final int CHUNK = 1000;

  private final JdbcClient jdbc;
  private final EntryStore store;
  private final Tools tools;
  private final ToolGuard guard;

  CopySource(JdbcClient jdbc, EntryStore store, Tools tools, ToolGuard guard) {
    this.guard = guard;
    this.jdbc = jdbc;
    this.store = store;
    this.tools = tools;
  }

  /**
   * A tool that was picked.
   *
   * @param entryId in the library that it was picked from; 0 where it was picked from none
   * @param from that library; 0 for none
   * @param number that it has there; 0 for none
   * @param behind true where the library holds it in another version than the newest
   */
  record Picked(
      long entryId,
      long from,
      long toolId,
      long versionId,
      boolean behind,
      int number,
      String section,
      String code,
      String classId) {}

  /**
   * The tools of a pick, in the order in which they were picked; all of a library by their numbers.
   *
   * @param from null for tools as they stand in the shop
   * @param toolIds null for all of the library
   * @throws Refusal where one of them is not there
   */
  List<Picked> of(@Nullable Long from, @Nullable List<Long> toolIds) {
    if (from == null && toolIds == null) {
      throw Refusal.badRequest("name the tools, or the library whose tools are all meant");
    }
    if (from != null) {
      store.library(from);
    }
    return toolIds == null ? all(from) : some(from, toolIds);
  }

  private static final String ENTRIES =
      """
      select e.id as entry_id, e.library_id as `from`, e.tool_id, e.version_id,
        e.version_id <> t.version_id as behind, e.number, e.section, e.code, e.class_id
      from entry e join tool t on t.id = e.tool_id where e.library_id = :library\
      """;

  private List<Picked> all(long from) {
    return jdbc.sql(ENTRIES + " order by e.number, e.id")
        .param("library", from)
        .query(Picked.class)
        .list();
  }

  private List<Picked> some(@Nullable Long from, List<Long> toolIds) {
    Map<Long, Picked> known = new HashMap<>();
    List<Long> wanted = toolIds.stream().distinct().toList();
    for (int at = 0; at < wanted.size(); at += CHUNK) {
      List<Long> some = wanted.subList(at, Math.min(wanted.size(), at + CHUNK));
      if (from == null) {
        guard.needSight(some);
        tools.current(some).forEach((id, tool) -> known.put(id, shop(tool)));
      } else {
        jdbc.sql(ENTRIES + " and e.tool_id in (:tools)")
            .param("library", from)
            .param("tools", some)
            .query(Picked.class)
            .list()
            .forEach(picked -> known.put(picked.toolId(), picked));
      }
    }
    List<Picked> picked = new ArrayList<>();
    for (long tool : wanted) {
      picked.add(
          Optional.ofNullable(known.get(tool))
              .orElseThrow(() ->
                  Refusal.notFound(
                      from == null
                          ? "there is no tool " + tool
                          : "library %d does not hold tool %d".formatted(from, tool))));
    }
    return picked;
  }

  private static Picked shop(CurrentTool tool) {
    return new Picked(
        0, 0, tool.id(), tool.versionId(), false, 0, "", tool.code(), tool.tool().toolClass());
  }
}
