package arborline.server.library;

import arborline.core.library.Standing;
import arborline.core.sharing.LibraryRight;
import arborline.core.tool.ToolClasses;
import arborline.core.tool.outline.Outline;
import arborline.server.right.LibraryGuard;
import arborline.server.support.ReadyJson;
import arborline.server.support.Refusal;
import arborline.server.support.Slice;
import arborline.server.tool.ExampleTools;
import arborline.server.tool.ValueView;
import io.swagger.v3.oas.annotations.media.Schema;
import java.math.BigDecimal;
import java.util.Collections;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Lists the tools of a library, or of all, and counts what its filters could be changed to. */
@Service
class ToolLists {

  private static final Set<ListOrder> OF_ONE_LIBRARY =
      EnumSet.of(ListOrder.NUMBER, ListOrder.SECTION);

  private final JdbcTemplate jdbc;
  private final LibraryRepository libraries;
  private final LibraryGuard guard;
  private final ListPreviews previews;
  private final ListedVersions versions;
  private final ListedUses uses;
  private final ListedCuts cuts;
  private final ListedTrusts trusts;

  ToolLists(
      JdbcTemplate jdbc,
      LibraryRepository libraries,
      LibraryGuard guard,
      ListPreviews previews,
      ListedVersions versions,
      ListedUses uses,
      ListedCuts cuts,
      ListedTrusts trusts) {
    this.trusts = trusts;
    this.jdbc = jdbc;
    this.libraries = libraries;
    this.guard = guard;
    this.previews = previews;
    this.versions = versions;
    this.uses = uses;
    this.cuts = cuts;
  }

  /**
   * A row of a list.
   *
   * @param toolId address of the sheet
   * @param library that holds it, by name
   * @param standing how far it is trusted
   * @param pinned which version that library holds; null where it follows the newest
   * @param values those that the list shows, by symbol
   * @param uses null where that was not asked for
   * @param cut null where no material was asked for, or nothing is known for it
   * @param trust why it can be trusted; null where that was not asked for
   * @param group what it stands under in a grouped list; empty where that says nothing of it, null
   *     where the list is not grouped
   */
  public record ToolRow(
      long entryId,
      long libraryId,
      String library,
      long toolId,
      String code,
      String name,
      String classId,
      String classTitle,
      int number,
      String section,
      Standing standing,
      ListedVersions.@Nullable Pinned pinned,
      @Schema(implementation = ShownValues.class) ReadyJson values,
      @Schema(implementation = Outline.class, nullable = true) ReadyJson outline,
      ListedUses.@Nullable Uses uses,
      ListedCuts.@Nullable ListedCut cut,
      ListedTrusts.@Nullable ListedTrust trust,
      @Nullable String group) {}

  /** What {@link ToolRow#values} is in the document of the API. */
  interface ShownValues extends Map<String, ValueView> {}

  record ClassCount(String id, String title, long count, @Nullable Outline outline) {}

  /** How many tools lie in [from, to) mm. */
  record DiameterCount(BigDecimal from, BigDecimal to, long count) {}

  /**
   * What is listed, counted.
   *
   * @param columns those that fit what is listed
   */
  record Facets(
      long total, List<ClassCount> classes, List<DiameterCount> diameters, List<String> columns) {}

  /**
   * What is said of tools besides themselves.
   *
   * @param uses true for holders, work materials and pockets
   * @param material whose speed and feed are said; null or blank for none
   * @param trust true for why they can be trusted
   */
  record Belonging(boolean uses, @Nullable String material, boolean trust) {}

