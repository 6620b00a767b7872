package arborline.server.tool;

import arborline.core.inspect.Inspected;
import java.util.Map;

/** What belongs to tools and is kept by other modules: their cutting data, their stacks. */
public interface OwnedByTool {

  /**
   * Has tools own exactly what is said, in the caller's transaction; what they own already and is
   * the same stays as it is.
   *
   * @param wanted by tool
   * @throws arborline.server.support.Refusal where a tool cannot own it
   */
  void become(Map<Long, Inspected> wanted);
}
