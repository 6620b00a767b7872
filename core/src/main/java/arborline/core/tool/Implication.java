package arborline.core.tool;

import java.util.Optional;

/**
 * A value that follows from others of the same tool, so that nobody needs to write it down.
 * Stateless and safe between threads.
 */
public interface Implication {

  /** The symbol of the value that follows. */
  String symbol();

  /** Where such a value comes from. */
  Origin origin();

  /** The value, or nothing where this tool does not say enough. */
  Optional<Value> value(Tool tool);
}
