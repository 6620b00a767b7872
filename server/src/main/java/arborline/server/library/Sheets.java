package arborline.server.library;

import arborline.core.finding.Finding;
import arborline.core.finding.Severity;
import arborline.core.inspect.ContentHash;
import arborline.core.inspect.Inspected;
import arborline.core.library.Codes;
import arborline.core.library.NextSize;
import arborline.core.merge.ToolDifference;
import arborline.core.merge.ToolMerge;
import arborline.core.naming.UsualName;
import arborline.core.tool.Tool;
import arborline.server.support.Refusal;
import arborline.server.trail.Trail;
import arborline.server.trail.TrailRecord;
import java.time.Instant;
import java.util.List;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Sheets of single tools: read, create, change, copy, take out. */
@Service
class Sheets {

  private static final int VERSIONS_SHOWN = 100;
  private static final int LIBRARIES_SHOWN = 50;

  private final ToolStore shelves;
  private final ToolRepository tools;
  private final VersionRepository versions;
  private final EntryRepository entries;
  private final LibraryRepository libraries;
  private final Trail trail;
  private final ApplicationEventPublisher events;

  Sheets(
      ToolStore shelves,
      ToolRepository tools,
      VersionRepository versions,
      EntryRepository entries,
      LibraryRepository libraries,
      Trail trail,
      ApplicationEventPublisher events) {
    this.shelves = shelves;
    this.tools = tools;
    this.versions = versions;
    this.entries = entries;
    this.libraries = libraries;
    this.trail = trail;
    this.events = events;
  }

  record UsedIn(long libraryId, String library, int number) {}

  record VersionHead(int version, Instant at, String by, String origin, List<String> changes) {}

  /** Everything the page of one tool shows. */
  record Sheet(
      long toolId,
      String code,
      String name,
      String classId,
      int version,
      ToolJudge.ToolAnswer answer,
      List<UsedIn> usedIn,
      List<VersionHead> history) {}

  /**
   * What a change did.
   *
   * @param undo line of the trail that takes it back; 0 where nothing changed
   */
  record ToolDone(long toolId, int version, long undo) {}

  @Transactional(readOnly = true)
  public Sheet sheet(long toolId) {
    ShopTool owner = shelves.tool(toolId);
    List<ToolVersion> all =
        versions.findByToolIdOrderByVersionNoDesc(toolId, Limit.of(VERSIONS_SHOWN));
    Tool tool = all.getFirst().tool(owner.code);
    return new Sheet(
        toolId,
        owner.code,
        tool.name(),
        tool.toolClass(),
        owner.versionNo,
        ToolJudge.answer(ToolJudge.inspect(arborline.core.exchange.RawTool.of(tool))),
        entries.findByToolId(toolId, Limit.of(LIBRARIES_SHOWN)).stream().map(this::usedIn).toList(),
        history(owner, all));
  }

  @Transactional(readOnly = true)
  public ToolDraft nextSize(long toolId) {
    ShopTool owner = shelves.tool(toolId);
    Tool tool = versions.findById(owner.versionId).orElseThrow().tool(owner.code);
    return NextSize.of(tool)
        .map(ToolDraft::of)
        .orElseThrow(
            () -> Refusal.conflict("no usual diameter is larger than that of " + owner.code));
  }

  private UsedIn usedIn(Entry entry) {
    return new UsedIn(
        entry.libraryId,
        libraries.findById(entry.libraryId).map(each -> each.name).orElse(""),
        entry.number);
  }

  private static List<VersionHead> history(ShopTool owner, List<ToolVersion> newestFirst) {
    List<VersionHead> heads = new java.util.ArrayList<>();
    for (int i = 0; i < newestFirst.size(); i++) {
      ToolVersion version = newestFirst.get(i);
      List<String> changes =
          i + 1 < newestFirst.size()
              ? ToolDifference.of(newestFirst.get(i + 1).tool(owner.code), version.tool(owner.code))
              : List.of();
      heads.add(
          new VersionHead(
              version.versionNo, version.createdAt, version.createdBy, version.origin, changes));
    }
    return heads;
  }

  @Transactional
  public ToolDone create(long libraryId, ToolDraft draft) {
    Library library = shelves.library(libraryId);
    Tool tool = sound(draft);
    ShopTool owner = shelves.add(tool, "created here");
    Entry entry = shelves.shelve(libraryId, owner, tool);
    long undo =
        trail.record(
            TrailRecord.of("tool", owner.id, "created %s in %s".formatted(owner.code, library.name))
                .undoneBy(EntryUndo.ADDED, EntryUndo.Shelved.of(entry)));
    return new ToolDone(owner.id, 1, undo);
  }

