package arborline.server.tool;

import arborline.core.tool.Tool;
import arborline.server.account.Permission;
import arborline.server.support.Refusal;
import arborline.server.trail.Undo;
import arborline.server.trail.UndoKind;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.springframework.stereotype.Component;

/** Takes back a change of many tools by making the versions before it stand again. */
@Component
class BulkUndo implements Undo<BulkUndo.Deed> {

  static final UndoKind<Deed> KIND =
      new UndoKind<>("tools.changed", 1, Deed.class, Permission.EDIT);
  private static final int CHUNK = 1000;

  /** All tools that were changed, each from one version to the next. */
  record Deed(List<VersionUndo.Step> steps) {}

  private final ToolStore tools;

  BulkUndo(ToolStore tools) {
    this.tools = tools;
  }

  @Override
  public UndoKind<Deed> kind() {
    return KIND;
  }

  @Override
  public void takeBack(Deed deed) {
    List<VersionUndo.Step> steps =
        deed.steps().stream().sorted(Comparator.comparingLong(VersionUndo.Step::toolId)).toList();
    for (int from = 0; from < steps.size(); from += CHUNK) {
      List<VersionUndo.Step> some = steps.subList(from, Math.min(steps.size(), from + CHUNK));
      List<CurrentTool> now = tools.lockAll(some.stream().map(VersionUndo.Step::toolId).toList());
      List<Tool> former = tools.versions(now, some.stream().map(VersionUndo.Step::from).toList());
      List<ToolStore.Step> back = new ArrayList<>();
      for (int i = 0; i < some.size(); i++) {
        CurrentTool tool = now.get(i);
        if (tool.versionNo() != some.get(i).to()) {
          throw Refusal.conflict(
              "%s was changed again since; take that back first, or choose a version in its history"
                  .formatted(tool.code()));
        }
        back.add(new ToolStore.Step(tool, former.get(i)));
      }
      tools.changeAll(back, "taken back");
    }
  }
}
