package arborline.core.library;

import arborline.core.tool.Process;
import java.util.List;
import java.util.Optional;

/** What a library says about the numbers of its tools. */
public record NumberPlan(LibraryProcesses processes, List<NumberRange> ranges) {

  /** One that says nothing. */
  public static final NumberPlan FREE = new NumberPlan(LibraryProcesses.ANY, List.of());

  private static final int USUAL_RANGE = 1000;

  public NumberPlan {
    ranges = List.copyOf(ranges);
  }

  /** The range that is kept for a class, else for its process. */
  public Optional<NumberRange> range(String classId, Process process) {
    return named(classId).or(() -> named(NumberRange.word(process)));
  }

  private Optional<NumberRange> named(String of) {
    return ranges.stream().filter(range -> range.of().equals(of)).findFirst();
  }

  /** The range of a process where the library keeps none: milling 1, hole making 1001, ... */
  static NumberRange usual(Process process) {
    int first = 1 + USUAL_RANGE * process.ordinal();
    return new NumberRange(NumberRange.word(process), first, NumberRange.LARGEST);
  }
}
