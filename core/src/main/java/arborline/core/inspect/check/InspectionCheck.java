package arborline.core.inspect.check;

import arborline.core.finding.Finding;
import arborline.core.tool.Tool;
import java.util.Optional;

/** Looks at one tool that arrives. Stateless and safe between threads. */
public interface InspectionCheck {

  /**
   * What looks wrong, with the numbers that say so.
   *
   * @param written as it arrived
   * @param completed the same with what follows from its values
   */
  Optional<Finding> find(Tool written, Tool completed);
}
