package arborline.server.tool;

import arborline.core.exchange.RawItem;
import arborline.core.finding.Finding;
import arborline.core.inspect.ContentHash;
import arborline.core.inspect.Inspected;
import arborline.core.inspect.Likeness;
import arborline.core.library.NextSize;
import arborline.core.library.Standing;
import arborline.core.merge.FieldMerge;
import arborline.core.merge.ToolDifference;
import arborline.core.merge.ToolMerge;
import arborline.core.sharing.LibraryRight;
import arborline.core.tool.Completed;
import arborline.core.tool.Silhouettes;
import arborline.core.tool.Tool;
import arborline.core.tool.outline.Outline;
import arborline.server.right.LibraryGuard;
import arborline.server.right.ToolGuard;
import arborline.server.support.Refusal;
import arborline.server.trail.Trail;
import arborline.server.trail.TrailRecord;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Sheets of single tools: read, changed, taken back to a version. */
@Service
class Sheets {

  private static final int VERSIONS_SHOWN = 100;

  private final ToolStore tools;
  private final VersionRepository versions;
  private final Holdings holdings;
  private final ToolMerges merges;
  private final ToolStandings standings;
  private final Trail trail;
  private final ToolGuard guard;
  private final LibraryGuard libraries;

  Sheets(
      ToolStore tools,
      VersionRepository versions,
      Holdings holdings,
      ToolMerges merges,
      ToolStandings standings,
      Trail trail,
      ToolGuard guard,
      LibraryGuard libraries) {
    this.libraries = libraries;
    this.guard = guard;
    this.tools = tools;
    this.versions = versions;
    this.holdings = holdings;
    this.merges = merges;
    this.standings = standings;
    this.trail = trail;
  }

  record VersionHead(
      long id, int version, Instant at, String by, String origin, List<String> changes) {}

  /**
   * Everything the page of one tool shows.
   *
   * @param mergedInto null for most
   * @param proposedTo library whose maintainers take or decline what whoever asks proposes; null
   *     where he may change the tool himself, or may not propose either
   * @param closed why whoever asks may not change it, though his role may change tools; null where
   *     he may
   */
  record Sheet(
      long toolId,
      String code,
      String name,
      String classId,
      int version,
      Map<String, String> notes,
      ToolJudge.ToolAnswer answer,
      List<Holdings.UsedIn> usedIn,
      List<VersionHead> history,
      ToolStandings.TrustedTool trusted,
      ToolMerges.@Nullable MergedInto mergedInto,
      @Nullable String closed,
      @Nullable Long proposedTo) {}

  @Transactional(readOnly = true)
  public Sheet sheet(long toolId) {
    List<ToolVersion> all =
        versions.findByToolIdOrderByVersionNoDesc(toolId, Limit.of(VERSIONS_SHOWN));
    CurrentTool current = tools.get(toolId);
    Tool tool = current.tool();
    List<Holdings.UsedIn> usedIn = holdings.of(toolId);
    String closed = guard.obstacle(toolId).orElse(null);
    return new Sheet(
        toolId,
        tool.code(),
        tool.name(),
        tool.toolClass(),
        current.versionNo(),
        tool.notes(),
        ToolJudge.answer(ToolJudge.inspect(RawItem.of(tool))),
        usedIn,
        history(tool.code(), all),
        standings.of(toolId),
        merges.into(toolId).orElse(null),
        closed,
        closed == null ? null : proposedTo(usedIn).orElse(null));
  }

  /** Of the libraries that hold a tool the first in which whoever asks may propose. */
  private Optional<Long> proposedTo(List<Holdings.UsedIn> usedIn) {
    Map<Long, LibraryGuard.Access> access =
        libraries.access(usedIn.stream().map(Holdings.UsedIn::libraryId).toList());
    return usedIn.stream()
        .map(Holdings.UsedIn::libraryId)
        .filter(library -> {
          LibraryRight right = access.get(library).right();
          return right != null && right.includes(LibraryRight.PROPOSE);
        })
        .findFirst();
  }

  /**
   * A tool as one of its versions had it.
   *
   * @param outline null where the class or the diameter is unknown
   */
  record VersionShown(int version, Instant at, String by, @Nullable Outline outline) {}

  /** Two versions of a tool and the values that are not the same. */
  record VersionsCompared(
      VersionShown from, VersionShown to, List<Likeness.Difference> differences) {}

  /** Compares two versions of a tool. */
  @Transactional(readOnly = true)
  VersionsCompared compare(long toolId, int from, int to) {
    CurrentTool current = tools.get(toolId);
    ToolVersion one = version(current, from);
    ToolVersion other = version(current, to);
    return new VersionsCompared(
        shown(one, current.code()),
        shown(other, current.code()),
        Likeness.differences(one.tool(current.code()), other.tool(current.code())));
  }

  private ToolVersion version(CurrentTool current, int number) {
    return versions
        .findByToolIdAndVersionNo(current.id(), number)
        .orElseThrow(
            () -> Refusal.notFound("%s has no version %d".formatted(current.code(), number)));
  }

