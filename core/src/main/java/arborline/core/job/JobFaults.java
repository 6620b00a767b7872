package arborline.core.job;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** What is wrong with a job as somebody wants it. */
public final class JobFaults {

  private static final int LONGEST = 80;
  private static final int HIGHEST = 99_999_999;
  private static final int MOST_TOOLS = 300;

  private JobFaults() {}

  /**
   * Faults, each a sentence that names place, reason and remedy; empty where there are none.
   *
   * @param numbers by which its program calls tools, in order
   */
  public static List<String> of(String name, String part, List<Integer> numbers) {
    List<String> faults = new ArrayList<>();
    if (name.isBlank()) {
      faults.add("name: say what the job is called");
    }
    if (name.length() > LONGEST) {
      faults.add("name: at most %d characters".formatted(LONGEST));
    }
    if (part.length() > LONGEST) {
      faults.add("part: at most %d characters".formatted(LONGEST));
    }
    if (numbers.size() > MOST_TOOLS) {
      faults.add("tools: a job calls at most %d".formatted(MOST_TOOLS));
    }
    Map<Integer, Integer> lines = new HashMap<>();
    for (int line = 1; line <= numbers.size(); line++) {
      int number = numbers.get(line - 1);
      if (number < 1 || number > HIGHEST) {
        faults.add("tools, line %d: number %d has to be 1 to %d".formatted(line, number, HIGHEST));
      }
      Integer other = lines.putIfAbsent(number, line);
      if (other != null) {
        faults.add(
            "tools, lines %d and %d: T%d calls one tool; give one of them another number"
                .formatted(other, line, number));
      }
    }
    return faults;
  }
}