  /**
   * A page of a list.
   *
   * @param group null where it is not grouped
   * @param down true for the last of each group first
   * @param after where the page before ended; null for the first
   * @param belonging what is to be said of what belongs to the tools
   */
  Slice<ToolRow> page(
      ToolQuery.Filter wanted,
      @Nullable ListOrder group,
      ListOrder sort,
      boolean down,
      @Nullable String after,
      int limit,
      Belonging belonging) {
    ToolQuery.Filter filter = seen(wanted);
    if (filter.libraryId() == null && OF_ONE_LIBRARY.contains(sort)) {
      throw Refusal.badRequest(
          "numbers and sections belong to one library: over all, sort by something else");
    }
    ListPlacing placing = ListPlacing.of(group, sort, down);
    Optional<ListCursor> cursor =
        Optional.ofNullable(after).map(text -> ListCursor.read(text, placing));
    List<ToolQuery.Placed> rows =
        filter.libraryId() == null && placing.first().of() == ListKey.LIBRARY
            ? LibraryByLibrary.page(jdbc, filter, placing, cursor, limit)
            : new ToolQuery(filter, ToolQuery.Except.NOTHING).page(jdbc, placing, cursor, limit);
    if (rows.isEmpty()) {
      check(filter.libraryId());
    }
    boolean more = rows.size() > limit;
    List<ToolQuery.Placed> placed = more ? rows.subList(0, limit) : rows;
    List<ListedTool> shown = placed.stream().map(ToolQuery.Placed::tool).toList();
    Map<Long, ListPreviews.Preview> seen = previews.of(shown);
    Map<Long, ListedVersions.Pinned> pinned = versions.of(shown);
    Map<Long, String> names = names(shown);
    Map<Long, ListedUses.Uses> known = belonging.uses() ? uses.of(shown) : Map.of();
    String material = Optional.ofNullable(belonging.material()).orElse("").strip();
    Map<Long, ListedCuts.ListedCut> cut = material.isEmpty() ? Map.of() : cuts.of(shown, material);
    Map<Long, ListedTrusts.ListedTrust> trusted = belonging.trust() ? trusts.of(shown) : Map.of();
    List<ToolRow> items =
        placed.stream()
            .map(one ->
                row(
                    one.tool(),
                    names.getOrDefault(one.tool().libraryId(), ""),
                    pinned.get(one.tool().id()),
                    seen.get(one.tool().versionId()),
                    known.get(one.tool().toolId()),
                    cut.get(one.tool().toolId()),
                    trusted.get(one.tool().id()),
                    group == null ? null : group.group().group(one.keys().getFirst())))
            .toList();
    String next = more ? ListCursor.write(placed.getLast()) : null;
    return new Slice<>(items, next);
  }

  private Map<Long, String> names(List<ListedTool> shown) {
    Map<Long, String> names = new HashMap<>();
    List<Long> ids = shown.stream().map(ListedTool::libraryId).distinct().toList();
    if (!ids.isEmpty()) {
      jdbc.query(
          "select id, name from library where id in (%s)"
              .formatted(String.join(", ", Collections.nCopies(ids.size(), "?"))),
          row -> {
            names.put(row.getLong(1), row.getString(2));
          },
          ids.toArray());
    }
    return names;
  }

  /** The same without what whoever asks does not see. */
  private ToolQuery.Filter seen(ToolQuery.Filter filter) {
    return filter.libraryId() == null ? filter.without(guard.hidden()) : filter;
  }

  private void check(@Nullable Long libraryId) {
    if (libraryId == null) {
      return;
    }
    if (libraries.findById(libraryId.longValue()).isEmpty()) {
      throw Refusal.notFound("there is no library " + libraryId);
    }
    guard.need(libraryId, LibraryRight.USE);
  }

  private static ToolRow row(
      ListedTool entry,
      String library,
      ListedVersions.@Nullable Pinned pinned,
      ListPreviews.Preview preview,
      ListedUses.@Nullable Uses uses,
      ListedCuts.@Nullable ListedCut cut,
      ListedTrusts.@Nullable ListedTrust trust,
      @Nullable String group) {
    return new ToolRow(
        entry.id(),
        entry.libraryId(),
        library,
        entry.toolId(),
        entry.code(),
        entry.name(),
        entry.classId(),
        title(entry.classId()),
        entry.number(),
        entry.section(),
        entry.standing(),
        pinned,
        preview.values(),
        preview.outline(),
        uses,
        cut,
        trust,
        group);
  }

  static String title(String classId) {
    return ToolClasses.named(classId).map(known -> known.sheet().title()).orElse(classId);
  }

  @Transactional(readOnly = true)
  Facets facets(ToolQuery.Filter filter) {
    check(filter.libraryId());
    return FacetCounts.of(seen(filter), jdbc).facets();
  }

  /** The tools of a list, by code; those beyond the most are left out. */
  @Transactional(readOnly = true)
  List<Long> ids(ToolQuery.Filter filter, int most) {
    check(filter.libraryId());
    return new ToolQuery(seen(filter), ToolQuery.Except.NOTHING)
            .page(jdbc, ListPlacing.of(null, ListOrder.CODE, false), Optional.empty(), most - 1)
            .stream()
            .map(placed -> placed.tool().toolId())
            .distinct()
            .toList();
  }

  /** The outline of a class from its defaults and a diameter of 10 mm. */
  static @Nullable Outline example(String classId) {
    return ToolClasses.named(classId)
        .map(toolClass -> toolClass.outline(ExampleTools.of(toolClass)))
        .orElse(null);
  }
}
