package arborline.server.library;

import arborline.core.library.NumberRange;
import java.util.List;

/**
 * What a library is called and what it is for.
 *
 * @param purpose in a sentence; may be empty
 * @param processes words of those that it may hold; empty for all
 * @param labels by which the libraries of the shop are arranged
 * @param ranges numbers that it keeps for classes and processes
 * @param follows true where tools that enter follow their newest versions, false where they stay at
 *     the version that entered
 * @param archived true where nothing enters any more
 */
public record LibrarySettings(
    String name,
    String purpose,
    List<String> processes,
    List<Label> labels,
    List<NumberRange> ranges,
    boolean follows,
    boolean archived) {

  /** What a label can name. */
  public enum LabelKind {
    MACHINE,
    JOB,
    MATERIAL
  }

  /**
   * A machine, a job or a work material that a library is for.
   *
   * @param label as the shop calls it
   */
  public record Label(LabelKind kind, String label) {}

  public LibrarySettings {
    processes = List.copyOf(processes);
    labels = List.copyOf(labels);
    ranges = List.copyOf(ranges);
  }
}
