package arborline.server.tool;

import arborline.server.account.Permission;
import arborline.server.support.Refusal;
import arborline.server.trail.Undo;
import arborline.server.trail.UndoKind;
import org.springframework.stereotype.Component;

/** Takes back a change of a tool by making the version before it stand again. */
@Component
class VersionUndo implements Undo<VersionUndo.Step> {

  static final UndoKind<Step> KIND = new UndoKind<>("tool.changed", 1, Step.class, Permission.EDIT);

  record Step(long toolId, int from, int to) {}

  private final ToolStore tools;

  VersionUndo(ToolStore tools) {
    this.tools = tools;
  }

  @Override
  public UndoKind<Step> kind() {
    return KIND;
  }

  @Override
  public void takeBack(Step step) {
    CurrentTool now = tools.lock(step.toolId());
    if (now.versionNo() != step.to()) {
      throw Refusal.conflict(
          "%s was changed again since; choose a version in its history".formatted(now.code()));
    }
    tools.change(now, tools.version(now, step.from()), "back to version " + step.from());
  }
}