  @Transactional
  public ToolDone copy(long libraryId, long toolId) {
    Library library = shelves.library(libraryId);
    ShopTool original = shelves.tool(toolId);
    Tool tool = versions.findById(original.versionId).orElseThrow().tool(original.code);
    String code = Codes.nextFree(tool.code(), tools::existsByCodeKey);
    Tool copy = tool.named(code, tool.name());
    ShopTool owner =
        shelves.add(copy, "copied from %s version %d".formatted(original.code, original.versionNo));
    Entry entry = shelves.shelve(libraryId, owner, copy);
    events.publishEvent(new ToolCopied(original.id, owner.id));
    long undo =
        trail.record(
            TrailRecord.of(
                    "tool",
                    owner.id,
                    "copied %s to %s in %s".formatted(original.code, code, library.name))
                .undoneBy(EntryUndo.ADDED, EntryUndo.Shelved.of(entry)));
    return new ToolDone(owner.id, 1, undo);
  }

  @Transactional
  public ToolDone remove(long libraryId, long toolId) {
    Library library = shelves.library(libraryId);
    Entry entry = shelves.entry(libraryId, toolId);
    long undo =
        trail.record(
            TrailRecord.of("tool", toolId, "took %s out of %s".formatted(entry.code, library.name))
                .undoneBy(EntryUndo.REMOVED, EntryUndo.Shelved.of(entry)));
    entries.delete(entry);
    return new ToolDone(toolId, 0, undo);
  }

  /**
   * Saves a change that started from a version; what others changed meanwhile is merged field by
   * field, and refused with both sides where the same field was changed.
   */
  @Transactional
  public ToolDone change(long toolId, int baseVersion, ToolDraft draft) {
    ShopTool owner =
        tools.lock(toolId).orElseThrow(() -> Refusal.notFound("there is no tool " + toolId));
    Tool now = versions.findById(owner.versionId).orElseThrow().tool(owner.code);
    Tool mine = interpreted(draft).tool().named(owner.code, draft.name().strip());
    Tool wanted = baseVersion == owner.versionNo ? mine : merged(owner, baseVersion, now, mine);
    refuseHolds(ToolJudge.inspect(arborline.core.exchange.RawTool.of(wanted)).findings());
    if (ContentHash.of(wanted).equals(ContentHash.of(now)) && wanted.equals(now)) {
      return new ToolDone(toolId, owner.versionNo, 0);
    }
    int before = owner.versionNo;
    shelves.change(owner, wanted, "changed here");
    String what = String.join(", ", ToolDifference.of(now, wanted));
    long undo =
        trail.record(
            TrailRecord.of("tool", toolId, "changed %s: %s".formatted(owner.code, what))
                .undoneBy(VersionUndo.KIND, new VersionUndo.Step(toolId, before, owner.versionNo)));
    return new ToolDone(toolId, owner.versionNo, undo);
  }

  private Tool merged(ShopTool owner, int baseVersion, Tool now, Tool mine) {
    Tool base =
        versions
            .findByToolIdAndVersionNo(owner.id, baseVersion)
            .orElseThrow(() -> Refusal.badRequest("there is no version " + baseVersion))
            .tool(owner.code);
    ToolMerge.Merged merged = ToolMerge.merge(base, now, mine);
    if (!merged.conflicts().isEmpty()) {
      throw Refusal.conflict(
          "somebody else changed the same fields meanwhile; choose which value stays",
          merged.conflicts());
    }
    return merged.tool();
  }

  /** Makes an earlier version stand again, as a new version. */
  @Transactional
  public ToolDone backTo(long toolId, int version) {
    ShopTool owner =
        tools.lock(toolId).orElseThrow(() -> Refusal.notFound("there is no tool " + toolId));
    Tool earlier =
        versions
            .findByToolIdAndVersionNo(toolId, version)
            .orElseThrow(() -> Refusal.notFound("there is no version " + version))
            .tool(owner.code);
    int before = owner.versionNo;
    shelves.change(owner, earlier, "back to version " + version);
    long undo =
        trail.record(
            TrailRecord.of(
                    "tool", toolId, "took %s back to version %d".formatted(owner.code, version))
                .undoneBy(VersionUndo.KIND, new VersionUndo.Step(toolId, before, owner.versionNo)));
    return new ToolDone(toolId, owner.versionNo, undo);
  }

  private static Inspected interpreted(ToolDraft draft) {
    Inspected inspected = ToolJudge.inspect(draft.raw());
    refuseHolds(inspected.findings().stream().filter(Sheets::unreadable).toList());
    return inspected;
  }

  private static boolean unreadable(Finding finding) {
    return finding.code().equals("not-a-number") || finding.code().equals("unit-unknown");
  }

  private static Tool sound(ToolDraft draft) {
    Inspected inspected = ToolJudge.inspect(draft.raw());
    refuseHolds(inspected.findings());
    Tool tool = inspected.tool();
    return tool.name().isBlank() ? tool.named(tool.code(), UsualName.of(tool)) : tool;
  }

  private static void refuseHolds(List<Finding> findings) {
    List<Finding> holds =
        findings.stream().filter(each -> each.severity() == Severity.HOLD).toList();
    if (!holds.isEmpty()) {
      throw Refusal.conflict("cannot be saved: " + holds.getFirst().message(), holds);
    }
  }
}
