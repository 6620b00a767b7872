package arborline.core.tool.thread;

import arborline.core.tool.ThreadSize;
import java.util.Optional;

/** A system of threads. An implementation is one file, marked {@code AutoService}. */
public interface ThreadSystem {

  /**
   * Reads a size of this system.
   *
   * @param text in capitals, with a decimal point, {@code X} for times, single blanks, and without
   *     quotation marks, tolerance class and hand
   * @return nothing where the text is not of this system, or names no size of it
   */
  Optional<ThreadSize> read(String text);
}
