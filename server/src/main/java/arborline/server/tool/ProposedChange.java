package arborline.server.tool;

import arborline.core.exchange.RawItem;
import arborline.core.finding.Finding;
import arborline.core.finding.Severity;
import arborline.core.inspect.Inspected;
import arborline.core.inspect.Likeness;
import arborline.core.merge.FieldMerge;
import arborline.core.merge.ToolMerge;
import arborline.core.tool.Completed;
import arborline.core.tool.Silhouettes;
import arborline.core.tool.Tool;
import arborline.core.tool.outline.Outline;
import arborline.server.support.Retried;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** A change of a tool that somebody proposes, as it would come out now; and its taking. */
@Service
public class ProposedChange {

  private final Sheets sheets;
  private final ToolStore tools;

  ProposedChange(Sheets sheets, ToolStore tools) {
    this.sheets = sheets;
    this.tools = tools;
  }

  /**
   * What would come of a change.
   *
   * @param version that stands now
   * @param moved true where the tool was changed since the change was proposed
   * @param differences from what stands now
   * @param conflicts fields that were changed otherwise since
   * @param holds why it could not be taken
   * @param now the tool as it stands; null where it has no shape
   * @param then the tool as it would be
   */
  public record ProposedOutcome(
      String code,
      String name,
      int version,
      boolean moved,
      List<Likeness.Difference> differences,
      List<FieldMerge.Conflict> conflicts,
      List<Finding> holds,
      @Nullable Outline now,
      @Nullable Outline then) {}

  /** What would come of it now. */
  @Transactional(readOnly = true)
  public ProposedOutcome of(long toolId, int base, ToolDraft draft) {
    CurrentTool now = tools.get(toolId);
    Tool was = base == now.versionNo() ? now.tool() : tools.version(now, base);
    Tool wanted = ToolJudge.inspect(draft).tool().named(now.code(), draft.name().strip());
    if (draft.notes() == null) {
      wanted = wanted.noted(was.notes());
    }
    ToolMerge.Merged merged = ToolMerge.merge(was, now.tool(), wanted);
    return new ProposedOutcome(
        now.code(),
        now.tool().name(),
        now.versionNo(),
        base != now.versionNo(),
        Likeness.differences(now.tool(), merged.tool()),
        merged.conflicts(),
        ToolJudge.inspect(RawItem.of(ToolJudge.again(merged.tool()))).findings().stream()
            .filter(finding -> finding.severity() == Severity.HOLD)
            .toList(),
        outline(now.tool()).orElse(null),
        outline(merged.tool()).orElse(null));
  }

  /** What a new tool would be. */
  public static ProposedOutcome ofNew(ToolDraft draft) {
    Inspected inspected = ToolJudge.inspect(draft);
    Tool tool = inspected.tool();
    return new ProposedOutcome(
        tool.code(),
        tool.name(),
        0,
        false,
        Likeness.differences(Tool.of(tool.code(), "", tool.toolClass(), Map.of()), tool),
        List.of(),
        inspected.findings().stream()
            .filter(finding -> finding.severity() == Severity.HOLD)
            .toList(),
        null,
        outline(tool).orElse(null));
  }

  private static Optional<Outline> outline(Tool tool) {
    return Silhouettes.of(Completed.of(tool).tool());
  }

  /**
   * Takes a change; fields that were changed otherwise since are refused unless somebody chose.
   *
   * @param keep {@link FieldMerge.Keep#MINE} for what was proposed
   */
  public ToolDone take(
      long toolId, int base, ToolDraft draft, FieldMerge.@Nullable Keep keep, int seen) {
    Optional<Sheets.Choice> choice =
        Optional.ofNullable(keep).map(chosen -> new Sheets.Choice(chosen, seen));
    return Retried.of(() -> sheets.change(toolId, base, draft, choice));
  }
}
