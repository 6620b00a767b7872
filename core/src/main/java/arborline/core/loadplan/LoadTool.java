package arborline.core.loadplan;

import arborline.core.storage.ToolBody;
import java.util.Optional;

/**
 * A tool of a load.
 *
 * @param material family of work that it is wanted for; empty where nobody said
 * @param dedicated family that it has cut already; empty where it has cut nothing
 */
public record LoadTool(ToolBody body, Optional<String> material, Optional<String> dedicated) {

  /** True where it has cut another family of work than it is wanted for. */
  boolean cutOther() {
    return material.isPresent() && dedicated.isPresent() && !material.equals(dedicated);
  }
}
