package arborline.server.library;

import arborline.server.account.Permission;
import arborline.server.support.Json;
import arborline.server.support.Refusal;
import arborline.server.trail.Undo;
import org.springframework.stereotype.Component;

/** Takes back a change of a tool by making the version before it stand again. */
@Component
class VersionUndo implements Undo {

  static final String KIND = "tool.changed";

  record Step(long toolId, int from, int to) {}

  private final ToolStore shelves;
  private final ToolRepository tools;
  private final VersionRepository versions;
  private final Json json;

  VersionUndo(ToolStore shelves, ToolRepository tools, VersionRepository versions, Json json) {
    this.shelves = shelves;
    this.tools = tools;
    this.versions = versions;
    this.json = json;
  }

  @Override
  public String kind() {
    return KIND;
  }

  @Override
  public Permission needs() {
    return Permission.EDIT;
  }

  @Override
  public void undo(String data) {
    Step step = json.read(data, Step.class);
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
