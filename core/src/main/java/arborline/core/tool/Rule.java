package arborline.core.tool;

import arborline.core.finding.Finding;
import java.util.List;
import java.util.Optional;

/** Something that must or should hold for a tool. Stateless and safe between threads. */
public interface Rule {

  /**
   * Complains, or is content. A rule whose values are missing is content: that they are missing is
   * said elsewhere.
   */
  Optional<Finding> check(Tool tool);

  /** All that it complains about; of most rules that is one thing at most. */
  default List<Finding> complaints(Tool tool) {
    return check(tool).stream().toList();
  }

  /** True where it judges what is written, and not what follows from it. */
  default boolean asWritten() {
    return false;
  }
}
