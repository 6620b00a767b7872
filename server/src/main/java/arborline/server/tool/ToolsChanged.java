package arborline.server.tool;

import java.util.List;

/** Told inside the transaction that changes tools, once they stand as they are to be. */
public record ToolsChanged(List<CurrentTool> now) {

  public ToolsChanged {
    now = List.copyOf(now);
  }
}
