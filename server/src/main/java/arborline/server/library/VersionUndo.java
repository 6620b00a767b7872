package arborline.server.library;

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

  private final ToolStore shelves;
  private final ToolRepository tools;
  private final VersionRepository versions;

  VersionUndo(ToolStore shelves, ToolRepository tools, VersionRepository versions) {
    this.shelves = shelves;
    this.tools = tools;
    this.versions = versions;
  }

  @Override
  public UndoKind<Step> kind() {
    return KIND;
  }

  @Override
  public void takeBack(Step step) {
    ShopTool owner = tools.lock(step.toolId()).orElseThrow();
    if (owner.versionNo != step.to()) {
      throw Refusal.conflict(
          "%s was changed again since; choose a version in its history".formatted(owner.code));
    }
    ToolVersion before =
        versions.findByToolIdAndVersionNo(step.toolId(), step.from()).orElseThrow();
    shelves.change(owner, before.tool(owner.code), "back to version " + step.from());
  }
}
