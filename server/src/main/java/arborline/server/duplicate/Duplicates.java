package arborline.server.duplicate;

import arborline.core.duplicate.ComparedTool;
import arborline.core.duplicate.KeptApart;
import arborline.core.duplicate.Resemblance;
import arborline.core.duplicate.Tolerance;
import arborline.core.inspect.Likeness;
import arborline.core.tool.Silhouettes;
import arborline.core.tool.Tool;
import arborline.core.tool.outline.Outline;
import arborline.server.right.LibraryGuard;
import arborline.server.support.Slice;
import arborline.server.tool.CurrentTool;
import arborline.server.tool.Holdings;
import arborline.server.tool.Tools;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Groups of tools that may be one, as the tools are now. */
@Service
@Transactional(readOnly = true)
class Duplicates {

  /** Of a larger group only so many are shown. */
  private static final int MOST_SHOWN = 20;

  /** Of a larger group only so many are looked at. */
  private static final int MOST_READ = 100;

  /** So many pages of groups that were decided since are passed over at once. */
  private static final int MOST_PAGES = 20;

  private final JdbcClient jdbc;
  private final Tools tools;
  private final Holdings holdings;
  private final KeptApartTools apart;
  private final DuplicateSearch search;
  private final LibraryGuard libraries;

  Duplicates(
      JdbcClient jdbc,
      Tools tools,
      Holdings holdings,
      KeptApartTools apart,
      DuplicateSearch search,
      LibraryGuard libraries) {
    this.libraries = libraries;
    this.jdbc = jdbc;
    this.tools = tools;
    this.holdings = holdings;
    this.apart = apart;
    this.search = search;
  }

  /** Why two tools may be one, or may not. */
  record ReasonView(boolean speaksFor, String text) {}

  /**
   * A tool of a group.
   *
   * @param percent how sure it is that it is the first tool of the group
   * @param differences from the first tool
   * @param cutting lines of cutting data
   * @param proven how many of these are proven
   */
  record MemberView(
      long toolId,
      String code,
      String name,
      String classId,
      int percent,
      List<ReasonView> reasons,
      List<Likeness.Difference> differences,
      List<Holdings.UsedIn> usedIn,
      int stacks,
      int cutting,
      int proven,
      int planned,
      @Nullable Outline outline) {}

  /**
   * Tools that may be one.
   *
   * @param tools how many there are; of many not all are shown
   */
  record GroupView(long id, int percent, int tools, List<MemberView> members) {}

  private record Head(long id, int percent, int tools) {}

  private record Placed(long groupId, long toolId) {}

  /**
   * Groups, the surest first.
   *
   * @param library groups with a tool of this one; null for all
   * @param after cursor of the page before; empty for the first
   */
  Slice<GroupView> groups(@Nullable Long library, String after, int limit) {
    BigDecimal tolerance =
        search.last().map(DuplicateSearch.SearchView::tolerance).orElse(BigDecimal.ZERO);
    List<GroupView> found = new ArrayList<>();
    Head seen = cursor(after);
    for (int page = 0; page < MOST_PAGES; page++) {
      List<Head> heads = heads(library, seen, limit);
      for (GroupView group : views(heads, new Tolerance(tolerance))) {
        found.add(group);
        if (found.size() == limit) {
          return new Slice<>(found, "%d-%d".formatted(group.percent(), group.id()));
        }
      }
      if (heads.size() < limit) {
        return new Slice<>(found, null);
      }
      seen = heads.getLast();
    }
    return new Slice<>(found, "%d-%d".formatted(seen.percent(), seen.id()));
  }

  private static Head cursor(String after) {
    String[] parts = after.split("-");
    return parts.length == 2
        ? new Head(Long.parseLong(parts[1]), Integer.parseInt(parts[0]), 0)
        : new Head(0, Integer.MAX_VALUE, 0);
  }

  private List<Head> heads(@Nullable Long library, Head seen, int limit) {
    String within =
        """
         and exists (select 1 from duplicate_member m
          join entry e on e.tool_id = m.tool_id and e.library_id = :library
          where m.group_id = g.id)\
        """;
    String unseen =
        """
         and not exists (select 1 from duplicate_member m
          where m.group_id = g.id
            and exists (select 1 from entry e where e.tool_id = m.tool_id)
            and not exists (select 1 from entry e
              where e.tool_id = m.tool_id and e.library_id not in (:hidden)))\
        """;
    Set<Long> hidden = libraries.hidden();
    JdbcClient.StatementSpec query =
        jdbc.sql(
                """
                select g.id, g.percent, g.tools from duplicate_group g
                where (g.percent < :percent or g.percent = :percent and g.id > :id)%s%s
                order by g.percent desc, g.id limit :most\
                """
                    .formatted(library == null ? "" : within, hidden.isEmpty() ? "" : unseen))
            .param("percent", seen.percent())
            .param("id", seen.id())
            .param("most", limit);
    JdbcClient.StatementSpec asked = hidden.isEmpty() ? query : query.param("hidden", hidden);
    return (library == null ? asked : asked.param("library", library)).query(Head.class).list();
  }