  private static VersionShown shown(ToolVersion version, String code) {
    return new VersionShown(
        version.versionNo,
        version.createdAt,
        version.createdBy,
        Silhouettes.of(Completed.of(version.tool(code)).tool()).orElse(null));
  }

  @Transactional(readOnly = true)
  public ToolDraft nextSize(long toolId) {
    CurrentTool current = tools.get(toolId);
    return NextSize.of(current.tool())
        .map(ToolDraft::of)
        .orElseThrow(
            () -> Refusal.conflict("no usual diameter is larger than that of " + current.code()));
  }

  private static List<VersionHead> history(String code, List<ToolVersion> newestFirst) {
    List<VersionHead> heads = new java.util.ArrayList<>();
    for (int i = 0; i < newestFirst.size(); i++) {
      ToolVersion version = newestFirst.get(i);
      List<String> changes =
          i + 1 < newestFirst.size()
              ? ToolDifference.of(newestFirst.get(i + 1).tool(code), version.tool(code))
              : List.of();
      heads.add(
          new VersionHead(
              version.id,
              version.versionNo,
              version.createdAt,
              version.createdBy,
              version.origin,
              changes));
    }
    return heads;
  }

  /**
   * Saves a change that started from a version; what others changed meanwhile is merged field by
   * field, and refused with both sides where the same field was changed.
   */
  @Transactional
  public ToolDone change(long toolId, int baseVersion, ToolDraft draft, Optional<Choice> choice) {
    return change(toolId, baseVersion, draft, choice, false);
  }

  /**
   * The same.
   *
   * @param incomplete true where a draft may lack what a tool of its class must have
   */
  @Transactional
  public ToolDone change(
      long toolId, int baseVersion, ToolDraft draft, Optional<Choice> choice, boolean incomplete) {
    CurrentTool now = tools.lock(toolId);
    Tool mine = noted(draft, now, baseVersion);
    Tool wanted = baseVersion == now.versionNo() ? mine : merged(now, baseVersion, mine, choice);
    wanted = ToolJudge.again(wanted);
    boolean unfinished = incomplete && standings.of(toolId).standing() == Standing.DRAFT;
    ToolJudge.refuseHolds(ToolJudge.inspect(RawItem.of(wanted)).findings(), unfinished);
    if (ContentHash.of(wanted).equals(ContentHash.of(now.tool())) && wanted.equals(now.tool())) {
      return new ToolDone(toolId, now.versionNo(), 0);
    }
    CurrentTool after = tools.change(now, wanted, "changed here");
    String what = String.join(", ", ToolDifference.of(now.tool(), wanted));
    return done(now, after, "changed %s: %s".formatted(now.code(), what));
  }

  /** What somebody wrote, with the notes that the tool had where the draft has none to say. */
  private Tool noted(ToolDraft draft, CurrentTool now, int baseVersion) {
    Tool typed = interpreted(draft).tool().named(now.code(), draft.name().strip());
    return draft.notes() == null ? typed.noted(base(now, baseVersion).notes()) : typed;
  }

  private Tool base(CurrentTool now, int version) {
    return version == now.versionNo()
        ? now.tool()
        : versions
            .findByToolIdAndVersionNo(now.id(), version)
            .orElseThrow(() -> Refusal.badRequest("there is no version " + version))
            .tool(now.code());
  }

  private ToolDone done(CurrentTool before, CurrentTool after, String text) {
    long undo =
        trail.record(
            TrailRecord.of("tool", before.id(), text)
                .undoneBy(
                    VersionUndo.KIND,
                    new VersionUndo.Step(before.id(), before.versionNo(), after.versionNo())));
    return new ToolDone(before.id(), after.versionNo(), undo);
  }

  /**
   * Whose values stand where both changed the same fields.
   *
   * @param seen the version that the other's values were seen in
   */
  record Choice(FieldMerge.Keep keep, int seen) {}

  private Tool merged(CurrentTool now, int baseVersion, Tool mine, Optional<Choice> choice) {
    Tool base = base(now, baseVersion);
    ToolMerge.Merged merged = ToolMerge.merge(base, now.tool(), mine);
    if (choice.filter(made -> made.seen() == now.versionNo()).isPresent()) {
      return ToolMerge.settled(base, now.tool(), mine, choice.get().keep());
    }
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
    CurrentTool now = tools.lock(toolId);
    CurrentTool after =
        tools.change(now, tools.version(now, version), "back to version " + version);
    return done(now, after, "took %s back to version %d".formatted(now.code(), version));
  }

  private static Inspected interpreted(ToolDraft draft) {
    Inspected inspected = ToolJudge.inspect(draft);
    ToolJudge.refuseHolds(inspected.findings().stream().filter(Sheets::unreadable).toList());
    return inspected;
  }

  private static boolean unreadable(Finding finding) {
    return finding.code().equals("not-a-number")
        || finding.code().equals("unit-unknown")
        || finding.code().startsWith("formula-");
  }
}
