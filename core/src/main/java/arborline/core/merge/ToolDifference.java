package arborline.core.merge;

import arborline.core.tool.Tool;
import arborline.core.tool.Value;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.TreeSet;

/** Says a change in words: {@code DC 10 mm to 12 mm}. */
public final class ToolDifference {

  private ToolDifference() {}

  public static List<String> of(Tool before, Tool after) {
    List<String> said = new ArrayList<>();
    if (!before.name().equals(after.name())) {
      said.add("name '%s' to '%s'".formatted(before.name(), after.name()));
    }
    if (!before.toolClass().equals(after.toolClass())) {
      said.add("class %s to %s".formatted(before.toolClass(), after.toolClass()));
    }
    TreeSet<String> symbols = new TreeSet<>(before.values().keySet());
    symbols.addAll(after.values().keySet());
    for (String symbol : symbols) {
      Value was = before.values().get(symbol);
      Value is = after.values().get(symbol);
      if (!Objects.equals(was, is)) {
        said.add(change(symbol, was, is));
      }
    }
    TreeSet<String> headings = new TreeSet<>(before.notes().keySet());
    headings.addAll(after.notes().keySet());
    for (String heading : headings) {
      if (!Objects.equals(before.notes().get(heading), after.notes().get(heading))) {
        said.add(heading.isEmpty() ? "note" : "note '%s'".formatted(heading));
      }
    }
    return said;
  }

  private static String change(String symbol, Value was, Value is) {
    boolean confirmed = was != null && is != null && text(was).equals(text(is));
    return confirmed
        ? "%s %s confirmed".formatted(symbol, text(is))
        : "%s %s to %s".formatted(symbol, text(was), text(is));
  }

  private static String text(Value value) {
    return value instanceof Value.Measure measure && measure.formula().isPresent()
        ? "%s (= %s)".formatted(value, measure.formula().get())
        : Objects.toString(value, "none");
  }
}