  private List<GroupView> views(List<Head> heads, Tolerance tolerance) {
    if (heads.isEmpty()) {
      return List.of();
    }
    List<Placed> placed =
        jdbc.sql(
                """
                select m.group_id, m.tool_id from duplicate_member m
                join tool t on t.id = m.tool_id and t.merged_into is null
                where m.group_id in (:groups) and m.place < :most
                  and exists (select 1 from entry e where e.tool_id = m.tool_id)
                order by m.group_id, m.place\
                """)
            .param("groups", heads.stream().map(Head::id).toList())
            .param("most", MOST_READ)
            .query(Placed.class)
            .list();
    Map<Long, List<Long>> members = new HashMap<>();
    placed.forEach(
        one -> members.computeIfAbsent(one.groupId(), none -> new ArrayList<>()).add(one.toolId()));
    List<Long> ids = placed.stream().map(Placed::toolId).distinct().toList();
    if (ids.isEmpty()) {
      return List.of();
    }
    KeptApart kept = apart.all(ids);
    members.replaceAll((group, all) -> together(all, kept));
    List<Long> shown =
        members.values().stream().flatMap(all -> all.stream().limit(MOST_SHOWN)).toList();
    Known known = known(shown);
    return heads.stream()
        .filter(head -> members.getOrDefault(head.id(), List.of()).size() > 1)
        .map(head ->
            new GroupView(
                head.id(),
                head.percent(),
                head.tools() > MOST_READ ? head.tools() : members.get(head.id()).size(),
                views(members.get(head.id()), known, tolerance)))
        .toList();
  }

  /** Those that nobody keeps apart from the first of them. */
  private static List<Long> together(List<Long> all, KeptApart kept) {
    return all.stream().filter(id -> !kept.from(all.getFirst()).contains(id)).toList();
  }

  /** What is known of tools, by tool id. */
  private record Known(
      Map<Long, CurrentTool> tools,
      Map<Long, List<Holdings.UsedIn>> usedIn,
      Map<Long, Vendor> vendors,
      Map<Long, Integer> stacks,
      Map<Long, Integer> cutting,
      Map<Long, Integer> proven,
      Map<Long, Integer> planned) {}

  private record Vendor(long targetId, String vendorKey, String itemKey) {}

  private Known known(List<Long> ids) {
    Map<Long, Vendor> vendors = new HashMap<>();
    jdbc.sql(
            """
            select target_id, vendor_key, item_key from vendor_item
            where target_id in (:ids) and kind in ('CUTTER', 'INSERT') order by id\
            """)
        .param("ids", ids)
        .query(Vendor.class)
        .list()
        .forEach(vendor -> vendors.put(vendor.targetId(), vendor));
    return new Known(
        tools.current(ids),
        holdings.of(ids),
        vendors,
        count("stack where tool_id", ids),
        count("cutting_line where tool_id", ids),
        count("cutting_line where origin = 'PROVEN' and tool_id", ids),
        count("plan_place where tool_id", ids));
  }

  private record Count(long toolId, int rows) {}

  private Map<Long, Integer> count(String rows, List<Long> ids) {
    return jdbc
        .sql(
            "select tool_id, count(*) as so_many from %s in (:ids) group by tool_id"
                .formatted(rows))
        .param("ids", ids)
        .query((row, number) -> new Count(row.getLong(1), row.getInt(2)))
        .list()
        .stream()
        .collect(Collectors.toMap(Count::toolId, Count::rows));
  }

  private static List<MemberView> views(List<Long> all, Known known, Tolerance tolerance) {
    List<Long> ids = all.stream().filter(known.tools()::containsKey).limit(MOST_SHOWN).toList();
    CurrentTool first = known.tools().get(ids.getFirst());
    ComparedTool compared = compared(first, known);
    return ids.stream()
        .map(id -> {
          CurrentTool tool = known.tools().get(id);
          Resemblance resemblance = Resemblance.of(compared, compared(tool, known), tolerance);
          return view(tool, first, resemblance, known);
        })
        .toList();
  }

  private static ComparedTool compared(CurrentTool tool, Known known) {
    Vendor vendor = known.vendors().get(tool.id());
    return ComparedTool.of(
        tool.id(),
        tool.tool(),
        vendor == null ? "" : vendor.vendorKey(),
        vendor == null ? "" : vendor.itemKey());
  }

  private static MemberView view(
      CurrentTool member, CurrentTool first, Resemblance resemblance, Known known) {
    Tool tool = member.tool();
    boolean leads = member.id() == first.id();
    return new MemberView(
        member.id(),
        tool.code(),
        tool.name(),
        tool.toolClass(),
        resemblance.percent(),
        leads
            ? List.of()
            : resemblance.reasons().stream()
                .map(reason -> new ReasonView(reason.kind().speaksFor(), ReasonText.of(reason)))
                .toList(),
        leads ? List.of() : Likeness.differences(first.tool(), tool),
        known.usedIn().getOrDefault(member.id(), List.of()),
        known.stacks().getOrDefault(member.id(), 0),
        known.cutting().getOrDefault(member.id(), 0),
        known.proven().getOrDefault(member.id(), 0),
        known.planned().getOrDefault(member.id(), 0),
        Silhouettes.of(tool).orElse(null));
  }
}
