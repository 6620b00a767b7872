package arborline.server.library;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** What a library is at a moment, and in what two such states are not the same. */
@Component
class LibraryStates {

  private final JdbcClient jdbc;
  private final Libraries libraries;

  LibraryStates(JdbcClient jdbc, Libraries libraries) {
    this.jdbc = jdbc;
    this.libraries = libraries;
  }

  /**
   * A tool as a library holds it.
   *
   * @param versionNo of the version at which it stays; 0 where it follows the newest
   */
  record HeldTool(long toolId, String code, int number, String section, int versionNo) {}

  /** A library with all that stands in it, by tool. */
  record LibraryState(LibrarySettings settings, Map<Long, HeldTool> tools) {}

  /** What became of a tool. */
  enum Became {
    ADDED,
    REMOVED,
    CHANGED
  }

  /**
   * A tool that is not the same in two states.
   *
   * @param changes each as a short sentence: {@code number 5 became 7}
   */
  record ToolChange(long toolId, String code, Became became, List<String> changes) {}

  LibraryState now(long libraryId) {
    Map<Long, HeldTool> tools = new TreeMap<>();
    jdbc.sql(
            """
            select e.tool_id, e.code, e.number, e.section,
              case when e.pinned then v.version_no else 0 end as version_no
            from entry e join tool_version v on v.id = e.version_id where e.library_id = ?\
            """)
        .param(libraryId)
        .query(HeldTool.class)
        .list()
        .forEach(tool -> tools.put(tool.toolId(), tool));
    return new LibraryState(libraries.get(libraryId).settings(), tools);
  }

  /** The tools that are not the same, by code. */
  static List<ToolChange> changes(LibraryState from, LibraryState to) {
    List<ToolChange> changes = new ArrayList<>();
    to.tools()
        .forEach((id, tool) -> {
          HeldTool before = from.tools().get(id);
          if (before == null) {
            changes.add(new ToolChange(id, tool.code(), Became.ADDED, List.of(stands(tool))));
          } else if (!between(before, tool).isEmpty()) {
            changes.add(new ToolChange(id, tool.code(), Became.CHANGED, between(before, tool)));
          }
        });
    from.tools()
        .forEach((id, tool) -> {
          if (!to.tools().containsKey(id)) {
            changes.add(new ToolChange(id, tool.code(), Became.REMOVED, List.of(stands(tool))));
          }
        });
    changes.sort(Comparator.comparing(ToolChange::became).thenComparing(ToolChange::code));
    return changes;
  }

  private static String stands(HeldTool tool) {
    return "number %d%s".formatted(tool.number(), section(", in ", tool.section()));
  }

  private static List<String> between(HeldTool before, HeldTool after) {
    List<String> changes = new ArrayList<>();
    if (before.number() != after.number()) {
      changes.add("number %d became %d".formatted(before.number(), after.number()));
    }
    if (!before.section().equals(after.section())) {
      changes.add(
          "%s became %s".formatted(section("", before.section()), section("", after.section())));
    }
    if (before.versionNo() != after.versionNo()) {
      changes.add("%s became %s".formatted(version(before), version(after)));
    }
    return changes;
  }

  private static String section(String before, String section) {
    return section.isEmpty() ? before.isEmpty() ? "no section" : "" : before + section;
  }

  private static String version(HeldTool tool) {
    return tool.versionNo() == 0 ? "the newest version" : "version " + tool.versionNo();
  }
}
