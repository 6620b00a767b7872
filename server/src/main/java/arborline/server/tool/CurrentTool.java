package arborline.server.tool;

import arborline.core.tool.Tool;

/** A tool of the shop as it stands now. */
public record CurrentTool(long id, long versionId, int versionNo, Tool tool) {

  static CurrentTool of(ShopTool owner, ToolVersion version) {
    return new CurrentTool(owner.id, version.id, version.versionNo, version.tool(owner.code));
  }

  public String code() {
    return tool.code();
  }
}
