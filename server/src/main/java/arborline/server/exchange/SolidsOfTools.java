package arborline.server.exchange;

import java.io.IOException;
import java.util.SortedMap;

/** The solids of tools, their parts and their stacks, for whoever writes a file. */
public interface SolidsOfTools {

  /**
   * The solids of a tool.
   *
   * @param own of the tool: itself first where it is turned, then its stacks; STEP by file name
   * @param parts of the parts of its stacks, by their codes
   */
  record ToolSolids(SortedMap<String, String> own, SortedMap<String, Solid> parts) {}

  /** A STEP file. */
  record Solid(String name, String text) {}

  /** The solids of a tool; what is not turned has none. */
  ToolSolids of(long toolId) throws IOException;
}
