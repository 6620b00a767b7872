package arborline.core.tool;

import arborline.core.tool.outline.Outline;

/**
 * A class of tools. An implementation is one file in {@code tool.kind}, marked {@code
 * AutoService(ToolClass.class)}.
 */
public interface ToolClass {

  /** Fields, defaults and rules. */
  ClassSheet sheet();

  /** The true-to-scale outline from the tool's own dimensions; missing ones are estimated. */
  Outline outline(Tool tool);

  /** True for an insert, which is held by a cutter and is none itself. */
  default boolean cuttingItem() {
    return false;
  }
}
