package arborline.server.tool;

import java.util.Set;

/** Told inside the transaction that changes cutting data of tools, or the stacks that hold them. */
public record BelongingsChanged(Set<Long> toolIds) {

  public BelongingsChanged {
    toolIds = Set.copyOf(toolIds);
  }
}
