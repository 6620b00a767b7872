package arborline.core.exchange;

import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;

/** The codes of the parts of a stack in one cell: {@code BH-40-ER32 | BC-ER32-10}. */
final class PartList {

  private PartList() {}

  static String text(List<String> parts) {
    return String.join(" | ", parts);
  }

  static List<String> read(String text) {
    return Arrays.stream(text.split("[|;]"))
        .map(String::strip)
        .filter(part -> !part.isEmpty())
        .collect(Collectors.toList());
  }
}
